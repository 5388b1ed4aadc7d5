/** Corrections, in their order of importance. */
import { areaSchema } from '../../../shared/area'
import type { Correction, CorrectionInput } from '../../../shared/critique'
import { markSchema } from '../../../shared/mark'
import { targetSchema } from '../../../shared/target'
import { trialSchema } from '../../../shared/trial'
import type { Station } from '../../../core/critique/stations/station'
import type { Changed, Db, Row } from '../pool'

const mapCorrection = (row: Row, index: number): Correction => ({
  id: row.id as number,
  order: index + 1,
  station: row.station as Station,
  area: row.area === null ? null : areaSchema.parse(row.area),
  mark: row.mark === null ? null : markSchema.parse(row.mark),
  readingId: row.reading_id as string | null,
  reason: row.reason as string,
  what: row.what as string,
  todo: row.todo as string,
  target: row.target === null ? null : targetSchema.parse(row.target),
  trial: row.trial === null ? null : trialSchema.parse(row.trial),
  marked: row.marked as number,
  carriedFrom: row.carried_from as number | null
})

export async function listCorrections(db: Db, submissionId: number): Promise<Correction[]> {
  const [rows] = await db.execute<Row[]>('SELECT * FROM corrections WHERE submission_id = ? ORDER BY position, id', [
    submissionId
  ])
  return rows.map(mapCorrection)
}

const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value))

/**
 * Behind those that are there. Run under the lock on its critique: the last place is read first, since reading and
 * writing in one statement locks the gaps of other critiques too.
 */
export async function insertCorrection(db: Db, submissionId: number, c: CorrectionInput): Promise<number> {
  const [rows] = await db.execute<Row[]>(
    'SELECT COALESCE(MAX(position), 0) + 1 AS next FROM corrections WHERE submission_id = ?',
    [submissionId]
  )
  const [result] = await db.execute<Changed>(
    `INSERT INTO corrections (submission_id, position, station, area, mark, reading_id, reason, what, todo, target,
       trial)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      submissionId,
      rows[0]!.next as number,
      c.station,
      json(c.area),
      json(c.mark),
      c.readingId,
      c.reason,
      c.what,
      c.todo,
      json(c.target),
      json(c.trial)
    ]
  )
  return result.insertId
}

/** What is still open of an older version, marked once more. */
export async function markCarried(db: Db, id: number, from: Correction): Promise<void> {
  await db.execute('UPDATE corrections SET carried_from = ?, marked = ? WHERE id = ?', [from.id, from.marked + 1, id])
}

/** @returns whether the correction belongs to the submission. */
export async function updateCorrection(
  db: Db,
  submissionId: number,
  { id, c }: { readonly id: number; readonly c: CorrectionInput }
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    `UPDATE corrections
     SET station = ?, area = ?, mark = ?, reading_id = ?, reason = ?, what = ?, todo = ?, target = ?, trial = ?
     WHERE id = ? AND submission_id = ?`,
    [
      c.station,
      json(c.area),
      json(c.mark),
      c.readingId,
      c.reason,
      c.what,
      c.todo,
      json(c.target),
      json(c.trial),
      id,
      submissionId
    ]
  )
  return result.affectedRows === 1
}

export async function deleteCorrection(db: Db, submissionId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM corrections WHERE id = ? AND submission_id = ?', [
    id,
    submissionId
  ])
  return result.affectedRows === 1
}

export async function reorderCorrections(db: Db, submissionId: number, order: readonly number[]): Promise<void> {
  for (const [position, id] of order.entries()) {
    await db.execute('UPDATE corrections SET position = ? WHERE id = ? AND submission_id = ?', [
      position + 1,
      id,
      submissionId
    ])
  }
}

/** What an annotation that was read in carried beside what a correction knows; by correction. */
export async function listAnnotations(db: Db, submissionId: number): Promise<Map<number, Record<string, unknown>>> {
  const [rows] = await db.execute<Row[]>(
    'SELECT id, annotation FROM corrections WHERE submission_id = ? AND annotation IS NOT NULL',
    [submissionId]
  )
  return new Map(rows.map(row => [row.id as number, row.annotation as Record<string, unknown>]))
}

export async function updateAnnotation(db: Db, id: number, annotation: object): Promise<void> {
  await db.execute('UPDATE corrections SET annotation = ? WHERE id = ?', [JSON.stringify(annotation), id])
}
