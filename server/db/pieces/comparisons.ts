/**
 * One version laid on an older one: corners set by hand, what was measured, the instructor's word on each correction.
 */
import type { Comparison } from '../../../core/compare/outcome'
import type { Landing } from '../../../core/compare/verdict'
import type { Point } from '../../../core/numeric/homography'
import { comparisonSchema, landingSchema, versionCornersSchema } from '../../../shared/pieces/versions'
import type { Db, Row } from '../pool'

export interface Pair {
  readonly oldId: number
  readonly newId: number
}

export interface KeptComparison {
  /** Where somebody set them. */
  readonly corners: readonly Point[] | null
  /** Of what it was measured; null while it was not. */
  readonly basis: string | null
  readonly result: Comparison | null
}

export async function findComparison(db: Db, { oldId, newId }: Pair): Promise<KeptComparison> {
  const [rows] = await db.execute<Row[]>(
    'SELECT corners, basis, result FROM comparisons WHERE old_id = ? AND new_id = ?',
    [oldId, newId]
  )
  const row = rows[0]
  if (!row) return { corners: null, basis: null, result: null }
  const kept = comparisonSchema.safeParse(row.result)
  return {
    corners: row.corners === null ? null : versionCornersSchema.parse(row.corners),
    basis: row.basis as string | null,
    result: kept.success ? kept.data : null
  }
}

/** Whoever sets other corners meanwhile wins: what was measured by the old ones is not what is asked then. */
export async function storeComparison(
  db: Db,
  { oldId, newId }: Pair,
  { basis, result }: { readonly basis: string; readonly result: Comparison }
): Promise<void> {
  await db.execute(
    `INSERT INTO comparisons (old_id, new_id, basis, result) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE basis = VALUES(basis), result = VALUES(result)`,
    [oldId, newId, basis, JSON.stringify(result)]
  )
}

export async function storeCorners(db: Db, { oldId, newId }: Pair, corners: readonly Point[] | null): Promise<void> {
  const kept = corners && JSON.stringify(corners)
  await db.execute(
    `INSERT INTO comparisons (old_id, new_id, corners) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE corners = VALUES(corners)`,
    [oldId, newId, kept]
  )
}

/** By correction. */
export async function listLandings(db: Db, newId: number): Promise<Map<number, Landing>> {
  const [rows] = await db.execute<Row[]>('SELECT correction_id, word FROM landings WHERE new_id = ?', [newId])
  return new Map(rows.map(row => [row.correction_id as number, landingSchema.parse(row.word)]))
}

/** @param word null takes it back. */
export async function storeLanding(
  db: Db,
  {
    correctionId,
    newId,
    word
  }: { readonly correctionId: number; readonly newId: number; readonly word: Landing | null }
): Promise<void> {
  if (word === null)
    await db.execute('DELETE FROM landings WHERE correction_id = ? AND new_id = ?', [correctionId, newId])
  else
    await db.execute(
      'INSERT INTO landings (correction_id, new_id, word) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE word = VALUES(word)',
      [correctionId, newId, word]
    )
}

/** The picture of one version is another now: corners that were set by hand are of what it was. */
export async function dropCorners(db: Db, submissionId: number): Promise<void> {
  await db.execute('UPDATE comparisons SET corners = NULL, basis = NULL WHERE old_id = ? OR new_id = ?', [
    submissionId,
    submissionId
  ])
}
