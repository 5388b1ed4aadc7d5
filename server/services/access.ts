/**
 * Who may see and change what. A piece that is not yours does not exist for you: the answer is the
 * same as for one that was never there.
 */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { Assignment } from '../../shared/assignment'
import type { PieceFacts, Submission } from '../../shared/submission'
import { findAssignment } from '../db/assignments'
import { db } from '../db/pool'
import { findPiece, findSubmission, type Owned } from '../db/submissions'

const gone = (what: string): AppError =>
  new AppError('not-found', `There is no such ${what}, or it is not yours to see.`)

function visible<T extends PieceFacts>(account: Account, found: Owned<T> | null): Owned<T> {
  if (!found || (found.instructorId !== account.id && found.piece.learner.id !== account.id)) throw gone('piece')
  // How long an instructor works is theirs to know.
  return found.instructorId === account.id ? found : { ...found, piece: { ...found.piece, spentMinutes: 0 } }
}

/** A submission with its report, which its learner or its class's instructor asks for. */
export const visibleSubmission = async (account: Account, id: number): Promise<Submission> =>
  visible(account, await findSubmission(db(), id)).piece

/** The same piece and whose it is, without its report. */
export const visiblePiece = async (account: Account, id: number): Promise<Owned<PieceFacts>> =>
  visible(account, await findPiece(db(), id))

/** A piece in a class this instructor teaches. */
export async function taughtPiece(account: Account, id: number): Promise<PieceFacts> {
  const found = await findPiece(db(), id)
  if (!found || found.instructorId !== account.id) throw gone('piece')
  return found.piece
}

/** A piece whose critique this account may read: its instructor's always, its learner's once it is released. */
export async function readablePiece(account: Account, id: number): Promise<PieceFacts> {
  const { piece } = await visiblePiece(account, id)
  if (piece.learner.id === account.id && piece.state !== 'released') {
    throw new AppError('not-found', 'The critique of this piece is not released yet.')
  }
  return piece
}

export async function visibleAssignment(account: Account, id: number): Promise<Assignment> {
  const found = await findAssignment(db(), id)
  const own = found && found.released && found.assignment.learner.id === account.id
  if (!found || (found.instructorId !== account.id && !own)) throw gone('exercise')
  return found.assignment
}
