/**
 * Links that are used once. A row names what its link is for; what the link says is made in `services/entering/links`.
 */
import type { LinkKind } from '../../../shared/link'
import type { Changed, Db, Row } from '../pool'

/** @property email that the link confirms. */
export interface NewLink {
  readonly kind: LinkKind
  readonly accountId: number | null
  readonly email: string | null
  readonly hours: number
}
export interface LinkRow {
  readonly id: number
  readonly kind: LinkKind
  readonly nonce: Buffer
  readonly accountId: number | null
  readonly email: string | null
  readonly expiresAt: string
}

const mapLink = (row: Row): LinkRow => ({
  id: row.id as number,
  kind: row.kind as LinkKind,
  nonce: row.nonce as Buffer,
  accountId: row.account_id as number | null,
  email: row.email as string | null,
  expiresAt: (row.expires_at as Date).toISOString()
})
const SELECT = 'SELECT id, kind, nonce, account_id, email, expires_at FROM links'
const LIVE = 'expires_at > UTC_TIMESTAMP(3)'

export async function insertLink(db: Db, { kind, accountId, email, hours }: NewLink, nonce: Buffer): Promise<number> {
  const [result] = await db.execute<Changed>(
    `INSERT INTO links (kind, nonce, account_id, email, expires_at)
     VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3) + INTERVAL ? HOUR)`,
    [kind, nonce, accountId, email, hours]
  )
  return result.insertId
}

/** One that is not over. */
export async function findLink(db: Db, id: number): Promise<LinkRow | null> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE id = ? AND ${LIVE}`, [id])
  return rows[0] ? mapLink(rows[0]) : null
}

/** The one of a kind that waits for an account, the newest. */
export async function findLinkFor(db: Db, accountId: number, kind: LinkKind): Promise<LinkRow | null> {
  const [rows] = await db.execute<Row[]>(
    `${SELECT} WHERE account_id = ? AND kind = ? AND ${LIVE} ORDER BY created_at DESC, id DESC LIMIT 1`,
    [accountId, kind]
  )
  return rows[0] ? mapLink(rows[0]) : null
}

/** @returns whether it was still there: of two that use it at once one is told it is over. */
export async function deleteLink(db: Db, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>(`DELETE FROM links WHERE id = ? AND ${LIVE}`, [id])
  return result.affectedRows === 1
}

/** Links of some kinds that wait for an account; with null the house's own. */
export async function deleteLinksFor(db: Db, accountId: number | null, kinds: readonly LinkKind[]): Promise<void> {
  await db.execute(`DELETE FROM links WHERE account_id <=> ? AND kind IN (${kinds.map(() => '?').join(', ')})`, [
    accountId,
    ...kinds
  ])
}

export async function deleteExpiredLinks(db: Db): Promise<void> {
  await db.execute(`DELETE FROM links WHERE NOT (${LIVE})`)
}
