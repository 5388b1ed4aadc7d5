/** Pictures that came by mail, as an instructor sees them: nothing is taken without their yes. */
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { Inbox, Letter, LetterAnswer, RefusedLetter } from '../../../shared/letter'
import {
  findLetter,
  findLetterPicture,
  listLetterPictures,
  listRefused,
  listSharedClasses,
  listWaiting,
  updateLetterPicture,
  type LetterPictureRow,
  type LetterRow
} from '../../db/pieces/letters'
import { db, transaction } from '../../db/pool'
import { insertSubmission } from '../../db/pieces/submissions'
import { inClass } from '../access'
import { tellDeclined } from '../mail/letters'
import { beginPiece } from '../pieces/handing-in'
import { wakeMeasuring } from '../pieces/measuring'
import { lastFault } from './fetching'
import { questionOf, titleOf } from './words'

export async function inboxOf(account: Account): Promise<Inbox> {
  const owner = account.roles.includes('owner'),
    [waiting, refused] = await Promise.all([listWaiting(db(), account.id), listRefused(db(), account.id, owner)])
  return {
    waiting: await Promise.all(waiting.map(row => letterOf(account, row))),
    refused: refused.map(refusedOf),
    fault: owner ? lastFault() : ''
  }
}

async function letterOf(account: Account, row: LetterRow): Promise<Letter> {
  const question = questionOf(row.body)
  return {
    id: row.id,
    from: { name: row.name, address: row.address },
    proven: row.proven,
    receivedAt: row.receivedAt.toISOString(),
    title: titleOf(row.subject),
    question,
    body: question === row.body.replace(/\s+/g, ' ').trim() ? '' : row.body,
    leftOut: [...row.leftOut],
    classes: await listSharedClasses(db(), account.id, row.id),
    pictures: (await listLetterPictures(db(), row.id))
      .filter(p => p.state === 'waiting')
      .map(({ id, name, width, height }) => ({ id, name, width, height }))
  }
}

const refusedOf = ({ id, name, address, subject, receivedAt, reason }: LetterRow): RefusedLetter => ({
  id,
  from: { name, address },
  subject,
  receivedAt: receivedAt.toISOString(),
  reason
})

/** Of a learner that this account teaches. @throws AppError not-found. */
async function pictureOf(account: Account, id: number): Promise<LetterPictureRow> {
  const found = await findLetterPicture(db(), id),
    classes = found ? await listSharedClasses(db(), account.id, found.letterId) : []
  if (!found || classes.length === 0)
    throw new AppError('not-found', 'There is no such picture, or it is not yours to see.')
  return found
}

/** @returns the hash of its small size. @throws AppError not-found. */
export async function letterThumb(account: Account, id: number): Promise<string> {
  const { thumb } = await pictureOf(account, id)
  if (!thumb) throw new AppError('not-found', 'The picture is not here any more.')
  return thumb
}

/** @returns the piece that it became; null where it was not taken. @throws AppError not-found, stale, not-allowed. */
export async function answerLetter(
  account: Account,
  id: number,
  answer: LetterAnswer
): Promise<{ submissionId: number | null }> {
  const { letterId } = await pictureOf(account, id),
    shared = await listSharedClasses(db(), account.id, letterId)
  if (answer.take) {
    await inClass(account, answer.classId, 'release')
    if (!shared.some(c => c.id === answer.classId))
      throw new AppError('invalid', 'Whoever sent it does not learn in this class.')
  }
  const submissionId = await transaction(async connection => {
    const picture = await findLetterPicture(connection, id, true)
    if (picture?.state !== 'waiting') throw new AppError('stale', 'This picture was decided on already.')
    const { accountId, pictureId, name } = picture
    if (!answer.take) {
      const letter = (await findLetter(connection, letterId))!
      await updateLetterPicture(connection, picture, null)
      await tellDeclined(connection, { accountId, classId: shared[0]!.id, thread: letter, name, word: answer.word })
      return null
    }
    const { classId, title, question, stage } = answer
    const piece = await insertSubmission(connection, {
      learnerId: accountId,
      pictureId: pictureId!,
      handIn: { classId, title, question, stage, medium: '', about: '', plannedScheme: null },
      handedInAt: new Date(),
      referenceId: null,
      firstId: null
    })
    await beginPiece(connection, piece, {})
    await updateLetterPicture(connection, picture, piece)
    return piece
  })
  if (submissionId) wakeMeasuring()
  return { submissionId }
}
