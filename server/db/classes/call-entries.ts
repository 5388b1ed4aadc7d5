/** What guests handed in to an open call. */
import type { z } from 'zod'
import { entryStateSchema, type EntryWritten } from '../../../shared/call'
import { deletePictures } from '../exercises/answers'
import type { Changed, Db, Row } from '../pool'

export type EntryState = z.infer<typeof entryStateSchema>
/** What the guest wrote of the piece. */
export type EntryWords = Pick<EntryWritten, 'title' | 'stage' | 'medium' | 'about' | 'question' | 'focusX' | 'focusY'>

export interface EntryRow {
  readonly id: number
  readonly callId: number
  readonly accountId: number
  readonly name: string
  readonly email: string
  readonly guardianEmail: string | null
  readonly named: boolean
  readonly words: EntryWords
  readonly pictureId: number
  readonly submissionId: number | null
  readonly state: EntryState
  /** Its critique is released. */
  readonly ready: boolean
}

const mapEntry = (row: Row): EntryRow => ({
  id: row.id as number,
  callId: row.call_id as number,
  accountId: row.account_id as number,
  name: row.name as string,
  email: row.email as string,
  guardianEmail: row.guardian_email as string | null,
  named: Boolean(row.named),
  words: row.words as EntryWords,
  pictureId: row.picture_id as number,
  submissionId: row.submission_id as number | null,
  state: entryStateSchema.parse(row.state),
  ready: row.critique === 'released'
})
const SELECT = `SELECT e.*, a.name, k.state AS critique FROM call_entries e JOIN accounts a ON a.id = e.account_id
  LEFT JOIN critiques k ON k.submission_id = e.submission_id`

export interface NewEntry {
  readonly callId: number
  readonly accountId: number
  readonly email: string
  readonly guardianEmail: string | null
  readonly named: boolean
  readonly words: EntryWords
  readonly pictureId: number
  readonly proof: Buffer
  readonly at: Date
}

/** @throws a duplicate's error where the same proof came before. */
export async function insertEntry(db: Db, e: NewEntry): Promise<number> {
  const [result] = await db.execute<Changed>(
    `INSERT INTO call_entries (call_id, account_id, email, guardian_email, named, words, picture_id, proof, sent_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [e.callId, e.accountId, e.email, e.guardianEmail, e.named, JSON.stringify(e.words), e.pictureId, e.proof, e.at]
  )
  return result.insertId
}

/** By the account that its link opens. */
export async function findEntryOf(db: Db, accountId: number): Promise<EntryRow | null> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE e.account_id = ?`, [accountId])
  return rows[0] ? mapEntry(rows[0]) : null
}

export async function findEntryBySubmission(db: Db, submissionId: number): Promise<EntryRow | null> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE e.submission_id = ?`, [submissionId])
  return rows[0] ? mapEntry(rows[0]) : null
}

/** In the order they were confirmed, then sent. */
export async function listEntries(db: Db, callId: number): Promise<EntryRow[]> {
  const [rows] = await db.execute<Row[]>(
    `${SELECT} WHERE e.call_id = ? ORDER BY e.confirmed_at IS NULL, e.confirmed_at, e.id`,
    [callId]
  )
  return rows.map(mapEntry)
}

/** Of a call, all there are, and those of one address among them. */
export async function countEntries(
  db: Db,
  callId: number,
  email: string
): Promise<{ readonly all: number; readonly own: number }> {
  const [rows] = await db.execute<Row[]>(
    'SELECT COUNT(*) AS n, COALESCE(SUM(email = ?), 0) AS own FROM call_entries WHERE call_id = ?',
    [email, callId]
  )
  return { all: Number(rows[0]!.n), own: Number(rows[0]!.own) }
}

export async function updateEntry(
  db: Db,
  id: number,
  { state, submissionId }: { readonly state: EntryState; readonly submissionId?: number | null }
): Promise<void> {
  await db.execute(
    `UPDATE call_entries SET state = ?, confirmed_at = IF(? <> 'sent', COALESCE(confirmed_at, UTC_TIMESTAMP(3)), NULL),
       submission_id = COALESCE(?, submission_id) WHERE id = ?`,
    [state, state, submissionId ?? null, id]
  )
}

/** Accounts of guests whose address was never confirmed, or whose piece was taken off, so many days on. */
export async function listUnconfirmed(db: Db, days: number): Promise<number[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT account_id FROM call_entries WHERE state = 'sent' AND sent_at < UTC_TIMESTAMP(3) - INTERVAL ? DAY
     UNION SELECT l.account_id FROM links l WHERE l.kind = 'entry'
       AND l.created_at < UTC_TIMESTAMP(3) - INTERVAL ? DAY
       AND NOT EXISTS (SELECT 1 FROM call_entries e WHERE e.account_id = l.account_id)`,
    [days, days]
  )
  return rows.map(row => row.account_id as number)
}

/** Of an account that goes, with its picture. */
export async function deleteEntryOf(db: Db, accountId: number): Promise<void> {
  const [pictures] = await db.execute<Row[]>(
    `SELECT p.id, p.original_sha, p.display_sha, p.thumb_sha, p.full_sha FROM pictures p
     JOIN call_entries e ON e.picture_id = p.id WHERE e.account_id = ?`,
    [accountId]
  )
  await db.execute('DELETE FROM call_entries WHERE account_id = ?', [accountId])
  await deletePictures(db, pictures)
}
