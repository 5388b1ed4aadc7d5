/** Paints, of a person or on a class's list, in the order they were put there. */
import type { KeptPaint, PaintInput } from '../../../shared/workshop'
import { hold } from '../hold'
import type { Changed, Db, Row } from '../pool'

/** Whose they are. */
export type Owner = { readonly accountId: number } | { readonly classId: number }

const column = (owner: Owner): readonly ['account_id' | 'class_id', number] =>
  'accountId' in owner ? ['account_id', owner.accountId] : ['class_id', owner.classId]

const mapPaint = (row: Row): KeptPaint => ({
  id: row.id as number,
  name: row.name as string,
  medium: row.medium as KeptPaint['medium'],
  pigment: row.pigment as string,
  masstone: row.masstone as string,
  tint: row.tint as string | null
})

/** @param lock until the transaction ends: of two that add at once, the second counts what the first put there. */
export async function listPaints(db: Db, owner: Owner, lock = false): Promise<KeptPaint[]> {
  const [of, id] = column(owner)
  if (lock && 'accountId' in owner) await hold(db, 'accounts', owner.accountId)
  const [rows] = await db.execute<Row[]>(
    `SELECT * FROM paints WHERE ${of} = ? ORDER BY id${lock ? ' FOR UPDATE' : ''}`,
    [id]
  )
  return rows.map(mapPaint)
}

export async function insertPaints(db: Db, owner: Owner, paints: readonly PaintInput[]): Promise<void> {
  const [of, id] = column(owner)
  for (const { name, medium, pigment, masstone, tint } of paints)
    await db.execute(`INSERT INTO paints (${of}, name, medium, pigment, masstone, tint) VALUES (?, ?, ?, ?, ?, ?)`, [
      id,
      name,
      medium,
      pigment,
      masstone,
      tint
    ])
}

/** @returns whether there is such a one of theirs. */
export async function updatePaint(
  db: Db,
  { id, accountId }: { readonly id: number; readonly accountId: number },
  { name, medium, pigment, masstone, tint }: PaintInput
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE paints SET name = ?, medium = ?, pigment = ?, masstone = ?, tint = ? WHERE id = ? AND account_id = ?',
    [name, medium, pigment, masstone, tint, id, accountId]
  )
  return result.affectedRows > 0
}

export async function deletePaint(
  db: Db,
  { id, accountId }: { readonly id: number; readonly accountId: number }
): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM paints WHERE id = ? AND account_id = ?', [id, accountId])
  return result.affectedRows > 0
}

export async function deletePaints(db: Db, owner: Owner): Promise<void> {
  const [of, id] = column(owner)
  await db.execute(`DELETE FROM paints WHERE ${of} = ?`, [id])
}
