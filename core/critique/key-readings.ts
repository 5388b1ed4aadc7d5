/** The readings a critique rests on, for the learner's page and the sheet: what corrections came from, what else is to fix, what works. */
import type { PieceReading } from './stations/piece'
import type { ReadingVerdict } from './reading'

export interface KeyReadingSource {
  readonly readings: readonly PieceReading[]
  /** The instructor's own verdicts, by the reading's name. */
  readonly judged: readonly { readonly key: string; readonly verdict: ReadingVerdict | 'dismissed' }[]
  /** Names of the readings that corrections came from, in order of importance. */
  readonly marked: readonly (string | null)[]
}

/** @param most how many are enough. @returns none that the instructor set aside, each with the instructor's verdict. */
export function keyReadings({ readings, judged, marked }: KeyReadingSource, most: number): PieceReading[] {
  const rank = ({ id, verdict }: PieceReading): number => {
    const at = marked.indexOf(id)
    return at >= 0 ? at : marked.length + { fix: 0, works: 1, look: 2 }[verdict]
  }
  return readings
    .flatMap(reading => {
      const own = judged.find(j => j.key === reading.key)?.verdict
      return own === 'dismissed' ? [] : [{ ...reading, verdict: own ?? reading.verdict }]
    })
    .map((reading, place) => ({ reading, place }))
    .sort((p, q) => rank(p.reading) - rank(q.reading) || p.place - q.place)
    .slice(0, most)
    .map(({ reading }) => reading)
}
