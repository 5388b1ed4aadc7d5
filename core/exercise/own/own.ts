/** An exercise of an instructor's own: the words of another one changed, its checks put together anew. */
import { SCHEMES, type SectorScheme } from '../../wheel/schemes'
import type { Exercise } from '../exercise'
import { EXERCISE_KEYS, exerciseOf, type ExerciseKey } from '../shelf'
import { checkKind, type CheckKindKey } from './kinds'

export interface OwnCheck {
  readonly kind: CheckKindKey
  readonly bound: number
}

/** @property base the exercise that it began as: its scheme and its worksheet. */
export interface OwnExercise {
  readonly base: ExerciseKey
  readonly title: string
  readonly trains: string
  readonly steps: readonly string[]
  readonly checks: readonly OwnCheck[]
}

/** What an exercise in no scheme begins as: its sheet is frames to draw in. */
export const NO_SCHEME: ExerciseKey = 'framing'
/** The exercise whose scheme and sheet one begins with. @param scheme null for none. */
export const baseFor = (scheme: SectorScheme | null): ExerciseKey =>
  (scheme && EXERCISE_KEYS.find(key => exerciseOf(key).plan === scheme)) || NO_SCHEME
/** Schemes that the shelf has an exercise in. */
export const BASE_SCHEMES: readonly SectorScheme[] = SCHEMES.map(s => s.name).filter(s => baseFor(s) !== NO_SCHEME)

/** Kinds of checks that an exercise can have: those about a scheme only where there is one. */
export const hasScheme = (base: ExerciseKey): boolean => exerciseOf(base).plan !== null

/** As any exercise is seen. Two checks of one kind are told apart by their place. */
export function ownExercise({ base, title, trains, steps, checks }: OwnExercise): Exercise {
  const from = exerciseOf(base),
    scheme = from.plan ?? SCHEMES[0].name
  return {
    ...from,
    title,
    trains,
    steps,
    checks: checks.map(({ kind, bound }, i) => {
      const check = checkKind(kind).make(bound, scheme),
        again = checks.slice(0, i).some(c => checkKind(c.kind).make(c.bound, scheme).id === check.id)
      if (!again) return check
      const id = `${check.id}-${i + 1}`
      return { ...check, id, run: (measures, settings) => ({ ...check.run(measures, settings), id }) }
    })
  }
}
