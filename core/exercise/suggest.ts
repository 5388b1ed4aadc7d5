/** Which exercises train what is weakest in a piece, and have not just been done. */
import type { Reading } from '../critique/reading'
import type { Station } from '../critique/stations/station'
import type { ExerciseKey } from './shelf'

/** @property because the sentence that it would train, @property station where that is read. */
export interface Suggestion {
  readonly key: ExerciseKey
  readonly station: Station
  readonly because: string
}

const MOST = 3
/** A fault without a weight of its own; "look again" is worth half of "to fix", as in what is said first. */
const PLAIN_WEIGHT = 0.5,
  LOOK = 0.5
/** So many of the latest are not set again at once. */
const JUST_DONE = 2

const weightOf = ({ verdict, weight = PLAIN_WEIGHT }: Pick<Reading, 'verdict' | 'weight'>): number =>
  verdict === 'fix' ? weight : verdict === 'look' ? LOOK * weight : 0

/**
 * @param readings by the critic's own verdicts. @param set exercises that the learner was set, the latest first.
 * @returns at most three, what trains the weakest first; each by the heaviest of the readings that ask for it.
 */
export function suggestExercises(
  readings: readonly Pick<Reading, 'verdict' | 'weight' | 'sentence' | 'station' | 'trains'>[],
  set: readonly ExerciseKey[]
): Suggestion[] {
  const justDone = new Set(set.slice(0, JUST_DONE)),
    found = new Map<ExerciseKey, Suggestion>()
  const weak = readings.filter(r => weightOf(r) > 0).sort((p, q) => weightOf(q) - weightOf(p))
  for (const { trains, sentence, station } of weak)
    for (const key of trains)
      if (!justDone.has(key) && !found.has(key)) found.set(key, { key, station, because: sentence })
  return [...found.values()].slice(0, MOST)
}
