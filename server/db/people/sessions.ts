/** Sessions: one row each, found by the hash of its token. Times are the database's own, UTC. */
import type { Account } from '../../../shared/account'
import { ACCOUNT, mapAccount } from './accounts'
import type { Changed, Db, Row } from '../pool'

/** A session unused for this long is over, in days. */
const IDLE_DAYS = 14
/** Used ones are written down again only so often: not every request is a write. */
const SEEN_MINUTES = 5
const LIVE = `s.expires_at > UTC_TIMESTAMP(3) AND s.seen_at > UTC_TIMESTAMP(3) - INTERVAL ${IDLE_DAYS} DAY`

/** @property days until it is over however much it is used. @property browser in words. */
export interface NewSession {
  readonly tokenHash: Buffer
  readonly accountId: number
  readonly days: number
  readonly browser: string
}

export async function insertSession(db: Db, { tokenHash, accountId, days, browser }: NewSession): Promise<void> {
  await db.execute(
    `INSERT INTO sessions (token_hash, account_id, expires_at, browser)
     VALUES (?, ?, UTC_TIMESTAMP(3) + INTERVAL ? DAY, ?)`,
    [tokenHash, accountId, days, browser]
  )
}

/** The token before the last answers so long, for requests that were on their way when it was changed. */
const PREVIOUS_SECONDS = 30

/** @returns whose it is, and whether it wants another token. */
export async function findSessionAccount(
  db: Db,
  tokenHash: Buffer
): Promise<{ readonly account: Account; readonly rotate: boolean } | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${ACCOUNT}, s.rotate AND s.token_hash = ? AS rotate,
     s.seen_at < UTC_TIMESTAMP(3) - INTERVAL ${SEEN_MINUTES} MINUTE AS stale
     FROM sessions s JOIN accounts a ON a.id = s.account_id
     WHERE (s.token_hash = ? OR (s.previous_hash = ?
       AND s.rotated_at > UTC_TIMESTAMP(3) - INTERVAL ${PREVIOUS_SECONDS} SECOND)) AND ${LIVE}`,
    [tokenHash, tokenHash, tokenHash]
  )
  if (rows[0]?.stale)
    await db.execute(
      `UPDATE sessions s JOIN accounts a ON a.id = s.account_id SET s.seen_at = UTC_TIMESTAMP(3),
       a.seen_at = UTC_TIMESTAMP(3) WHERE s.token_hash = ?`,
      [tokenHash]
    )
  return rows[0] ? { account: mapAccount(rows[0]), rotate: Boolean(rows[0].rotate) } : null
}

/**
 * Another token for a session that wants one. @returns whether it was this one's turn: of two at once one changes it.
 */
export async function rotateSession(db: Db, before: Buffer, after: Buffer): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    `UPDATE sessions SET previous_hash = token_hash, token_hash = ?, rotate = FALSE, rotated_at = UTC_TIMESTAMP(3)
     WHERE token_hash = ? AND rotate`,
    [after, before]
  )
  return result.affectedRows === 1
}

/** Every session of an account gets another token with its next request: its rights have changed. */
export async function markForRotation(db: Db, accountId: number): Promise<void> {
  await db.execute('UPDATE sessions SET rotate = TRUE WHERE account_id = ?', [accountId])
}

export interface SessionRow {
  readonly id: number
  readonly begunAt: string
  readonly seenAt: string
  readonly browser: string
  /** Whether it is the one that asks. */
  readonly here: boolean
}

/** The one that asks first, then by when they were used last. */
export async function listSessions(db: Db, accountId: number, tokenHash: Buffer): Promise<SessionRow[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT s.id, s.created_at, s.seen_at, s.browser, s.token_hash = ? AS here FROM sessions s
     WHERE s.account_id = ? AND ${LIVE} ORDER BY here DESC, s.seen_at DESC LIMIT 100`,
    [tokenHash, accountId]
  )
  return rows.map(row => ({
    id: row.id as number,
    begunAt: (row.created_at as Date).toISOString(),
    seenAt: (row.seen_at as Date).toISOString(),
    browser: row.browser as string,
    here: Boolean(row.here)
  }))
}

export async function deleteSession(db: Db, tokenHash: Buffer): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE token_hash = ?', [tokenHash])
}

/** @returns whether there was one of that account's. */
export async function deleteSessionOf(db: Db, accountId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM sessions WHERE account_id = ? AND id = ?', [accountId, id])
  return result.affectedRows > 0
}

/** All of an account's, but for one if it is given. */
export async function deleteSessionsOf(db: Db, accountId: number, except: Buffer | null): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE account_id = ? AND (? IS NULL OR token_hash <> ?)', [
    accountId,
    except,
    except
  ])
}

export async function deleteExpiredSessions(db: Db): Promise<void> {
  await db.execute(`DELETE s FROM sessions s WHERE NOT (${LIVE})`)
}
