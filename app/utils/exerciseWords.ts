/** How an exercise stands, in a few words. */
import type { Assignment } from '~~/shared/exercises/assignment'

/** "none of three". */
export const ofAll = (some: number, all: number): string => `${some ? countWord(some) : 'none'} of ${countWord(all)}`

export const reached = ({ handIn }: Assignment): boolean =>
  Boolean(handIn?.checks?.length && handIn.checks.every(c => c.passed))

export function exerciseState(a: Assignment): string {
  if (a.withdrawnAt) return 'withdrawn'
  if (a.confirmedAt) return 'confirmed'
  if (a.returnedAt) return 'to be done again'
  if (a.handIn)
    return !a.handIn.checks
      ? 'being measured'
      : reached(a)
        ? 'all reached'
        : `${a.handIn.checks.filter(c => c.passed).length} of ${a.handIn.checks.length} checks reached`
  if (a.studies) return `${countWord(a.studies)} ${a.studies === 1 ? 'study' : 'studies'}, not handed in`
  return a.plan ? 'planned' : 'not begun'
}
