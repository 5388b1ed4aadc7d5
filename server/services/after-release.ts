/** What happens to a critique once its learner can read it: withdrawn, amended, asked about once, answered. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import { findCritique, markWithdrawn, updateAnswer, updateQuestionBack } from '../db/critiques'
import { askAgain } from '../db/measurements'
import { transaction, type Db } from '../db/pool'
import { taughtPiece, visiblePiece } from './access'
import { tellAnswer, tellQuestion, tellWithdrawn } from './mail'
import { dropExportsOf } from './export-jobs'
import { wakeMeasuring } from './measuring'

async function held(connection: Db, submissionId: number) {
  const head = await findCritique(connection, submissionId, true)
  if (head?.state !== 'released') throw new AppError('not-released', 'The critique of this piece is not released.')
  return head
}

/** Takes a critique back: a draft again, with everything it had. The learner is told. */
export async function withdrawCritique(account: Account, submissionId: number): Promise<void> {
  const piece = await taughtPiece(account, submissionId)
  await transaction(async connection => {
    await held(connection, submissionId)
    await markWithdrawn(connection, submissionId)
    // What its class goes by may have changed since.
    await askAgain(connection, submissionId)
    await tellWithdrawn(connection, piece)
  })
  wakeMeasuring()
  await dropExportsOf(piece.learner.id, submissionId)
}

/** One question back. @throws AppError when one was asked already. */
export async function askBack(account: Account, submissionId: number, question: string): Promise<void> {
  const { piece, instructorId } = await visiblePiece(account, submissionId)
  if (piece.learner.id !== account.id) throw new AppError('not-allowed', 'This is for the learner whose piece it is.')
  await transaction(async connection => {
    if ((await held(connection, submissionId)).questionBack)
      throw new AppError('stale', 'You have asked your question; one is what there is.')
    await updateQuestionBack(connection, submissionId, question)
    await tellQuestion(connection, { instructorId, piece, question })
  })
}

export async function answerBack(account: Account, submissionId: number, answer: string): Promise<void> {
  const piece = await taughtPiece(account, submissionId)
  await transaction(async connection => {
    if (!(await held(connection, submissionId)).questionBack) throw new AppError('invalid', 'Nothing was asked yet.')
    await updateAnswer(connection, submissionId, answer)
    await tellAnswer(connection, piece, answer)
  })
}
