import type { Mail } from '../../../shared/mail'
import type { Db, Row } from '../pool'

/**
 * @property classId of what it is about. @property aboutId the learner whom it is about, if that is somebody else.
 * @property email where it goes instead of the account's address. @property linkId of a link that goes with it.
 * @property thread of the mail that it answers.
 */
export interface NewMail {
  readonly accountId: number | null
  readonly classId: number | null
  readonly subject: string
  readonly body: string
  readonly aboutId?: number | null
  readonly email?: string | null
  readonly linkId?: number | null
  readonly thread?: Thread | null
}
/** @property messageId empty where the mail that is answered has none. @property references those before it. */
export interface Thread {
  readonly subject: string
  readonly messageId: string
  readonly references: readonly string[]
}

export async function insertMail(
  db: Db,
  { accountId, classId, subject, body, aboutId = null, email = null, linkId = null, thread = null }: NewMail
): Promise<void> {
  const answered = thread?.messageId || null
  // A guest of an open call has no address of their own: it goes where their link went, with it.
  await db.execute(
    `INSERT INTO outbox (account_id, class_id, subject, body, about_id, in_reply_to, thread, email, link_id)
     VALUES (?, ?, ?, ?, ?, ?, ?,
       COALESCE(?, (SELECT COALESCE(e.guardian_email, e.email) FROM call_entries e WHERE e.account_id = ?)),
       COALESCE(?, (SELECT l.id FROM links l WHERE l.account_id = ? AND l.kind = 'entry'
         ORDER BY l.created_at DESC, l.id DESC LIMIT 1)))`,
    [
      accountId,
      classId,
      // Mail programs keep a thread together by both: what it answers, and the subject.
      thread ? `Re: ${thread.subject}` : subject,
      thread ? `${subject}.\n\n${body}` : body,
      aboutId,
      answered,
      answered && [...thread!.references, answered].join(' '),
      email,
      accountId,
      linkId,
      accountId
    ]
  )
}

/** Mails to an address that is nobody's here, of the last day. */
export async function countToStranger(db: Db, email: string): Promise<number> {
  const [rows] = await db.execute<Row[]>(
    `SELECT COUNT(*) AS n FROM outbox WHERE account_id IS NULL AND email = ?
     AND created_at > UTC_TIMESTAMP(3) - INTERVAL 1 DAY`,
    [email]
  )
  return Number(rows[0]!.n)
}

/** How long mail is tried to be delivered, in days. */
const TRIED_DAYS = 1

/** @property linkId of the link in a mail to the one who asks; nobody else is told that there is one. */
export type ListedMail = Omit<Mail, 'link'> & { readonly linkId: number | null }

/** The latest mail to an account, and for an instructor also that about their own classes. */
export async function listMail(db: Db, accountId: number): Promise<ListedMail[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, a.name, COALESCE(o.email, a.email) AS email, o.subject, o.body, o.created_at, o.delivered_at,
     o.failure,
       IF(o.account_id = ?, o.link_id, NULL) AS link_id,
       o.delivered_at IS NULL AND o.tries > 0
         AND o.created_at <= UTC_TIMESTAMP(3) - INTERVAL ${TRIED_DAYS} DAY AS given_up
     FROM outbox o JOIN accounts a ON a.id = o.account_id
     WHERE o.account_id = ? OR o.class_id IN (SELECT v.class_id FROM memberships v WHERE v.account_id = ?
       AND v.role = 'instructor')
     ORDER BY o.created_at DESC, o.id DESC LIMIT 100`,
    [accountId, accountId, accountId]
  )
  return rows.map(row => ({
    id: row.id as number,
    to: { name: row.name as string, email: row.email as string | null },
    subject: row.subject as string,
    body: row.body as string,
    sentAt: (row.created_at as Date).toISOString(),
    deliveredAt: (row.delivered_at as Date | null)?.toISOString() ?? null,
    failure: row.failure as string,
    givenUp: Boolean(row.given_up),
    linkId: row.link_id as number | null
  }))
}

export interface Undelivered {
  readonly id: number
  readonly email: string
  readonly name: string
  readonly subject: string
  readonly body: string
  readonly linkId: number | null
  readonly inReplyTo: string | null
  readonly references: string | null
}

/**
 * The oldest mail of the days it is tried for that no mail server has taken. It is its taker's for a minute, and for
 * one more with each try: run in a transaction that ends before it is sent, since a lock is nobody else's in a cluster.
 * Addresses of the reserved domain .example (RFC 2606) are nobody's and stay where they are.
 */
export async function claimUndelivered(db: Db): Promise<Undelivered | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, COALESCE(o.email, a.email) AS email, COALESCE(a.name, '') AS name, o.subject, o.body, o.link_id,
       o.in_reply_to, o.thread
     FROM outbox o LEFT JOIN accounts a ON a.id = o.account_id
     WHERE o.delivered_at IS NULL AND COALESCE(o.email, a.email) NOT LIKE '%.example'
       AND o.created_at > UTC_TIMESTAMP(3) - INTERVAL ${TRIED_DAYS} DAY
       AND (o.tried_at IS NULL OR o.tried_at < UTC_TIMESTAMP(3) - INTERVAL o.tries MINUTE)
     ORDER BY o.created_at, o.id LIMIT 1 FOR UPDATE SKIP LOCKED`
  )
  const row = rows[0]
  if (!row) return null
  await db.execute('UPDATE outbox SET tries = tries + 1, tried_at = UTC_TIMESTAMP(3) WHERE id = ?', [row.id as number])
  return {
    id: row.id as number,
    email: row.email as string,
    name: row.name as string,
    subject: row.subject as string,
    body: row.body as string,
    linkId: row.link_id as number | null,
    inReplyTo: row.in_reply_to as string | null,
    references: row.thread as string | null
  }
}

/** What came of it. @param failure empty when it was taken. */
export async function markTried(db: Db, id: number, failure: string): Promise<void> {
  await db.execute("UPDATE outbox SET failure = ?, delivered_at = IF(? = '', UTC_TIMESTAMP(3), NULL) WHERE id = ?", [
    failure.slice(0, 300),
    failure,
    id
  ])
}

/** Everything that was ever mailed to an account. */
export async function listMailTo(
  db: Db,
  accountId: number
): Promise<{ subject: string; body: string; sentAt: string }[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT subject, body, created_at FROM outbox WHERE account_id = ? ORDER BY created_at, id',
    [accountId]
  )
  return rows.map(row => ({
    subject: row.subject as string,
    body: row.body as string,
    sentAt: (row.created_at as Date).toISOString()
  }))
}
