import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { contrastReading, intendedReading, pathReading, whitesReading } from './attention'
import { routeReading } from './route'

export const focusReadings: StationReadings = {
  ofPiece: ({ report: { focus }, extras: { route }, known }) => {
    const read = isMeasured(focus) ? focus : null
    return [
      ...placed('focus', [read && intendedReading(read)], known.focus),
      ...placed('picture', [read && pathReading(read)], known.focus),
      ...placed('focus', [read && contrastReading(read)], known.focus),
      ...placed('picture', [read && whitesReading(read, known.focus)], known.focus),
      ...placed('stops', [route && routeReading(route)])
    ]
  }
}
