/** Sittings: which piece of a call is before the room, for how long each was, what was said of it. */
import type { Queued } from '../../../core/call/sitting'
import type { Station } from '../../../core/critique/stations/station'
import { tagOf } from '../../../core/critique/stations/table'
import type { SittingPiece } from '../../../shared/sitting'
import { hold } from '../hold'
import type { Changed, Db, Row } from '../pool'

export interface SittingRow {
  readonly id: number
  readonly callId: number
  readonly classId: number
  readonly call: string
  readonly budgetMinutes: number
  readonly begunAt: Date
  readonly endedAt: Date | null
  readonly upId: number | null
  /** The clock of the piece that is up runs from here; null in a pause. */
  readonly since: Date | null
}

const mapSitting = (row: Row): SittingRow => ({
  id: row.id as number,
  callId: row.call_id as number,
  classId: row.class_id as number,
  call: row.name as string,
  budgetMinutes: row.budget_minutes as number,
  begunAt: row.begun_at as Date,
  endedAt: row.ended_at as Date | null,
  upId: row.up_id as number | null,
  since: row.since as Date | null
})
const SELECT = `SELECT t.*, k.class_id, c.name, c.budget_minutes FROM sittings t JOIN calls k ON k.id = t.call_id
  JOIN classes c ON c.id = k.class_id`

/** @param lock holds it until the transaction ends. */
export async function findSitting(db: Db, id: number, lock = false): Promise<SittingRow | null> {
  if (lock) await hold(db, 'sittings', id)
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE t.id = ?${lock ? ' FOR UPDATE' : ''}`, [id])
  return rows[0] ? mapSitting(rows[0]) : null
}

/** Those of a call, the latest first. */
export async function listSittings(db: Db, callId: number): Promise<SittingRow[]> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE t.call_id = ? ORDER BY t.begun_at DESC, t.id DESC`, [callId])
  return rows.map(mapSitting)
}

/** Of a call's pieces those nobody has talked about, in the desk's order. */
export async function insertSitting(db: Db, callId: number): Promise<number> {
  const [{ insertId }] = await db.execute<Changed>(
    'INSERT INTO sittings (call_id, begun_at) VALUES (?, UTC_TIMESTAMP(3))',
    [callId]
  )
  await addNewPieces(db, insertId)
  return insertId
}

/** What has come onto the desk since goes behind the others. */
export async function addNewPieces(db: Db, id: number): Promise<void> {
  await db.execute(
    `INSERT INTO sitting_pieces (sitting_id, submission_id, place, said)
     SELECT t.id, s.id, (SELECT COALESCE(MAX(b.place), 0) FROM sitting_pieces b WHERE b.sitting_id = t.id)
         + ROW_NUMBER() OVER (ORDER BY s.handed_in_at, s.id), ''
     FROM sittings t JOIN call_entries e ON e.call_id = t.call_id JOIN submissions s ON s.id = e.submission_id
     WHERE t.id = ? AND NOT EXISTS (SELECT 1 FROM sitting_pieces p JOIN sittings o ON o.id = p.sitting_id
       WHERE p.submission_id = s.id AND (p.standing = 'said' OR o.id = t.id))`,
    [id]
  )
}

export async function listQueued(db: Db, id: number): Promise<Queued[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT submission_id, place, standing FROM sitting_pieces WHERE sitting_id = ? ORDER BY place, submission_id',
    [id]
  )
  return rows.map(row => ({
    id: row.submission_id as number,
    place: row.place as number,
    standing: row.standing as Queued['standing']
  }))
}

export type SittingPieceRow = Omit<SittingPiece, 'marked'>
export async function listSittingPieces(db: Db, id: number): Promise<SittingPieceRow[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.*, s.title, s.question, a.name, e.named, i.width, i.height FROM sitting_pieces p
     JOIN submissions s ON s.id = p.submission_id JOIN accounts a ON a.id = s.learner_id
     JOIN pictures i ON i.id = s.picture_id LEFT JOIN call_entries e ON e.submission_id = s.id
     WHERE p.sitting_id = ? ORDER BY p.place, p.submission_id`,
    [id]
  )
  return rows.map(row => ({
    id: row.submission_id as number,
    title: row.title as string,
    by: row.named ? (row.name as string) : null,
    question: row.question as string,
    width: row.width as number,
    height: row.height as number,
    standing: row.standing as SittingPieceRow['standing'],
    seconds: row.seconds as number,
    said: row.said as string
  }))
}

/** What is marked on its pieces, each with its tag. */
export async function listMarked(db: Db, id: number): Promise<Map<number, string[]>> {
  const [rows] = await db.execute<Row[]>(
    `SELECT c.submission_id, c.station, c.what FROM sitting_pieces p JOIN corrections c USING (submission_id)
     WHERE p.sitting_id = ? ORDER BY c.submission_id, c.position, c.id`,
    [id]
  )
  const marked = new Map<number, string[]>()
  for (const row of rows) {
    const of = marked.get(row.submission_id as number) ?? []
    of.push(`${tagOf({ station: row.station as Station, order: of.length + 1 })} ${row.what as string}`)
    marked.set(row.submission_id as number, of)
  }
  return marked
}

export async function updateQueued(db: Db, id: number, { id: pieceId, place, standing }: Queued): Promise<void> {
  await db.execute('UPDATE sitting_pieces SET place = ?, standing = ? WHERE sitting_id = ? AND submission_id = ?', [
    place,
    standing,
    id,
    pieceId
  ])
}

/** @param since null stops its clock. */
export async function updateUp(db: Db, id: number, { upId, since }: Pick<SittingRow, 'upId' | 'since'>): Promise<void> {
  await db.execute('UPDATE sittings SET up_id = ?, since = ? WHERE id = ?', [upId, since, id])
}

export async function addSeconds(
  db: Db,
  id: number,
  { pieceId, seconds }: { readonly pieceId: number; readonly seconds: number }
): Promise<void> {
  await db.execute('UPDATE sitting_pieces SET seconds = seconds + ? WHERE sitting_id = ? AND submission_id = ?', [
    seconds,
    id,
    pieceId
  ])
}

/** @returns whether that piece is in it. */
export async function updateSaid(
  db: Db,
  id: number,
  { pieceId, said }: { readonly pieceId: number; readonly said: string }
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE sitting_pieces SET said = ? WHERE sitting_id = ? AND submission_id = ?',
    [said, id, pieceId]
  )
  return result.affectedRows > 0
}

export async function endSitting(db: Db, id: number): Promise<void> {
  await db.execute('UPDATE sittings SET ended_at = UTC_TIMESTAMP(3), up_id = NULL, since = NULL WHERE id = ?', [id])
}

/** What was said of a piece in sittings that are over, with their day. */
export async function listSaid(db: Db, submissionId: number): Promise<{ readonly at: Date; readonly said: string }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT t.ended_at, p.said FROM sitting_pieces p JOIN sittings t ON t.id = p.sitting_id
     WHERE p.submission_id = ? AND p.standing = 'said' AND t.ended_at IS NOT NULL ORDER BY t.ended_at, t.id`,
    [submissionId]
  )
  return rows.map(row => ({ at: row.ended_at as Date, said: row.said as string }))
}
