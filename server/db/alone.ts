/**
 * One of several that start brings the tables up to date, the others wait. By a row under a lease that its holder
 * renews: a lock by name is each server's own in a cluster, and a lock of a transaction ends with the first table that
 * is changed.
 */
import { randomUUID } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import type { Pool } from 'mysql2/promise'
import type { Changed } from './pool'

const LEASE_S = 15,
  RENEW_MS = 4000,
  LOOK_MS = 200
/** What others do is waited for so long. */
const MOST_MS = 10 * 60_000

async function changed(pool: Pool, sql: string, by: string): Promise<boolean> {
  const [{ affectedRows }] = await pool.query<Changed>(sql, [by])
  return affectedRows > 0
}

/** @throws Error where somebody else holds it all the while. */
export async function alone<T>(pool: Pool, work: () => Promise<T>): Promise<T> {
  const by = randomUUID(),
    until = `UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND`
  await pool.query(
    `CREATE TABLE IF NOT EXISTS start_lease (id TINYINT UNSIGNED NOT NULL PRIMARY KEY,
       held_by CHAR(36) CHARACTER SET ascii NOT NULL, leased_until DATETIME(3) NOT NULL)`
  )
  const end = Date.now() + MOST_MS
  for (;;) {
    if (await changed(pool, `INSERT IGNORE INTO start_lease VALUES (1, ?, ${until})`, by)) break
    const over = 'WHERE leased_until < UTC_TIMESTAMP(3)'
    if (await changed(pool, `UPDATE start_lease SET held_by = ?, leased_until = ${until} ${over}`, by)) break
    if (Date.now() > end) throw new Error('another start has been bringing the tables up to date for ten minutes')
    await wait(LOOK_MS)
  }
  const renewing = setInterval(() => {
    void changed(pool, `UPDATE start_lease SET leased_until = ${until} WHERE held_by = ?`, by).catch(() => {})
  }, RENEW_MS)
  try {
    return await work()
  } finally {
    clearInterval(renewing)
    await pool.query('DELETE FROM start_lease WHERE held_by = ?', [by]).catch(() => {})
  }
}
