/** What is kept of bytes: by which hash, how long, in which place under which key. The bytes lie in `server/blobs`. */
import type { Changed, Db, Row } from '../pool'

export type PlaceName = 'database' | 'bucket'

/** Where bytes lie. @property stored the key, of 32 letters; the bytes under it never change. */
export interface Stored {
  readonly stored: string
  readonly place: PlaceName
}
export interface KeptBlob extends Stored {
  readonly sha256: string
  readonly mediaType: string
  /** Bytes. */
  readonly size: number
}

const mapStored = (row: Row): Stored => ({ stored: row.stored as string, place: row.place as PlaceName })

export async function findBlob(db: Db, sha256: string): Promise<KeptBlob | null> {
  const [[row]] = await db.execute<Row[]>('SELECT media_type, size, stored, place FROM blobs WHERE sha256 = ?', [
    sha256
  ])
  return row ? { sha256, mediaType: row.media_type as string, size: row.size as number, ...mapStored(row) } : null
}

/** Bytes that begin to be written: should that break off, they are found by this. */
export async function insertLoose(db: Db, { stored, place }: Stored): Promise<void> {
  await db.execute('INSERT INTO loose_bytes (stored, place, since) VALUES (?, ?, UTC_TIMESTAMP(3))', [stored, place])
}

/**
 * Bytes that are whole become a blob, once: the same bytes again are no second one. Run in a transaction.
 * @returns whether these are it; if not, somebody else's are. @throws Error when they were taken away meanwhile.
 */
export async function settleBlob(db: Db, { sha256, mediaType, size, stored, place }: KeptBlob): Promise<boolean> {
  const [{ affectedRows }] = await db.execute<Changed>(
    'INSERT IGNORE INTO blobs (sha256, media_type, size, stored, place) VALUES (?, ?, ?, ?, ?)',
    [sha256, mediaType, size, stored, place]
  )
  if (affectedRows === 0) return false
  const [loose] = await db.execute<Changed>('DELETE FROM loose_bytes WHERE stored = ?', [stored])
  if (loose.affectedRows === 0) throw new Error('a picture took so long to be written that it was taken away')
  return true
}

const UNUSED = ['original_sha', 'display_sha', 'thumb_sha', 'full_sha']
  .map(column => `NOT EXISTS (SELECT 1 FROM pictures p WHERE p.${column} = blobs.sha256)`)
  .join(' AND ')

/** A blob that no picture points at any more goes; its bytes are taken away after. Run in a transaction. */
export async function deleteUnusedBlob(db: Db, sha256: string): Promise<void> {
  const [[row]] = await db.execute<Row[]>('SELECT stored, place FROM blobs WHERE sha256 = ? FOR UPDATE', [sha256])
  if (!row) return
  const [{ affectedRows }] = await db.execute<Changed>(`DELETE FROM blobs WHERE sha256 = ? AND ${UNUSED}`, [sha256])
  if (affectedRows === 0) return
  await db.execute('INSERT INTO loose_bytes (stored, place) VALUES (?, ?)', [row.stored as string, row.place as string])
}

/** Blobs kept some time ago that no picture was made of: whoever kept them was stopped in between. */
export async function listAbandoned(db: Db, seconds: number): Promise<string[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT sha256 FROM blobs WHERE kept_at < UTC_TIMESTAMP(3) - INTERVAL ? SECOND AND ${UNUSED} LIMIT 200`,
    [seconds]
  )
  return rows.map(row => row.sha256 as string)
}

/** What is to be taken away, and what somebody began to write longer ago than that and never ended. */
export async function listLoose(db: Db, seconds: number): Promise<Stored[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT stored, place FROM loose_bytes WHERE since IS NULL OR since < UTC_TIMESTAMP(3) - INTERVAL ? SECOND
     LIMIT 200`,
    [seconds]
  )
  return rows.map(mapStored)
}

/** Nobody's, and nobody writes it any more. */
export async function letGo(db: Db, stored: string): Promise<void> {
  await db.execute('UPDATE loose_bytes SET since = NULL WHERE stored = ?', [stored])
}

export async function deleteLoose(db: Db, stored: string): Promise<void> {
  await db.execute('DELETE FROM loose_bytes WHERE stored = ?', [stored])
}

/** @param part from 0. @returns its bytes. @throws Error when it is not there. */
export async function findPart(db: Db, stored: string, part: number): Promise<Buffer> {
  const [[row]] = await db.execute<Row[]>('SELECT bytes FROM blob_parts WHERE stored = ? AND part = ?', [stored, part])
  if (!row) throw new Error(`part ${part} of a picture is missing`)
  return row.bytes as Buffer
}

export async function insertPart(
  db: Db,
  stored: string,
  { part, bytes }: { part: number; bytes: Buffer }
): Promise<void> {
  await db.execute('INSERT INTO blob_parts (stored, part, bytes) VALUES (?, ?, ?)', [stored, part, bytes])
}

/** One of its parts at a time: no change is larger than a part. @returns whether there was one. */
export async function deletePart(db: Db, stored: string): Promise<boolean> {
  const [{ affectedRows }] = await db.execute<Changed>('DELETE FROM blob_parts WHERE stored = ? LIMIT 1', [stored])
  return affectedRows > 0
}
