/** All exercises, by key, and the checking of a hand-in. */
import type { CheckResult, Exercise, HandInMeasures } from './exercise'
import { LIMITED_PALETTE, MUTED, NO_BLACK, ONE_COLOUR } from './mixing'
import { NEIGHBOURS, ONE_STEP_OFF, OPPOSITES, SPLIT_OPPOSITES, TRIAD, TWO_PAIRS } from './schemes'
import type { SectorScheme } from '../wheel/schemes'
import { ladder, THREE_VALUES, TWO_VALUES } from './values'

/** In the order of the shelf: values, mixing, schemes. */
export const EXERCISES = {
  'two-values': TWO_VALUES,
  'three-values': THREE_VALUES,
  'ladder-5': ladder(5),
  'ladder-7': ladder(7),
  'ladder-9': ladder(9),
  'one-colour': ONE_COLOUR,
  muted: MUTED,
  'no-black': NO_BLACK,
  'limited-palette': LIMITED_PALETTE,
  neighbours: NEIGHBOURS,
  opposites: OPPOSITES,
  'one-step-off': ONE_STEP_OFF,
  'split-opposites': SPLIT_OPPOSITES,
  triad: TRIAD,
  'two-pairs': TWO_PAIRS
} as const satisfies Readonly<Record<string, Exercise>>
export type ExerciseKey = keyof typeof EXERCISES
export const EXERCISE_KEYS = Object.keys(EXERCISES) as [ExerciseKey, ...ExerciseKey[]]

/** Runs every check of an exercise. The instructor confirms; this only measures. */
export function checkHandIn(key: ExerciseKey, measures: HandInMeasures): CheckResult[] {
  return EXERCISES[key].checks.map(check => check.run(measures))
}

/** Exercises that are a piece in a scheme. */
export const trainsScheme = (scheme: SectorScheme): ExerciseKey[] =>
  EXERCISE_KEYS.filter(key => EXERCISES[key].plan === scheme)
