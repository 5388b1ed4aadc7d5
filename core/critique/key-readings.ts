/**
 * What else was read of a piece, for the learner's page and the sheet: what is to fix, what works, what to look at
 * again.
 */
import type { PieceReading } from './stations/piece'
import type { ReadingVerdict } from './reading'

export interface KeyReadingSource {
  readonly readings: readonly PieceReading[]
  /** The instructor's own verdicts, by the reading's name. */
  readonly judged: readonly { readonly key: string; readonly verdict: ReadingVerdict | 'dismissed' }[]
  /** Sentences that stand with the corrections already: a page says a thing once. */
  readonly said: readonly string[]
}

/** @param most how many are enough. @returns none that the instructor set aside, each with the instructor's verdict. */
export function keyReadings({ readings, judged, said }: KeyReadingSource, most: number): PieceReading[] {
  const rank = ({ verdict }: PieceReading): number => ({ fix: 0, works: 1, look: 2 })[verdict]
  return readings
    .filter(reading => !said.includes(reading.sentence))
    .flatMap(reading => {
      const own = judged.find(j => j.key === reading.key)?.verdict
      return own === 'dismissed' ? [] : [{ ...reading, verdict: own ?? reading.verdict }]
    })
    .map((reading, place) => ({ reading, place }))
    .sort((p, q) => rank(p.reading) - rank(q.reading) || p.place - q.place)
    .slice(0, most)
    .map(({ reading }) => reading)
}
