/** A person's swatch book. */
import type { KeptSwatch, SwatchInput } from '../../../shared/workshop'
import type { Changed, Db, Row } from '../pool'

/** The latest first. */
export async function listSwatches(db: Db, accountId: number): Promise<KeptSwatch[]> {
  const [rows] = await db.execute<Row[]>('SELECT * FROM swatches WHERE account_id = ? ORDER BY kept_at DESC, id DESC', [
    accountId
  ])
  return rows.map(row => ({
    id: row.id as number,
    kind: row.kind as KeptSwatch['kind'],
    hexes: row.hexes as string[],
    parts: row.parts as KeptSwatch['parts'],
    note: row.note as string,
    keptAt: (row.kept_at as Date).toISOString(),
    read: row.read_hex ? { hex: row.read_hex as string, at: (row.read_at as Date).toISOString() } : null
  }))
}

export async function countSwatches(db: Db, accountId: number): Promise<number> {
  const [rows] = await db.execute<Row[]>('SELECT COUNT(*) AS n FROM swatches WHERE account_id = ?', [accountId])
  return Number(rows[0]!.n)
}

export async function insertSwatch(
  db: Db,
  accountId: number,
  { kind, hexes, parts, note }: SwatchInput
): Promise<number> {
  const [{ insertId }] = await db.execute<Changed>(
    `INSERT INTO swatches (account_id, kind, hexes, parts, note, kept_at) VALUES (?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
    [accountId, kind, JSON.stringify(hexes), JSON.stringify(parts), note]
  )
  return insertId
}

interface Which {
  readonly id: number
  readonly accountId: number
}

/** @returns whether there is such a one of theirs. */
export async function updateNote(db: Db, { id, accountId }: Which, note: string): Promise<boolean> {
  const [result] = await db.execute<Changed>('UPDATE swatches SET note = ? WHERE id = ? AND account_id = ?', [
    note,
    id,
    accountId
  ])
  return result.affectedRows > 0
}

/** @param hex what it gave; null: that was read wrongly. */
export async function updateRead(db: Db, { id, accountId }: Which, hex: string | null): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE swatches SET read_hex = ?, read_at = IF(? IS NULL, NULL, UTC_TIMESTAMP(3)) WHERE id = ? AND account_id = ?',
    [hex, hex, id, accountId]
  )
  return result.affectedRows > 0
}

export async function deleteSwatch(db: Db, { id, accountId }: Which): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM swatches WHERE id = ? AND account_id = ?', [id, accountId])
  return result.affectedRows > 0
}
