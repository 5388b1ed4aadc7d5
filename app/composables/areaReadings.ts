/** What a station says of a marked area: value against its surroundings, temperature against the scene, edges against what lies around. */
import { areaTemperatureReading, cutOutReading, separationReading, silhouetteReading } from '~~/core/critique/readings'
import type { Reading, Station } from '~~/core/critique/reading'
import type { HouseStandards } from '~~/core/critique/standards'
import { isMeasured, type Measured, type Separation } from '~~/core/measure/report'
import type { Area } from '~~/core/picture/area'
import type { FigureRead } from '~/workers/protocol'

export interface MeasuredArea { readonly area: Area, readonly separation: Measured<Separation>, readonly figure: FigureRead | null }

export function areaReadings(station: Station, name: string, { separation, figure }: MeasuredArea, standards: HouseStandards): Reading[] {
  if (station === 'temperature') return figure?.temperature ? [areaTemperatureReading(name, figure.temperature)] : []
  if (station === 'edges') {
    return [figure?.cutOut && cutOutReading(name, figure.cutOut, standards), figure?.silhouette && silhouetteReading(name, figure.silhouette)].filter(r => !!r)
  }
  // Harmony and Light read the picture by its colours and its picked samples, not by areas.
  if (station === 'harmony' || station === 'light') return []
  return isMeasured(separation) ? [separationReading(name, separation, standards)] : []
}
