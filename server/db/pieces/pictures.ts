import type { Source } from '../../../core/measure/source'
import { photoToldSchema } from '../../../shared/pieces/photo'
import type { Photo } from './photos'
import type { Changed, Db, Row } from '../pool'
import { deleteUnusedBlob } from './blobs'

function shakenOf({ told }: Row): Pick<Source, 'shaken'> {
  const kinds = photoToldSchema.safeParse(told).data?.doubts.map(d => d.kind)
  return kinds?.length ? { shaken: kinds } : {}
}

/** Of a row with a picture's own columns. */
export const sourceOf = (row: Row): Source => ({
  format: row.format as string,
  width: row.width as number,
  height: row.height as number,
  ...(row.bits_per_pixel === null ? {} : { bitsPerPixel: row.bits_per_pixel as number }),
  ...(row.photograph ? { photograph: true } : {}),
  ...shakenOf(row)
})

export interface NewPicture {
  readonly original: string
  readonly display: string
  readonly thumb: string
  readonly source: Source
  /** What was done to the photograph, and what came of it. */
  readonly photo: Photo | null
}

export async function insertPicture(db: Db, p: NewPicture): Promise<number> {
  const { format, width, height, bitsPerPixel, photograph } = p.source
  const [result] = await db.execute<Changed>(
    `INSERT INTO pictures (original_sha, display_sha, thumb_sha, format, width, height, bits_per_pixel, photograph,
       steps, told, bare)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, TRUE)`,
    [
      p.original,
      p.display,
      p.thumb,
      format,
      width,
      height,
      bitsPerPixel ?? null,
      photograph ?? false,
      p.photo && JSON.stringify(p.photo.steps),
      p.photo && JSON.stringify(p.photo.told)
    ]
  )
  return result.insertId
}

/** Another picture made of the same original: what was made of it before is no longer shown. */
export async function updatePicture(db: Db, submissionId: number, p: NewPicture): Promise<void> {
  const { width, height } = p.source
  const [before] = await db.execute<Row[]>(
    `SELECT p.original_sha, p.display_sha, p.thumb_sha, p.full_sha FROM pictures p
     JOIN submissions s ON s.picture_id = p.id WHERE s.id = ? FOR UPDATE`,
    [submissionId]
  )
  await db.execute(
    `UPDATE pictures p JOIN submissions s ON s.picture_id = p.id
     SET p.original_sha = ?, p.display_sha = ?, p.thumb_sha = ?, p.full_sha = NULL, p.width = ?, p.height = ?,
       p.steps = ?, p.told = ?, p.bare = TRUE
     WHERE s.id = ?`,
    [
      p.original,
      p.display,
      p.thumb,
      width,
      height,
      p.photo && JSON.stringify(p.photo.steps),
      p.photo && JSON.stringify(p.photo.told),
      submissionId
    ]
  )
  for (const sha of Object.values(before[0] ?? {}) as (string | null)[]) if (sha) await deleteUnusedBlob(db, sha)
}

/** The next picture, by id, whose original still has its metadata. */
export async function findUnstripped(db: Db, after: number): Promise<{ id: number; sha256: string } | null> {
  const [rows] = await db.execute<Row[]>(
    'SELECT id, original_sha FROM pictures WHERE bare = FALSE AND id > ? ORDER BY id LIMIT 1',
    [after]
  )
  return rows[0] ? { id: Number(rows[0].id), sha256: String(rows[0].original_sha) } : null
}

export async function replaceOriginal(
  db: Db,
  { id, before, after }: { readonly id: number; readonly before: string; readonly after: string }
): Promise<void> {
  await db.execute('UPDATE pictures SET original_sha = ?, bare = TRUE WHERE id = ? AND original_sha = ?', [
    after,
    id,
    before
  ])
}

export type PictureSize = 'original' | 'display' | 'thumb' | 'full'

const COLUMN: Readonly<Record<PictureSize, string>> = {
  original: 'p.original_sha',
  display: 'p.display_sha',
  thumb: 'p.thumb_sha',
  full: 'p.full_sha'
}

/**
 * By which hash one size of a submission's picture, or the display size of its reference, is kept; null when it is not.
 */
export async function findPictureHash(
  db: Db,
  submissionId: number,
  size: PictureSize | 'reference'
): Promise<string | null> {
  const [rows] = await db.execute<Row[]>(
    size === 'reference'
      ? 'SELECT p.display_sha AS sha FROM submissions s JOIN pictures p ON p.id = s.reference_id WHERE s.id = ?'
      : `SELECT ${COLUMN[size]} AS sha FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?`,
    [submissionId]
  )
  return (rows[0]?.sha as string | null | undefined) ?? null
}

export async function updateFullSize(db: Db, submissionId: number, sha256: string): Promise<void> {
  await db.execute('UPDATE pictures p JOIN submissions s ON s.picture_id = p.id SET p.full_sha = ? WHERE s.id = ?', [
    sha256,
    submissionId
  ])
}
