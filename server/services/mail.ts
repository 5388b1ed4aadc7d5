/** Telling people: every message goes to the outbox in the transaction that caused it, so that none is sent for what did not happen. */
import type { PieceFacts } from '../../shared/submission'
import type { Account } from '../../shared/account'
import type { Mail } from '../../shared/mail'
import { insertMail, listMail } from '../db/outbox'
import { db, type Db } from '../db/pool'

const SIGNED = '\n\nYou find it in Critica under the piece. This address is not read.'

export const tellReleased = (connection: Db, { learner, title }: PieceFacts, amended: string): Promise<void> =>
  insertMail(connection, learner.id, amended ? `The critique of “${title}” was changed` : `The critique of “${title}” is there`,
    (amended ? `It was changed: ${amended}` : 'Your instructor has looked at your piece.') + SIGNED)

export const tellWithdrawn = (connection: Db, { learner, title }: PieceFacts): Promise<void> =>
  insertMail(connection, learner.id, `The critique of “${title}” was taken back`, `It will come again.${SIGNED}`)

export const tellQuestion = (connection: Db, instructorId: number, { learner, title }: PieceFacts, question: string): Promise<void> =>
  insertMail(connection, instructorId, `${learner.name} asks about “${title}”`, question + SIGNED)

export const tellAnswer = (connection: Db, { learner, title }: PieceFacts, answer: string): Promise<void> =>
  insertMail(connection, learner.id, `Your question about “${title}” is answered`, answer + SIGNED)

/** What an account may see of what was sent: its own, and an instructor that to the learners of their classes. */
export const mailOf = (account: Account): Promise<Mail[]> => listMail(db(), account.id)
