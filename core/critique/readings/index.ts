/** A report turned into sentences, station by station. */
import { isMeasured, type Report } from '../../measure/report'
import type { Reading } from '../reading'
import type { HouseStandards } from '../standards'
import { edgeReadings } from './edges'
import { focusReadings } from './focus'
import { lightReadings } from './light'
import { temperatureReadings } from './temperature'
import { harmonyReadings, type DeclaredFit } from './harmony'
import { valueReadings } from './values'

export { ambientReading } from './light'
export { areaTemperatureReading, cutOutReading, silhouetteReading } from './figure'
export { depthReadings } from './depth'
export { firstLookReading } from './first-look'
export { greysReading } from './greys'
export { causeWords, placeWords } from './focus'
export { referenceReading } from './reference'
export { routeReading } from './route'
export { separationReading } from './separation'
export { thumbnailReading } from './thumbnail'
export type { DeclaredFit } from './harmony'

export interface ReadingContext {
  readonly standards: HouseStandards
  /** The maker's planned scheme as measured, when one with sectors was planned. */
  readonly declared: DeclaredFit | null
}

export function readingsOf(report: Report, { standards, declared }: ReadingContext): Reading[] {
  return [
    ...(isMeasured(report.value) ? valueReadings(report.value, standards) : []),
    ...(isMeasured(report.focus) ? focusReadings(report.focus) : []),
    ...(isMeasured(report.temperature) ? temperatureReadings(report.temperature, standards) : []),
    ...(isMeasured(report.harmony) ? harmonyReadings(report.harmony, report.wheel, standards, declared) : []),
    ...(report.light && isMeasured(report.light) ? lightReadings(report.light, standards) : []),
    ...edgeReadings(isMeasured(report.edges) ? report.edges : null, isMeasured(report.composition) ? report.composition : null, standards)
  ]
}
