/** What is said of a term. */
import { figureWords } from '../compare/words'
import { count, capital, list } from '../critique/words'
import { rowOf } from '../critique/stations/table'
import type { ReadingLine } from './lines'
import type { StationTally } from './tally'
import { TREND_FROM } from './trend'

/** "Range of values: 62 steps now, 70 wanted; it rises." One point is a piece, and is not called a trend. */
export function lineWords({ name, unit, points, standard, wants, trend }: ReadingLine): string {
  const now = points.at(-1)!.value,
    wanted = `${wants === 'more' ? 'at least' : 'at most'} ${figureWords(unit, standard)} wanted`,
    better = trend && trend !== 'holds' ? ((trend === 'rises') === (wants === 'more') ? 'better' : 'worse') : null
  const going =
    points.length === 1
      ? 'one piece'
      : points.length < TREND_FROM
        ? `${count(points.length)} pieces, too few to say where it goes`
        : better
          ? `over ${count(points.length)} pieces it goes to the ${better}`
          : `over ${count(points.length)} pieces it holds`
  return `${name}: ${figureWords(unit, now)}, ${wanted}; ${going}.`
}

/** "Of five corrections three landed at first, one later; one is open." */
export function tallyWords(tallies: readonly StationTally[]): string {
  const sum = (of: (t: StationTally) => number): number => tallies.reduce((total, t) => total + of(t), 0),
    marked = sum(t => t.marked)
  if (marked === 0) return 'Nothing was marked yet.'
  const parts = (
    [
      [sum(t => t.atFirst), 'landed at first'],
      [sum(t => t.later), 'landed later'],
      [sum(t => t.open), 'still open'],
      [sum(t => t.untried), 'not tried again yet']
    ] as const
  ).flatMap(([n, words]) => (n ? [`${count(n)} ${words}`] : []))
  return `${capital(count(marked))} correction${marked === 1 ? '' : 's'} marked: ${list(parts)}.`
}

/** Where most is still open. */
export function weakestStation(tallies: readonly StationTally[]): string | null {
  const worst = [...tallies].sort((p, q) => q.open + q.untried - (p.open + p.untried))[0]
  return worst && worst.open + worst.untried > 0 ? rowOf(worst.station).name.toLowerCase() : null
}
