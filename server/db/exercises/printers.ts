/** Printers that are known by their greys, one for whoever prints. */
import { z } from 'zod'
import type { PrinterGreys } from '../../../core/exercise/worksheet/printer-sheet'
import type { KnownPrinter } from '../../../shared/exercises/worksheet'
import type { Db, Row } from '../pool'

const greysSchema = z.array(z.tuple([z.number(), z.number(), z.number()]))

export async function upsertPrinter(
  db: Db,
  accountId: number,
  { greys, off }: { readonly greys: PrinterGreys; readonly off: number }
): Promise<void> {
  await db.execute(
    `INSERT INTO printers (account_id, greys, furthest) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE greys = VALUES(greys), furthest = VALUES(furthest), measured_at = UTC_TIMESTAMP(3)`,
    [accountId, JSON.stringify(greys), off]
  )
}

export async function findPrinter(db: Db, accountId: number): Promise<KnownPrinter | null> {
  const [rows] = await db.execute<Row[]>('SELECT furthest, measured_at FROM printers WHERE account_id = ?', [accountId])
  const [row] = rows
  return row ? { off: row.furthest as number, measuredAt: (row.measured_at as Date).toISOString() } : null
}

export async function deletePrinter(db: Db, accountId: number): Promise<void> {
  await db.execute('DELETE FROM printers WHERE account_id = ?', [accountId])
}

/** Of somebody and of everybody who shares a class with them: whose printers their sheets may come from. */
export async function listPrintersAround(db: Db, accountId: number): Promise<Record<number, PrinterGreys>> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.account_id, p.greys FROM printers p WHERE p.account_id = ? OR p.account_id IN
       (SELECT o.account_id FROM memberships o JOIN memberships m ON m.class_id = o.class_id WHERE m.account_id = ?)`,
    [accountId, accountId]
  )
  return Object.fromEntries(rows.map(row => [row.account_id as number, greysSchema.parse(row.greys)]))
}
