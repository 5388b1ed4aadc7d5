/** Exercises as set: who has them, what came back, and the instructor's confirmation. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { Assignment } from '../../shared/assignment'
import * as rows from '../db/assignments'
import { db } from '../db/pool'
import { assignmentToConfirm } from './access'

export const listAssignments = (account: Account): Promise<Assignment[]> => rows.listAssignments(db(), account.id)

/** The checks measure; the instructor accepts, also against them. */
export async function confirmAssignment(account: Account, id: number, now: Date): Promise<void> {
  const { handIn } = await assignmentToConfirm(account, id)
  if (!handIn) throw new AppError('invalid', 'Nothing has been handed in for this exercise yet.')
  await rows.markConfirmed(db(), id, now)
}
