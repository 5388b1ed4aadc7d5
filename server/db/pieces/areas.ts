/** Areas drawn on a piece, by name. */
import { areaSchema } from '../../../shared/area'
import type { MarkedArea } from '../../../shared/critique'
import type { Area } from '../../../core/picture/area'
import type { Changed, Db, Row } from '../pool'

export async function listAreas(db: Db, submissionId: number): Promise<MarkedArea[]> {
  const [rows] = await db.execute<Row[]>('SELECT id, name, shape FROM areas WHERE submission_id = ? ORDER BY id', [
    submissionId
  ])
  return rows.map(row => ({ id: row.id as number, name: row.name as string, area: areaSchema.parse(row.shape) }))
}

export async function insertArea(
  db: Db,
  submissionId: number,
  { name, area }: { readonly name: string; readonly area: Area }
): Promise<number> {
  const [result] = await db.execute<Changed>('INSERT INTO areas (submission_id, name, shape) VALUES (?, ?, ?)', [
    submissionId,
    name,
    JSON.stringify(area)
  ])
  return result.insertId
}

export async function updateArea(
  db: Db,
  submissionId: number,
  { id, name, area }: { readonly id: number; readonly name: string; readonly area: Area }
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE areas SET name = ?, shape = ? WHERE id = ? AND submission_id = ?',
    [name, JSON.stringify(area), id, submissionId]
  )
  return result.affectedRows === 1
}

export async function deleteArea(db: Db, submissionId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM areas WHERE id = ? AND submission_id = ?', [id, submissionId])
  return result.affectedRows === 1
}
