/** Who is what in which class. */
import type { Account, ClassRole } from '../../../shared/account'
import { ACCOUNT, mapAccount } from '../people/accounts'
import type { Changed, Db, Row } from '../pool'

export interface Membership {
  readonly classId: number
  readonly accountId: number
  readonly role: ClassRole
}

/** @returns whether it is new: who is in a class already stays what they are there. */
export async function insertMembership(db: Db, { classId, accountId, role }: Membership): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'INSERT IGNORE INTO memberships (class_id, account_id, role) VALUES (?, ?, ?)',
    [classId, accountId, role]
  )
  return result.affectedRows === 1
}

export async function updateMembership(db: Db, { classId, accountId, role }: Membership): Promise<void> {
  await db.execute('UPDATE memberships SET role = ? WHERE class_id = ? AND account_id = ?', [role, classId, accountId])
}

export async function deleteMembership(db: Db, classId: number, accountId: number): Promise<void> {
  await db.execute('DELETE FROM memberships WHERE class_id = ? AND account_id = ?', [classId, accountId])
}

/** What somebody is in a class, and whether it is archived; null of a class that there is not. */
export async function findRole(
  db: Db,
  classId: number,
  accountId: number
): Promise<{ readonly role: ClassRole | null; readonly archived: boolean } | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT c.archived_at IS NOT NULL AS archived, m.role FROM classes c
     LEFT JOIN memberships m ON m.class_id = c.id AND m.account_id = ? WHERE c.id = ?`,
    [accountId, classId]
  )
  return rows[0] ? { role: rows[0].role as ClassRole | null, archived: Boolean(rows[0].archived) } : null
}

/** @property entered whether they ever set a password. @property invitedUntil end of the link that waits for them. */
export interface Member {
  readonly account: Account
  readonly role: ClassRole
  readonly entered: boolean
  readonly seenAt: string | null
  readonly invitedUntil: string | null
  readonly pieces: number
}

const iso = (at: unknown): string | null => (at as Date | null)?.toISOString() ?? null

/** Everybody in a class: who teaches first, then by name. */
export async function listMembers(db: Db, classId: number): Promise<Member[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${ACCOUNT}, m.role, a.password_hash IS NOT NULL AS entered, a.seen_at,
       (SELECT MAX(l.expires_at) FROM links l WHERE l.account_id = a.id AND l.kind = 'invitation'
         AND l.expires_at > UTC_TIMESTAMP(3)) AS invited_until,
       (SELECT COUNT(*) FROM submissions s WHERE s.class_id = m.class_id AND s.learner_id = a.id) AS pieces
     FROM memberships m JOIN accounts a ON a.id = m.account_id WHERE m.class_id = ? ORDER BY m.role, a.name, a.id`,
    [classId]
  )
  return rows.map(row => ({
    account: mapAccount(row),
    role: row.role as ClassRole,
    entered: Boolean(row.entered),
    seenAt: iso(row.seen_at),
    invitedUntil: iso(row.invited_until),
    pieces: Number(row.pieces)
  }))
}

/** Accounts that teach a class. */
export async function listInstructors(db: Db, classId: number): Promise<{ id: number; name: string }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT a.id, a.name FROM memberships m JOIN accounts a ON a.id = m.account_id
     WHERE m.class_id = ? AND m.role = 'instructor' ORDER BY m.joined_at, a.id`,
    [classId]
  )
  return rows.map(row => ({ id: row.id as number, name: row.name as string }))
}
