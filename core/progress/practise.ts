/** What a class as a whole should practise next. */
import type { PieceReading } from '../critique/stations/piece'
import type { Station } from '../critique/stations/station'
import type { ExerciseKey } from '../exercise/shelf'
import { suggestExercises } from '../exercise/suggest'

/** @property learners for whom it would train what is weakest. */
export interface Practice {
  readonly key: ExerciseKey
  readonly station: Station
  readonly learners: readonly string[]
  /** What is said of the first of them. */
  readonly because: string
}

const MOST = 3

/** @param learners with readings of their latest pieces, and what they were set, the latest first. */
export function practiseNext(
  learners: readonly {
    readonly name: string
    readonly readings: readonly PieceReading[]
    readonly set: readonly ExerciseKey[]
  }[]
): Practice[] {
  const found = new Map<ExerciseKey, Practice>()
  for (const { name, readings, set } of learners)
    for (const { key, station, because } of suggestExercises(readings, set)) {
      const known = found.get(key) ?? { key, station, learners: [], because }
      found.set(key, { ...known, learners: [...known.learners, name] })
    }
  return [...found.values()].sort((p, q) => q.learners.length - p.learners.length).slice(0, MOST)
}
