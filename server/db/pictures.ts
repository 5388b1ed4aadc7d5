import type { Changed, Db, Row } from './pool'

export interface Blob { readonly sha256: string, readonly mediaType: string, readonly bytes: Buffer }

/** Keeps a blob once: the same bytes again are no second copy. */
export async function insertBlob(db: Db, { sha256, mediaType, bytes }: Blob): Promise<void> {
  await db.query('INSERT IGNORE INTO blobs (sha256, media_type, bytes) VALUES (?, ?, ?)', [sha256, mediaType, bytes])
}

export interface NewPicture { readonly original: string, readonly display: string, readonly thumb: string, readonly format: string, readonly width: number, readonly height: number }

export async function insertPicture(db: Db, p: NewPicture): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO pictures (original_sha, display_sha, thumb_sha, format, width, height) VALUES (?, ?, ?, ?, ?, ?)',
    [p.original, p.display, p.thumb, p.format, p.width, p.height])
  return result.insertId
}

export type PictureSize = 'display' | 'thumb'

/** The bytes of one size of a submission's picture, or null. */
export async function findPictureBytes(db: Db, submissionId: number, size: PictureSize): Promise<Blob | null> {
  const column = size === 'display' ? 'p.display_sha' : 'p.thumb_sha'
  const [rows] = await db.execute<Row[]>(
    `SELECT b.sha256, b.media_type, b.bytes FROM submissions s JOIN pictures p ON p.id = s.picture_id
     JOIN blobs b ON b.sha256 = ${column} WHERE s.id = ?`, [submissionId])
  return rows[0] ? { sha256: rows[0].sha256 as string, mediaType: rows[0].media_type as string, bytes: rows[0].bytes as Buffer } : null
}
