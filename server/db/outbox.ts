import type { Mail } from '../../shared/mail'
import type { Db, Row } from './pool'

export async function insertMail(db: Db, accountId: number, subject: string, body: string): Promise<void> {
  await db.execute('INSERT INTO outbox (account_id, subject, body) VALUES (?, ?, ?)', [accountId, subject, body])
}

/** The latest mail to an account, and for an instructor also that to the learners of their classes. */
export async function listMail(db: Db, accountId: number): Promise<Mail[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, a.name, a.email, o.subject, o.body, o.created_at FROM outbox o JOIN accounts a ON a.id = o.account_id
     WHERE o.account_id = ? OR o.account_id IN (SELECT e.learner_id FROM enrolments e JOIN classes c ON c.id = e.class_id WHERE c.instructor_id = ?)
     ORDER BY o.id DESC LIMIT 100`, [accountId, accountId])
  return rows.map(row => ({
    id: row.id as number, to: { name: row.name as string, email: row.email as string }, subject: row.subject as string, body: row.body as string, sentAt: (row.created_at as Date).toISOString()
  }))
}
