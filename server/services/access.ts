/**
 * Who may see and change what. A piece that is not yours does not exist for you: the answer is the
 * same as for one that was never there.
 */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { Assignment } from '../../shared/assignment'
import type { Submission } from '../../shared/submission'
import { findAssignment } from '../db/assignments'
import { db } from '../db/pool'
import { findSubmission } from '../db/submissions'

const gone = (what: string): AppError => new AppError('not-found', `There is no such ${what}, or it is not yours to see.`)

/** A submission its learner or its class's instructor asks for. */
export async function visibleSubmission(account: Account, id: number): Promise<Submission> {
  const found = await findSubmission(db(), id)
  if (!found || (found.instructorId !== account.id && found.submission.learner.id !== account.id)) throw gone('piece')
  // How long an instructor works is theirs to know.
  return found.instructorId === account.id ? found.submission : { ...found.submission, spentMinutes: 0 }
}

/** A submission in a class this instructor teaches. */
export async function taughtSubmission(account: Account, id: number): Promise<Submission> {
  const found = await findSubmission(db(), id)
  if (!found || found.instructorId !== account.id) throw gone('piece')
  return found.submission
}

export async function visibleAssignment(account: Account, id: number): Promise<Assignment> {
  const found = await findAssignment(db(), id)
  const own = found && found.released && found.assignment.learner.id === account.id
  if (!found || (found.instructorId !== account.id && !own)) throw gone('exercise')
  return found.assignment
}
