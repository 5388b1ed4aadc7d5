import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { proportionReading, saturationReading } from './amounts'
import { declaredReading } from './declared'
import { schemeReading } from './scheme'

export const harmonyReadings: StationReadings = {
  ofPiece: ({ report: { harmony, focus, value, wheel }, extras: { declared }, standards }) => {
    if (!isMeasured(harmony)) return []
    return [
      ...placed('picture', [schemeReading(harmony, wheel, standards)]),
      ...placed('plan', [declared && declaredReading(declared, wheel)]),
      ...placed('picture', [
        proportionReading(harmony, standards),
        saturationReading(
          harmony,
          { focus: isMeasured(focus) ? focus : null, value: isMeasured(value) ? value : null },
          standards
        )
      ])
    ]
  }
}
