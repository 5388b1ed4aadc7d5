/**
 * What a learner photographs for an exercise beside handing it in: studies that are theirs alone, filled worksheets.
 */
import { z } from 'zod'
import type { CheckResult } from '../../../core/exercise'
import { checkResultSchema, type Study } from '../../../shared/exercises/assignment'
import {
  disputeSchema,
  sheetReadSchema,
  type Dispute,
  type KeptSheet,
  type ReadSheet
} from '../../../shared/exercises/worksheet'
import { deleteUnusedBlob } from '../pieces/blobs'
import type { Changed, Db, Row } from '../pool'

export async function insertStudy(
  db: Db,
  {
    assignmentId,
    pictureId,
    checks
  }: { readonly assignmentId: number; readonly pictureId: number; readonly checks: readonly CheckResult[] }
): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO studies (assignment_id, picture_id, checks) VALUES (?, ?, ?)',
    [assignmentId, pictureId, JSON.stringify(checks)]
  )
  return result.insertId
}

export async function listStudies(db: Db, assignmentId: number): Promise<Study[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT id, checks, checked_at FROM studies WHERE assignment_id = ? ORDER BY checked_at DESC, id DESC',
    [assignmentId]
  )
  return rows.map(row => ({
    id: row.id as number,
    checkedAt: (row.checked_at as Date).toISOString(),
    checks: checkResultSchema.array().parse(row.checks)
  }))
}

/** By which hash the small picture of a study, or the photograph of a read sheet, is kept. */
export async function findAnswerPicture(
  db: Db,
  kind: 'studies' | 'read_sheets',
  { id, assignmentId }: { readonly id: number; readonly assignmentId: number }
): Promise<string | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.display_sha AS sha FROM ${kind} t JOIN pictures p ON p.id = t.picture_id WHERE t.id = ?
     AND t.assignment_id = ?`,
    [id, assignmentId]
  )
  return (rows[0]?.sha as string | undefined) ?? null
}

export async function insertReadSheet(
  db: Db,
  {
    assignmentId,
    pictureId,
    sheet
  }: { readonly assignmentId: number; readonly pictureId: number; readonly sheet: ReadSheet }
): Promise<number> {
  const [result] = await db.execute<Changed>(
    "INSERT INTO read_sheets (assignment_id, picture_id, sheet, disputes) VALUES (?, ?, ?, '[]')",
    [assignmentId, pictureId, JSON.stringify(sheet)]
  )
  return result.insertId
}

function mapSheet(row: Row): KeptSheet {
  return {
    id: row.id as number,
    readAt: (row.read_at as Date).toISOString(),
    confirmedAt: (row.confirmed_at as Date | null)?.toISOString() ?? null,
    sheet: sheetReadSchema.parse(row.sheet),
    disputes: z.array(disputeSchema).parse(row.disputes)
  }
}

export async function listReadSheets(db: Db, assignmentId: number): Promise<KeptSheet[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT * FROM read_sheets WHERE assignment_id = ? ORDER BY read_at DESC, id DESC',
    [assignmentId]
  )
  return rows.map(mapSheet)
}

/** Locked until the transaction ends. */
export async function findReadSheet(db: Db, assignmentId: number, id: number): Promise<KeptSheet | null> {
  const [rows] = await db.execute<Row[]>('SELECT * FROM read_sheets WHERE id = ? AND assignment_id = ? FOR UPDATE', [
    id,
    assignmentId
  ])
  return rows[0] ? mapSheet(rows[0]) : null
}

export async function updateDisputes(db: Db, id: number, disputes: readonly Dispute[]): Promise<void> {
  await db.execute('UPDATE read_sheets SET disputes = ? WHERE id = ?', [JSON.stringify(disputes), id])
}

export async function markSheetConfirmed(db: Db, id: number, at: Date): Promise<void> {
  await db.execute('UPDATE read_sheets SET confirmed_at = ? WHERE id = ?', [at, id])
}

/**
 * Studies and sheets of some exercises go, with their pictures where nothing else points at them.
 * @param which of `assignments x`, as in "x.learner_id = ?".
 */
export async function deleteAnswers(db: Db, which: string, values: readonly number[]): Promise<void> {
  const [pictures] = await db.execute<Row[]>(
    `SELECT DISTINCT p.id, p.original_sha, p.display_sha, p.thumb_sha, p.full_sha FROM pictures p JOIN
       (SELECT t.picture_id, t.assignment_id FROM studies t UNION SELECT r.picture_id, r.assignment_id
         FROM read_sheets r) t ON t.picture_id = p.id
     JOIN assignments x ON x.id = t.assignment_id WHERE ${which}`,
    [...values]
  )
  for (const table of ['studies', 'read_sheets'])
    await db.execute(`DELETE t FROM ${table} t JOIN assignments x ON x.id = t.assignment_id WHERE ${which}`, [
      ...values
    ])
  await deletePictures(db, pictures)
}

/** Pictures that nothing points at any more, and their bytes. */
export async function deletePictures(db: Db, pictures: readonly Row[]): Promise<void> {
  for (const { id } of pictures)
    await db.execute(
      `DELETE FROM pictures WHERE id = ? AND NOT EXISTS (SELECT 1 FROM submissions s
       WHERE pictures.id IN (s.picture_id, s.reference_id))
       AND NOT EXISTS (SELECT 1 FROM studies t WHERE t.picture_id = pictures.id)
       AND NOT EXISTS (SELECT 1 FROM read_sheets r WHERE r.picture_id = pictures.id)`,
      [id as number]
    )
  const shas = pictures.flatMap(p => [p.original_sha, p.display_sha, p.thumb_sha, p.full_sha] as (string | null)[])
  for (const sha of new Set(shas)) if (sha) await deleteUnusedBlob(db, sha)
}
