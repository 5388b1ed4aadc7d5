/** What happens to a critique once its learner can read it: withdrawn, amended, asked about once, answered. */
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { findCritique, markWithdrawn, updateAnswer, updateQuestionBack } from '../../db/critique/critiques'
import { askAgain } from '../../db/pieces/measurements'
import { listInstructors } from '../../db/classes/memberships'
import { changeOnce } from '../../db/once'
import { db, transaction, type Db } from '../../db/pool'
import { ownPiece, pieceTo } from '../access'
import { audit } from '../house/audit'
import { tellAnswer, tellQuestion, tellWithdrawn } from '../mail/mail'
import { deleteExportsOf } from '../../db/pieces/exports'
import { wakeMeasuring } from '../pieces/measuring'

async function held(connection: Db, submissionId: number) {
  const head = await findCritique(connection, submissionId, true)
  if (head?.state !== 'released') throw new AppError('not-released', 'The critique of this piece is not released.')
  return head
}

/** Takes a critique back: a draft again, with everything it had. The learner is told. */
export async function withdrawCritique(account: Account, submissionId: number): Promise<void> {
  const piece = await pieceTo('release', account, submissionId)
  await changeOnce(async connection => {
    await held(connection, submissionId)
    await markWithdrawn(connection, submissionId)
    // Nothing that the learner made of it outlives its being taken back.
    await deleteExportsOf(connection, piece.learner.id, submissionId)
    // What its class goes by may have changed since.
    await askAgain(connection, submissionId)
    await tellWithdrawn(connection, piece)
    const { classId, learner } = piece
    await audit(connection, { action: 'withdrawn', actorId: account.id, accountId: learner.id, classId, submissionId })
  })
  wakeMeasuring()
}

/** One question back. @throws AppError when one was asked already. */
export async function askBack(account: Account, submissionId: number, question: string): Promise<void> {
  const piece = await ownPiece(account, submissionId),
    instructors = await listInstructors(db(), piece.classId)
  await changeOnce(async connection => {
    if ((await held(connection, submissionId)).questionBack)
      throw new AppError('stale', 'You have asked your question; one is what there is.')
    await updateQuestionBack(connection, submissionId, question)
    for (const { id } of instructors) await tellQuestion(connection, { instructorId: id, piece, question })
  })
}

export async function answerBack(account: Account, submissionId: number, answer: string): Promise<void> {
  const piece = await pieceTo('release', account, submissionId)
  await transaction(async connection => {
    if (!(await held(connection, submissionId)).questionBack) throw new AppError('invalid', 'Nothing was asked yet.')
    await updateAnswer(connection, submissionId, answer)
    await tellAnswer(connection, piece, answer)
  })
}
