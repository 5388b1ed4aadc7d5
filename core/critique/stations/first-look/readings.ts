import { isMeasured } from '../../../measure/report'
import { placed, type StationReadings } from '../piece'
import { firstLookReading } from './eye'

export const firstLookReadings: StationReadings = {
  ofPiece: ({ report: { focus }, known }) => {
    const peaks = isMeasured(focus) && isMeasured(focus.peaks) ? focus.peaks : []
    return placed('first-look', [known.firstEye && firstLookReading(known.firstEye, peaks, known.focus)], known.focus)
  }
}
