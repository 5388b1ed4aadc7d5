/** One learner over the term: readings, corrections, exercises. */
import { tallyOf } from '../../../core/progress/tally'
import { linesOf, type ReadPiece } from '../../../core/progress/lines'
import { exerciseSet } from '../../../core/exercise'
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/exercises/assignment'
import { AppError } from '../../../shared/errors'
import type { Progress } from '../../../shared/pieces/progress'
import type { PieceFacts } from '../../../shared/pieces/submission'
import { listAssignmentsIn } from '../../db/exercises/assignments'
import { findAccount } from '../../db/people/accounts'
import { db } from '../../db/pool'
import { classesBetween, listMarked, listTermPieces } from '../../db/critique/progress'
import { readingsFor } from '../pieces/readings'

const stateOf = ({ handIn, confirmedAt, returnedAt }: Assignment): Progress['exercises'][number]['state'] =>
  confirmedAt ? 'confirmed' : returnedAt ? 'again' : handIn ? 'handed in' : 'set'

/** What hangs for an exercise alone is judged by its checks, and is no picture of its own. */
const ownWork = ({ assignmentId }: PieceFacts): boolean => assignmentId === null

export async function readPieces(pieces: readonly PieceFacts[]): Promise<ReadPiece[]> {
  const read: ReadPiece[] = []
  for (const piece of pieces) {
    const { readings } = await readingsFor(piece)
    read.push({ id: piece.id, title: piece.title, at: piece.handedInAt, readings })
  }
  return read
}

/** @throws AppError not-found where this account neither is the learner nor helps to teach them. */
export async function progressOf(account: Account, learnerId: number): Promise<Progress> {
  const own = account.id === learnerId,
    [classIds, learner] = await Promise.all([classesBetween(db(), account.id, learnerId), findAccount(db(), learnerId)])
  if (!learner || classIds.length === 0)
    throw new AppError('not-found', 'There is no such person, or their work is not yours to see.')
  const whose = { learnerId, classIds }
  const [pieces, marked, ...assigned] = await Promise.all([
    listTermPieces(db(), whose),
    listMarked(db(), whose),
    ...classIds.map(id => listAssignmentsIn(db(), id))
  ])
  // Nothing that was not released is told to a learner.
  const told = pieces.filter(p => ownWork(p) && (!own || p.state === 'released'))
  return {
    learner: { id: learner.id, name: learner.name },
    pieces: told.map(({ id, title, handedInAt, stage, version, state }) => ({
      id,
      title,
      at: handedInAt,
      stage,
      version,
      released: state === 'released'
    })),
    lines: linesOf(await readPieces(told)),
    tally: tallyOf(marked),
    exercises: assigned
      .flat()
      .filter(a => a.learner.id === learnerId && !a.withdrawnAt)
      .map(a => ({ id: a.id, title: exerciseSet(a).title, dueOn: a.dueOn, state: stateOf(a) })),
    studies: pieces.filter(p => p.stage === 'study').length
  }
}
