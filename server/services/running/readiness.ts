/** Whether this server can do its work now: for whatever sends people to one of several. */
import { NEWEST_MIGRATION, findNewestMigration } from '../../db/schema'
import { db } from '../../db/pool'
import { workersOpen } from '../../work/workers'

export interface Readiness {
  readonly database: 'here' | 'away'
  /** Older: a migration is still to come. Newer: another version of Critica has taken over. */
  readonly tables: 'right' | 'older' | 'newer' | 'unknown'
  readonly workers: 'open' | 'closed'
}

export async function readiness(): Promise<Readiness> {
  const workers = workersOpen() ? 'open' : 'closed'
  try {
    const newest = await findNewestMigration(db())
    const tables = newest === NEWEST_MIGRATION ? 'right' : (newest ?? '') < NEWEST_MIGRATION ? 'older' : 'newer'
    return { database: 'here', tables, workers }
  } catch {
    return { database: 'away', tables: 'unknown', workers }
  }
}

export const isReady = ({ database, tables, workers }: Readiness): boolean =>
  database === 'here' && tables === 'right' && workers === 'open'
