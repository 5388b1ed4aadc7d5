import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { declaredReading, proportionReading, saturationReading, schemeReading } from './picture'

export const harmonyReadings: StationReadings = {
  ofPiece: ({ report: { harmony, wheel }, extras: { declared }, standards }) => {
    if (!isMeasured(harmony)) return []
    return [
      ...placed('picture', [schemeReading(harmony, wheel, standards)]),
      ...placed('plan', [declared && declaredReading(declared, wheel)]),
      ...placed('picture', [proportionReading(harmony, standards), saturationReading(harmony, standards)])
    ]
  }
}
