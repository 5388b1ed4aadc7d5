/** Versions of a piece: what was handed in again points at what was handed in first. */
import type { Source } from '../../../core/measure/source'
import type { Stage } from '../../../shared/pieces/submission'
import type { Version } from '../../../shared/pieces/versions'
import { sourceOf } from './pictures'
import type { Db, Row } from '../pool'

const mapVersion = (row: Row, index: number): Version => ({
  id: row.id as number,
  number: index + 1,
  handedInAt: (row.handed_in_at as Date).toISOString(),
  stage: row.stage as Stage,
  state: row.state === 'released' ? 'released' : 'waiting',
  width: row.width as number,
  height: row.height as number
})

/**
 * All versions of the piece that this one is a version of, the first of them first; itself where it is the only one.
 */
export async function listVersions(db: Db, id: number): Promise<Version[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT s.id, s.handed_in_at, s.stage, p.width, p.height, COALESCE(k.state, 'draft') AS state
     FROM submissions me JOIN submissions s ON s.id = COALESCE(me.first_id, me.id)
       OR s.first_id = COALESCE(me.first_id, me.id)
     JOIN pictures p ON p.id = s.picture_id LEFT JOIN critiques k ON k.submission_id = s.id
     WHERE me.id = ? ORDER BY s.handed_in_at, s.id`,
    [id]
  )
  return rows.map(mapVersion)
}

/** What the first version of a piece is, for one that is to be the next. */
export async function findFirst(db: Db, id: number): Promise<number> {
  const [rows] = await db.execute<Row[]>('SELECT COALESCE(first_id, id) AS first FROM submissions WHERE id = ?', [id])
  return rows[0]!.first as number
}

/** What a stored picture is measured as, and by which hash it is kept. */
export async function findSource(db: Db, id: number): Promise<{ source: Source; sha256: string } | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.format, p.width, p.height, p.bits_per_pixel, p.photograph, p.told, p.display_sha
     FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?`,
    [id]
  )
  const row = rows[0]
  return row ? { source: sourceOf(row), sha256: row.display_sha as string } : null
}
