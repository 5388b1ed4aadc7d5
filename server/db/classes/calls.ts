/** Open calls, and what guests handed in to them. */
import type { CallOrder } from '../../../core/call/order'
import type { CallWritten } from '../../../shared/call'
import { hold } from '../hold'
import type { Changed, Db, Row } from '../pool'

export interface CallRow {
  readonly id: number
  readonly classId: number
  readonly nonce: Buffer
  readonly title: string
  readonly asked: string
  readonly opensAt: Date
  readonly closesAt: Date
  readonly perPerson: number
  readonly most: number
  readonly ordered: CallOrder
  readonly seed: number
  readonly returned: CallWritten['returned']
  readonly budgetMinutes: number
  readonly drawn: boolean
  /** Nobody hands in any more. */
  readonly archived: boolean
}

const mapCall = (row: Row): CallRow => ({
  id: row.id as number,
  classId: row.class_id as number,
  nonce: row.nonce as Buffer,
  title: row.name as string,
  asked: row.asked as string,
  opensAt: row.opens_at as Date,
  closesAt: row.closes_at as Date,
  perPerson: row.per_person as number,
  most: row.most as number,
  ordered: row.ordered as CallOrder,
  seed: Number(row.seed),
  returned: row.returned as CallWritten['returned'],
  budgetMinutes: row.budget_minutes as number,
  drawn: row.drawn_at !== null,
  archived: row.archived_at !== null
})
const SELECT = `SELECT k.*, c.name, c.budget_minutes, c.archived_at FROM calls k JOIN classes c ON c.id = k.class_id`

export type NewCall = Pick<
  CallRow,
  'classId' | 'nonce' | 'asked' | 'opensAt' | 'closesAt' | 'perPerson' | 'most' | 'ordered' | 'seed' | 'returned'
>
export async function insertCall(db: Db, k: NewCall): Promise<number> {
  const [result] = await db.execute<Changed>(
    `INSERT INTO calls (class_id, nonce, asked, opens_at, closes_at, per_person, most, ordered, seed, returned)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [k.classId, k.nonce, k.asked, k.opensAt, k.closesAt, k.perPerson, k.most, k.ordered, k.seed, k.returned]
  )
  return result.insertId
}

/** @param lock holds it, so that what is counted in it stays so until the transaction ends. */
export async function findCall(db: Db, id: number, lock = false): Promise<CallRow | null> {
  if (lock) await hold(db, 'calls', id)
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE k.id = ?${lock ? ' FOR UPDATE' : ''}`, [id])
  return rows[0] ? mapCall(rows[0]) : null
}

/** Those whose classes somebody teaches, the newest first. */
export async function listCalls(db: Db, accountId: number): Promise<CallRow[]> {
  const [rows] = await db.execute<Row[]>(
    `${SELECT} JOIN memberships m ON m.class_id = k.class_id AND m.account_id = ? AND m.role = 'instructor'
     ORDER BY k.opens_at DESC, k.id DESC`,
    [accountId]
  )
  return rows.map(mapCall)
}

export async function markDrawn(db: Db, id: number): Promise<void> {
  await db.execute('UPDATE calls SET drawn_at = UTC_TIMESTAMP(3) WHERE id = ?', [id])
}

export async function updateCloses(db: Db, id: number, at: Date): Promise<void> {
  await db.execute('UPDATE calls SET closes_at = ? WHERE id = ?', [at, id])
}

/** Whether a class is a call's: nobody hands in to it but by the call. */
export async function isCall(db: Db, classId: number): Promise<boolean> {
  const [rows] = await db.execute<Row[]>('SELECT 1 FROM calls WHERE class_id = ?', [classId])
  return rows.length > 0
}
