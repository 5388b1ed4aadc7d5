/** Which tables this code works with. */
import type { Db, Row } from './pool'

/** The newest of `migrations/`: raised with each, and held by test. */
export const NEWEST_MIGRATION = '0036_measuring_nodes.sql'

/** @returns the newest that the database has had; null where it never had any. */
export async function findNewestMigration(db: Db): Promise<string | null> {
  const [rows] = await db.execute<Row[]>('SELECT MAX(name) AS name FROM migrations')
  return (rows[0]?.name as string | null) ?? null
}
