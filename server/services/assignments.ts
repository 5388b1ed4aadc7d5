/** Exercises as set: who has them, what came back, and the instructor's confirmation. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { Assignment } from '../../shared/assignment'
import {
  findAssignment,
  listAssignmentsForInstructor,
  listAssignmentsOfLearner,
  markConfirmed
} from '../db/assignments'
import { db } from '../db/pool'

export const listAssignments = (account: Account): Promise<Assignment[]> =>
  account.role === 'instructor'
    ? listAssignmentsForInstructor(db(), account.id)
    : listAssignmentsOfLearner(db(), account.id)

/** The checks measure; the instructor accepts, also against them. */
export async function confirmAssignment(account: Account, id: number, now: Date): Promise<void> {
  const found = await findAssignment(db(), id)
  if (!found || found.instructorId !== account.id)
    throw new AppError('not-found', 'There is no such exercise, or it is not yours to see.')
  if (!found.assignment.handIn) throw new AppError('invalid', 'Nothing has been handed in for this exercise yet.')
  await markConfirmed(db(), id, now)
}
