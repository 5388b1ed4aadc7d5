/** Telling people: every message goes to the outbox in the transaction that caused it, so that none is sent for what did not happen. */
import type { PieceFacts } from '../../shared/submission'
import type { Account } from '../../shared/account'
import type { Mail } from '../../shared/mail'
import { insertMail, listMail } from '../db/outbox'
import { db, type Db } from '../db/pool'

const SIGNED = '\n\nYou find it in Critica under the piece. This address is not read.'

export const tellReleased = (connection: Db, { learner, classId, title }: PieceFacts, amended: string): Promise<void> =>
  insertMail(connection, {
    accountId: learner.id,
    classId,
    subject: amended ? `The critique of “${title}” was changed` : `The critique of “${title}” is there`,
    body: (amended ? `It was changed: ${amended}` : 'Your instructor has looked at your piece.') + SIGNED
  })

export const tellWithdrawn = (connection: Db, { learner, classId, title }: PieceFacts): Promise<void> =>
  insertMail(connection, {
    accountId: learner.id,
    classId,
    subject: `The critique of “${title}” was taken back`,
    body: `It will come again.${SIGNED}`
  })

export const tellQuestion = (
  connection: Db,
  {
    instructorId,
    piece: { learner, classId, title },
    question
  }: { readonly instructorId: number; readonly piece: PieceFacts; readonly question: string }
): Promise<void> =>
  insertMail(connection, {
    accountId: instructorId,
    classId,
    subject: `${learner.name} asks about “${title}”`,
    body: question + SIGNED
  })

export const tellAnswer = (connection: Db, { learner, classId, title }: PieceFacts, answer: string): Promise<void> =>
  insertMail(connection, {
    accountId: learner.id,
    classId,
    subject: `Your question about “${title}” is answered`,
    body: answer + SIGNED
  })

/** What an account may see of what was sent: its own, and an instructor that about the pieces of their classes. */
export const mailOf = (account: Account): Promise<Mail[]> => listMail(db(), account.id)
