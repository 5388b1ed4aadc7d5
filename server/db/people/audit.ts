/** The audit trail: rows are written once and never changed. */
import type { AuditAction, AuditEntry } from '../../../shared/audit'
import type { Db, Row } from '../pool'

/**
 * Ids only: names are looked up when it is read, and are gone with their account. @property detail a kind or a count,
 * never words of a person.
 */
export interface NewAudit {
  readonly action: AuditAction
  readonly actorId: number | null
  readonly accountId?: number | null
  readonly classId?: number | null
  readonly submissionId?: number | null
  readonly detail?: string
}

export async function insertAudit(
  db: Db,
  { action, actorId, accountId = null, classId = null, submissionId = null, detail = '' }: NewAudit
): Promise<void> {
  await db.execute(
    'INSERT INTO audit (action, actor_id, account_id, class_id, submission_id, detail) VALUES (?, ?, ?, ?, ?, ?)',
    [action, actorId, accountId, classId, submissionId, detail]
  )
}

/** The latest first. @param before the entry that the window begins behind; null for the first. */
export async function listAudit(
  db: Db,
  { before, most }: { readonly before: number | null; readonly most: number }
): Promise<AuditEntry[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT t.id, t.at, t.action, t.actor_id, t.account_id, t.class_id, t.submission_id, t.detail, w.name AS actor,
     a.name AS account, c.name AS class
     FROM audit t LEFT JOIN accounts w ON w.id = t.actor_id LEFT JOIN accounts a ON a.id = t.account_id LEFT
       JOIN classes c ON c.id = t.class_id
     ${before === null ? '' : 'WHERE (t.at, t.id) < (SELECT b.at, b.id FROM audit b WHERE b.id = ?)'}
     ORDER BY t.at DESC, t.id DESC LIMIT ${most}`,
    before === null ? [] : [before]
  )
  const named = (id: unknown, name: unknown): string =>
    id === null ? '' : ((name as string | null) ?? `somebody erased (${String(id)})`)
  return rows.map(row => ({
    id: row.id as number,
    at: (row.at as Date).toISOString(),
    action: row.action as AuditAction,
    actor: row.actor_id === null ? 'the house' : named(row.actor_id, row.actor),
    account: named(row.account_id, row.account),
    className: (row.class as string | null) ?? '',
    submissionId: row.submission_id as number | null,
    detail: row.detail as string
  }))
}

/** What somebody did, and what was done to them, without anybody else's name. */
export async function listAuditOf(
  db: Db,
  accountId: number
): Promise<{ at: string; action: string; detail: string }[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT at, action, detail FROM audit WHERE actor_id = ? OR account_id = ? ORDER BY at, id',
    [accountId, accountId]
  )
  return rows.map(row => ({
    at: (row.at as Date).toISOString(),
    action: row.action as string,
    detail: row.detail as string
  }))
}
