/** Setting an exercise to several of a class, changing the day, withdrawing it; each is told. */
import { differentHues, exerciseSet, type Settings, type WhatIsSet } from '../../../core/exercise'
import type { Account } from '../../../shared/account'
import type { Assignment, ExerciseSet, SetInput } from '../../../shared/exercises/assignment'
import { AppError } from '../../../shared/errors'
import * as rows from '../../db/exercises/assignments'
import { findStandards } from '../../db/classes/classes'
import { insertSet } from '../../db/exercises/exercise-sets'
import { listMembers } from '../../db/classes/memberships'
import { changeOnce } from '../../db/once'
import { db, transaction } from '../../db/pool'
import { assignmentTo, inClass, setTo } from '../access'
import { askAgain } from '../../db/pieces/measurements'
import { tellExercise } from '../mail/mail'
import { ownOf } from './own'
import { wakeMeasuring } from '../pieces/measuring'

/** The key colours of so many: their own choice, one for all, or a different one each. */
function huesFor(key: SetInput['key'], people: number): (number | null)[] {
  if (key === 'each') return differentHues(people)
  return new Array<number | null>(people).fill(key === 'own' ? null : key)
}

/**
 * @returns the number of what was set. @throws AppError not-found, not-allowed, archived; invalid for somebody who is
 * no learner of the class.
 */
export async function setExercise(account: Account, classId: number, input: SetInput): Promise<number> {
  await inClass(account, classId, 'release')
  const learners = new Set((await listMembers(db(), classId)).filter(m => m.role === 'learner').map(m => m.account.id))
  const chosen = [...new Set(input.learners)]
  if (chosen.some(id => !learners.has(id)))
    throw new AppError('invalid', 'Somebody you chose is not a learner of this class any more.')
  const { dueOn, note, tolerance, medium } = input,
    own = input.own === null ? null : await ownOf(account, input.own),
    what: WhatIsSet = { exercise: own?.base ?? input.exercise, own },
    { keyed } = exerciseSet(what),
    key = keyed ? input.key : 'own'
  const { wheel } = await findStandards(db(), classId),
    hues = huesFor(key, chosen.length)
  return changeOnce(async connection => {
    const setId = await insertSet(connection, { classId, exercise: what.exercise, eachHue: key === 'each' })
    for (const [i, learnerId] of chosen.entries()) {
      const settings: Settings = { wheel, hue: hues[i]!, tolerance, medium }
      await rows.insertAssignment(connection, { setId, learnerId, classId, ...what, dueOn, note, settings })
      await tellExercise(connection, { what: 'set', learnerId, classId, ...what, dueOn, note })
    }
    return setId
  })
}

/** Another day, or another word with it. */
export async function changeAssignment(
  account: Account,
  id: number,
  { dueOn, note }: { readonly dueOn: string; readonly note: string }
): Promise<void> {
  const set = await assignmentTo('release', account, id)
  if (set.withdrawnAt) throw new AppError('invalid', 'This exercise was withdrawn.')
  await transaction(async connection => {
    await rows.updateDue(connection, id, { dueOn, note })
    await tellExercise(connection, { what: 'changed', ...toldOf(set), dueOn, note })
  })
}

const toldOf = ({ learner, classId, exercise, own }: Assignment) => ({ learnerId: learner.id, classId, exercise, own })

/** Nothing is asked for any more; what came back stays. */
export async function withdrawAssignment(account: Account, id: number, note: string): Promise<void> {
  const set = await assignmentTo('release', account, id)
  if (set.withdrawnAt) return
  if (set.confirmedAt) throw new AppError('invalid', 'It is confirmed already: there is nothing to withdraw.')
  await changeOnce(async connection => {
    await rows.markWithdrawn(connection, id, note)
    await tellExercise(connection, { what: 'withdrawn', ...toldOf(set), dueOn: set.dueOn, note })
  })
}

/** What was set at once, with what came back. */
export async function readSet(account: Account, id: number): Promise<ExerciseSet> {
  const set = await setTo('look', account, id)
  return { ...set, assignments: await rows.listAssignmentsOfSet(db(), id) }
}

/** Every hand-in of it that reaches everything and nobody has answered. @returns how many. */
export async function confirmReached(account: Account, id: number, now: Date): Promise<number> {
  await setTo('release', account, id)
  const reached = (await rows.listAssignmentsOfSet(db(), id)).filter(
    a =>
      !a.confirmedAt
      && !a.returnedAt
      && !a.withdrawnAt
      && a.handIn?.checks?.length
      && a.handIn.checks.every(c => c.passed)
  )
  await changeOnce(async connection => {
    for (const a of reached) {
      await rows.markConfirmed(connection, a.id, { at: now, word: '' })
      await tellExercise(connection, { what: 'confirmed', ...toldOf(a), dueOn: a.dueOn, note: '' })
    }
  })
  return reached.length
}

/**
 * The checks measure; the instructor accepts, also against them, or asks for it again. @throws AppError invalid when
 * nothing came back.
 */
export async function answerHandIn(
  account: Account,
  id: number,
  { outcome, word, now }: { readonly outcome: 'confirmed' | 'again'; readonly word: string; readonly now: Date }
): Promise<void> {
  const set = await assignmentTo('release', account, id)
  if (!set.handIn) throw new AppError('invalid', 'Nothing has been handed in for this exercise yet.')
  await changeOnce(async connection => {
    if (outcome === 'confirmed') await rows.markConfirmed(connection, id, { at: now, word })
    else await rows.markReturned(connection, id, { at: now, word })
    await tellExercise(connection, { what: outcome, ...toldOf(set), dueOn: set.dueOn, note: word })
  })
}

/** What was planned is part of what is checked: a hand-in is measured anew. */
export async function remeasure(assignment: Assignment): Promise<void> {
  if (!assignment.handIn) return
  await askAgain(db(), assignment.handIn.submissionId)
  wakeMeasuring()
}
