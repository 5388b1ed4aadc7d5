import type { Mail } from '../../shared/mail'
import type { Db, Row } from './pool'

/** @property classId of the piece that it is about. */
export interface NewMail {
  readonly accountId: number
  readonly classId: number
  readonly subject: string
  readonly body: string
}

export async function insertMail(db: Db, { accountId, classId, subject, body }: NewMail): Promise<void> {
  await db.execute('INSERT INTO outbox (account_id, class_id, subject, body) VALUES (?, ?, ?, ?)', [
    accountId,
    classId,
    subject,
    body
  ])
}

/** How long mail is tried to be delivered, in days. */
const TRIED_DAYS = 1

/** The latest mail to an account, and for an instructor also that about the pieces of their own classes. */
export async function listMail(db: Db, accountId: number): Promise<Mail[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, a.name, a.email, o.subject, o.body, o.created_at, o.delivered_at, o.failure,
       o.delivered_at IS NULL AND o.tries > 0 AND o.created_at <= UTC_TIMESTAMP(3) - INTERVAL ${TRIED_DAYS} DAY AS given_up
     FROM outbox o JOIN accounts a ON a.id = o.account_id
     WHERE o.account_id = ? OR o.class_id IN (SELECT c.id FROM classes c WHERE c.instructor_id = ?)
     ORDER BY o.id DESC LIMIT 100`,
    [accountId, accountId]
  )
  return rows.map(row => ({
    id: row.id as number,
    to: { name: row.name as string, email: row.email as string },
    subject: row.subject as string,
    body: row.body as string,
    sentAt: (row.created_at as Date).toISOString(),
    deliveredAt: (row.delivered_at as Date | null)?.toISOString() ?? null,
    failure: row.failure as string,
    givenUp: Boolean(row.given_up)
  }))
}

export interface Undelivered {
  readonly id: number
  readonly email: string
  readonly name: string
  readonly subject: string
  readonly body: string
}

/**
 * The oldest mail of the days it is tried for that no mail server has taken, held until the transaction ends; each failure makes it
 * wait a minute longer. Addresses of the reserved domain .example (RFC 2606) are nobody's and stay where they are.
 */
export async function claimUndelivered(db: Db): Promise<Undelivered | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, a.email, a.name, o.subject, o.body FROM outbox o JOIN accounts a ON a.id = o.account_id
     WHERE o.delivered_at IS NULL AND a.email NOT LIKE '%.example' AND o.created_at > UTC_TIMESTAMP(3) - INTERVAL ${TRIED_DAYS} DAY
       AND (o.tried_at IS NULL OR o.tried_at < UTC_TIMESTAMP(3) - INTERVAL o.tries MINUTE)
     ORDER BY o.id LIMIT 1 FOR UPDATE SKIP LOCKED`
  )
  const row = rows[0]
  return row
    ? {
        id: row.id as number,
        email: row.email as string,
        name: row.name as string,
        subject: row.subject as string,
        body: row.body as string
      }
    : null
}

/** @param failure empty when it was taken. */
export async function markTried(db: Db, id: number, failure: string): Promise<void> {
  await db.execute(
    "UPDATE outbox SET tries = tries + 1, tried_at = UTC_TIMESTAMP(3), failure = ?, delivered_at = IF(? = '', UTC_TIMESTAMP(3), NULL) WHERE id = ?",
    [failure.slice(0, 300), failure, id]
  )
}
