import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { greysReading } from './greys'
import { blackReading, groupsReading, keyReading, rangeReading } from './picture'
import { planesValueReading } from './planes'
import { referenceReading } from './reference'
import { separationReading } from './separation'
import { thumbnailReading } from './thumbnail'

export const valuesReadings: StationReadings = {
  ofPiece: ({ report: { value }, extras: { reference, depth, thumbnail, greys }, standards }) => {
    if (!isMeasured(value)) return []
    return [
      ...placed('picture', [
        rangeReading(value, standards),
        groupsReading(value),
        blackReading(value, standards),
        keyReading(value, standards)
      ]),
      ...placed('reference', [reference && isMeasured(reference) ? referenceReading(value, reference) : null]),
      ...placed('planes', [planesValueReading(depth)]),
      ...placed('picture', [thumbnailReading(thumbnail), greysReading(greys)])
    ]
  },
  ofArea: (name, { separation }, standards) => [
    isMeasured(separation) ? separationReading(name, separation, standards) : null
  ]
}
