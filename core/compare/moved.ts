/** What of all that is read moved from one version to the next, beyond what a new photograph moves by itself. */
import type { ReadingVerdict } from '../critique/reading'
import type { PieceReading } from '../critique/stations/piece'
import type { Station } from '../critique/stations/station'
import type { Unit } from '../critique/unit'
import { readingNoise } from './noise'

export interface Moved {
  /** Of the reading, as in `value.range`. */
  readonly id: string
  readonly station: Station
  readonly unit: Unit
  readonly before: number
  readonly after: number
  /** What is said of the new version. */
  readonly sentence: string
  /** Null where both are judged alike. */
  readonly better: boolean | null
}

const RANK: Readonly<Record<ReadingVerdict, number>> = { fix: 0, look: 1, works: 2 }

/** Only what both versions have a figure for: what is said of one alone has another condition, not another figure. */
export function movedBetween(before: readonly PieceReading[], after: readonly PieceReading[]): Moved[] {
  const now = new Map(after.map(r => [r.key, r]))
  return before.flatMap(({ id, key, station, figure, verdict }) => {
    const other = now.get(key),
      next = other?.figure
    if (!figure || !next || next.unit !== figure.unit) return []
    const move = Math.abs(next.value - figure.value)
    if (move === 0 || move <= readingNoise(id, figure)) return []
    const judged = RANK[other.verdict] - RANK[verdict]
    return [
      {
        id,
        station,
        unit: figure.unit,
        before: figure.value,
        after: next.value,
        sentence: other.sentence,
        better: judged === 0 ? null : judged > 0
      }
    ]
  })
}
