import { isMeasured } from '../../../measure/report'
import type { PickedPair } from '../../piece/known'
import { placed, placeOf, type PieceReading, type StationReadings } from '../piece'
import { ambientReading } from './ambient'
import { materialReadings } from './materials'

/** A reading that names a material shows where it was picked. */
function pointed(reading: PieceReading, pairs: readonly PickedPair[]): PieceReading {
  const pair = pairs.find(p => reading.id.endsWith(`.${p.name}`))
  if (!pair?.shadow) return reading
  return {
    ...reading,
    points: [
      { ...placeOf(pair.lit), label: '1' },
      { ...placeOf(pair.shadow), label: '2' }
    ]
  }
}

export const lightReadings: StationReadings = {
  ofPiece: ({ report: { light }, extras: { ambient }, known, standards }) => {
    const materials = light && isMeasured(light) ? materialReadings(light, standards) : []
    return placed('pairs', [...materials, ambientReading(ambient)]).map(reading => pointed(reading, known.pairs))
  }
}
