/** All exercises, by key, and the checking of a hand-in. */
import type { CheckResult, Exercise, HandInMeasures } from './exercise'
import { OPPOSITES } from './opposites'

export const EXERCISES = { opposites: OPPOSITES } as const satisfies Readonly<Record<string, Exercise>>
export type ExerciseKey = keyof typeof EXERCISES
export const EXERCISE_KEYS = Object.keys(EXERCISES) as [ExerciseKey, ...ExerciseKey[]]

/** Runs every check of an exercise. The instructor confirms; this only measures. */
export function checkHandIn(key: ExerciseKey, measures: HandInMeasures): CheckResult[] {
  return EXERCISES[key].checks.map(check => check.run(measures))
}
