import type { Db } from './pool'

/** What changes are made one after the other of, by its key. */
const KEY = { critiques: 'submission_id', calls: 'id', sittings: 'id', accounts: 'id' } as const

/**
 * Holds a row until the transaction ends: of two changes that hold the same one, the second begins when the first is
 * done. It is written, not only locked: between the servers of a cluster a lock alone is nobody else's, and of two that
 * wrote one is begun again (`transaction`).
 */
export async function hold(db: Db, what: keyof typeof KEY, id: number): Promise<void> {
  await db.execute(`UPDATE ${what} SET held = held + 1 WHERE ${KEY[what]} = ?`, [id])
}
