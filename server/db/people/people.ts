/** Everybody in the house, as its owner sees them. */
import type { HouseRole } from '../../../shared/account'
import type { EraseWish, HousePerson } from '../../../shared/person'
import { ACCOUNT, mapAccount } from './accounts'
import type { Db, Row } from '../pool'

/**
 * Guests of open calls are on their calls' pages, not here.
 * @param find part of a name, an address or a sign-in name; empty for everybody. By name.
 */
export async function listHousePeople(db: Db, find: string): Promise<HousePerson[]> {
  const like = `%${find.replace(/[%_\\]/g, '\\$&')}%`
  const [rows] = await db.execute<Row[]>(
    `SELECT ${ACCOUNT}, a.password_hash IS NOT NULL AS entered, a.seen_at, a.erase_at, a.erase_wish,
     a.shown_password IS NOT NULL AS demo,
       (SELECT GROUP_CONCAT(c.name ORDER BY c.name SEPARATOR '\\n') FROM memberships m
         JOIN classes c ON c.id = m.class_id WHERE m.account_id = a.id) AS classes,
       (SELECT COUNT(*) FROM submissions s WHERE s.learner_id = a.id) AS pieces
     FROM accounts a WHERE (a.name LIKE ? OR a.email LIKE ? OR a.sign_in_name LIKE ?)
       AND NOT EXISTS (SELECT 1 FROM call_entries e WHERE e.account_id = a.id) ORDER BY a.house, a.name, a.id
       LIMIT 5000`,
    [like, like, like]
  )
  return rows.map(row => ({
    account: mapAccount(row),
    house: row.house as HouseRole,
    classes: (row.classes as string | null)?.split('\n') ?? [],
    entered: Boolean(row.entered),
    seenAt: (row.seen_at as Date | null)?.toISOString() ?? null,
    pieces: Number(row.pieces),
    erasure: row.erase_at ? { at: (row.erase_at as Date).toISOString(), wish: row.erase_wish as EraseWish } : null,
    demo: Boolean(row.demo)
  }))
}
