/** An exercise as it was set to somebody: what it is, what is checked of it, and the checking. */
import { asPlanned, inAmounts, keyColour } from './checks/key'
import type { Check, CheckResult, Exercise, HandInMeasures } from './exercise'
import { ownExercise, type OwnExercise } from './own/own'
import type { Settings } from './settings'
import { exerciseOf, type ExerciseKey } from './shelf'

/**
 * @property exercise of the shelf, or the one that an instructor's own began as. @property own as it stood when it was
 * set; null for one of the shelf.
 */
export interface WhatIsSet {
  readonly exercise: ExerciseKey
  readonly own: OwnExercise | null
}
export const exerciseSet = ({ exercise, own }: WhatIsSet): Exercise => (own ? ownExercise(own) : exerciseOf(exercise))

/** In several panels none leads all over: their amounts have checks of their own. */
const WITHOUT_LEADER: readonly ExerciseKey[] = ['proportion']

/** @param planned whether the learner wrote a plan. @returns what is checked, as it was set. */
export function checksOf(set: WhatIsSet, { hue }: Pick<Settings, 'hue'>, planned: boolean): Check[] {
  const { checks, keyed } = exerciseSet(set)
  return [
    ...checks,
    ...(keyed && hue !== null && !WITHOUT_LEADER.includes(set.exercise) ? [keyColour(hue)] : []),
    ...(planned ? [asPlanned, inAmounts] : [])
  ]
}

/** Runs every check of an exercise. The instructor confirms; this only measures. */
export const checkHandIn = (set: WhatIsSet, measures: HandInMeasures, settings: Settings): CheckResult[] =>
  checksOf(set, settings, measures.plan !== null).map(check => check.run(measures, settings))
