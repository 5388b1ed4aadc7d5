/** Exports: asked for by one server, made by any, given by any. */
import type { ExportState, MadeExport } from '../../../shared/pieces/export'
import { hold } from '../hold'
import type { Changed, Db, Row } from '../pool'
import type { Stored } from './blobs'

export interface ExportRow {
  readonly id: string
  readonly accountId: number
  readonly submissionId: number
  readonly name: MadeExport
  readonly state: ExportState['state']
  readonly share: number
  /** What was made, once it is. */
  readonly made: (Stored & { readonly size: number }) | null
}

const mapExport = (row: Row): ExportRow => ({
  id: row.id as string,
  accountId: row.account_id as number,
  submissionId: row.submission_id as number,
  name: row.name as MadeExport,
  state: row.state as ExportState['state'],
  share: row.share as number,
  made: row.stored === null ? null : ({ stored: row.stored, place: row.place, size: row.size } as ExportRow['made'])
})

/** So long an export is its maker's without a word from it. */
const LEASE_S = 15
/** One that so many makers began and none of them finished is begun no more. */
const MOST_ATTEMPTS = 3
/** What was made is kept so long, and nothing is made for longer than the second. */
const KEPT_MIN = 15,
  MOST_MIN = 60

const FREE = "state = 'making' AND (leased_until IS NULL OR leased_until < UTC_TIMESTAMP(3))"

/** The exports of one person, oldest first, with the person held: of three asked for at once each counts the others. */
export async function holdExportsOf(db: Db, accountId: number): Promise<ExportRow[]> {
  await hold(db, 'accounts', accountId)
  const [rows] = await db.execute<Row[]>('SELECT * FROM exports WHERE account_id = ? ORDER BY asked_at', [accountId])
  return rows.map(mapExport)
}

export async function insertExport(
  db: Db,
  { id, accountId, submissionId, name }: Pick<ExportRow, 'id' | 'accountId' | 'submissionId' | 'name'>
): Promise<void> {
  await db.execute('INSERT INTO exports (id, account_id, submission_id, name) VALUES (?, ?, ?, ?)', [
    id,
    accountId,
    submissionId,
    name
  ])
}

export async function findExport(db: Db, id: string): Promise<ExportRow | null> {
  const [[row]] = await db.execute<Row[]>('SELECT * FROM exports WHERE id = ?', [id])
  return row ? mapExport(row) : null
}

/** Whose turn it is. Run in a transaction: the row is locked until it is marked. @param by who takes it. */
export async function claimExport(db: Db, by: string): Promise<ExportRow | null> {
  await db.execute(`UPDATE exports SET state = 'failed', ended_at = UTC_TIMESTAMP(3) WHERE ${FREE} AND attempts >= ?`, [
    MOST_ATTEMPTS
  ])
  const [[row]] = await db.execute<Row[]>(
    `SELECT * FROM exports WHERE ${FREE} ORDER BY asked_at LIMIT 1 FOR UPDATE SKIP LOCKED`
  )
  if (!row) return null
  await db.execute('UPDATE exports SET claimed_by = ?, attempts = attempts + 1 WHERE id = ?', [by, row.id as string])
  await tellExport(db, { id: row.id as string, by }, 0)
  return mapExport(row)
}

type Held = { readonly id: string; readonly by: string }

/** How far it is, which renews its lease. @returns whether it is still wanted, and its maker's. */
export async function tellExport(db: Db, { id, by }: Held, share: number): Promise<boolean> {
  const [{ affectedRows }] = await db.execute<Changed>(
    `UPDATE exports SET share = ?, leased_until = UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND
     WHERE id = ? AND claimed_by = ? AND state = 'making'`,
    [share, id, by]
  )
  return affectedRows > 0
}

/** @param made null when it could not be made. @returns whether it was still wanted. Run in a transaction. */
export async function endExport(
  db: Db,
  { id, by }: Held,
  made: (Stored & { readonly size: number }) | null
): Promise<boolean> {
  const [{ affectedRows }] = await db.execute<Changed>(
    `UPDATE exports SET state = ?, share = ?, stored = ?, place = ?, size = ?, ended_at = UTC_TIMESTAMP(3)
     WHERE id = ? AND claimed_by = ? AND state = 'making'`,
    [made ? 'done' : 'failed', made ? 1 : 0, made?.stored ?? null, made?.place ?? null, made?.size ?? null, id, by]
  )
  if (affectedRows > 0 && made) await db.execute('DELETE FROM loose_bytes WHERE stored = ?', [made.stored])
  return affectedRows > 0
}

/** Given back by a server that stops: whoever looks next makes it. */
export async function releaseExport(db: Db, { id, by }: Held): Promise<void> {
  await db.execute(
    'UPDATE exports SET leased_until = NULL, attempts = GREATEST(attempts, 1) - 1 WHERE id = ? AND claimed_by = ?',
    [id, by]
  )
}

/**
 * Exports go, wherever they stand: being made, the maker hears of it; made, their bytes are loose. Run in a
 * transaction.
 * @param which of `exports`, as in "account_id = ?".
 */
async function deleteExports(db: Db, which: string, values: readonly (string | number)[] = []): Promise<void> {
  const [rows] = await db.execute<Row[]>(`SELECT id, stored, place FROM exports WHERE ${which} FOR UPDATE`, [...values])
  for (const { id, stored, place } of rows) {
    if (stored !== null)
      await db.execute('INSERT INTO loose_bytes (stored, place) VALUES (?, ?)', [stored as string, place as string])
    await db.execute('DELETE FROM exports WHERE id = ?', [id as string])
  }
}

export const deleteExport = (db: Db, id: string): Promise<void> => deleteExports(db, 'id = ?', [id])
export const deleteExportsOf = (db: Db, accountId: number, submissionId: number): Promise<void> =>
  deleteExports(db, 'account_id = ? AND submission_id = ?', [accountId, submissionId])
export const deleteExportsBy = (db: Db, accountId: number): Promise<void> =>
  deleteExports(db, 'account_id = ?', [accountId])
export async function deleteExportsAbout(db: Db, submissionIds: readonly number[]): Promise<void> {
  for (const id of submissionIds) await deleteExports(db, 'submission_id = ?', [id])
}
export const deleteOldExports = (db: Db): Promise<void> =>
  deleteExports(
    db,
    `ended_at < UTC_TIMESTAMP(3) - INTERVAL ${KEPT_MIN} MINUTE
     OR asked_at < UTC_TIMESTAMP(3) - INTERVAL ${MOST_MIN} MINUTE`
  )
