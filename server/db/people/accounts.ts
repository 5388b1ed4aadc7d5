import { rolesOf, type Account, type ClassRole, type HouseRole } from '../../../shared/account'
import type { Changed, Db, Row } from '../pool'

/** Of `accounts a`, what `mapAccount` reads. */
export const ACCOUNT = `a.id, a.name, a.email, a.sign_in_name, a.house, a.step_secret IS NOT NULL AS second_step,
  (SELECT GROUP_CONCAT(DISTINCT r.role) FROM memberships r WHERE r.account_id = a.id) AS class_roles`

export const mapAccount = (row: Row): Account => ({
  id: row.id as number,
  name: row.name as string,
  email: row.email as string | null,
  signInName: row.sign_in_name as string | null,
  secondStep: Boolean(row.second_step),
  roles: rolesOf(row.house as HouseRole, ((row.class_roles as string | null)?.split(',') ?? []) as readonly ClassRole[])
})

/**
 * @property passwordHash null for one who was invited and never entered. @property shownPassword of a demo's account.
 */
export interface NewAccount {
  readonly name: string
  readonly email: string | null
  readonly signInName?: string | null
  readonly house?: HouseRole
  readonly passwordHash: string | null
  readonly shownPassword?: string | null
}

export async function insertAccount(
  db: Db,
  { name, email, signInName = null, house = 'member', passwordHash, shownPassword = null }: NewAccount
): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO accounts (name, email, sign_in_name, house, password_hash, shown_password) VALUES (?, ?, ?, ?, ?, ?)',
    [name, email, signInName, house, passwordHash, shownPassword]
  )
  return result.insertId
}

export async function findAccount(db: Db, id: number): Promise<Account | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${ACCOUNT} FROM accounts a WHERE a.id = ?`, [id])
  return rows[0] ? mapAccount(rows[0]) : null
}

/** @param login an address or a sign-in name. */
export async function findByLogin(
  db: Db,
  login: string
): Promise<{ readonly account: Account; readonly passwordHash: string | null; readonly demo: boolean } | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${ACCOUNT}, a.password_hash, a.shown_password FROM accounts a WHERE a.email = ? OR a.sign_in_name = ?`,
    [login, login]
  )
  const row = rows[0]
  return row
    ? {
        account: mapAccount(row),
        passwordHash: row.password_hash as string | null,
        demo: row.shown_password !== null
      }
    : null
}

export async function countAccounts(db: Db): Promise<number> {
  const [rows] = await db.execute<Row[]>('SELECT COUNT(*) AS n FROM accounts')
  return Number(rows[0]!.n)
}

export async function countOwners(db: Db): Promise<number> {
  const [rows] = await db.execute<Row[]>("SELECT COUNT(*) AS n FROM accounts WHERE house = 'owner'")
  return Number(rows[0]!.n)
}

export async function updatePassword(db: Db, accountId: number, passwordHash: string): Promise<void> {
  await db.execute('UPDATE accounts SET password_hash = ? WHERE id = ?', [passwordHash, accountId])
}

export async function updateName(db: Db, accountId: number, name: string): Promise<void> {
  await db.execute('UPDATE accounts SET name = ? WHERE id = ?', [name, accountId])
}

export async function updateEmail(db: Db, accountId: number, email: string): Promise<void> {
  await db.execute('UPDATE accounts SET email = ? WHERE id = ?', [email, accountId])
}

export async function updateHouse(db: Db, accountId: number, house: HouseRole): Promise<void> {
  await db.execute('UPDATE accounts SET house = ? WHERE id = ?', [house, accountId])
}

export async function markSeen(db: Db, accountId: number): Promise<void> {
  await db.execute('UPDATE accounts SET seen_at = UTC_TIMESTAMP(3) WHERE id = ?', [accountId])
}

/** Sign-in names that begin so, to find one that is free. */
export async function listSignInNames(db: Db, beginning: string): Promise<string[]> {
  const [rows] = await db.execute<Row[]>('SELECT sign_in_name FROM accounts WHERE sign_in_name LIKE ?', [
    `${beginning}%`
  ])
  return rows.map(row => row.sign_in_name as string)
}

/** Accounts of the demo, with the passwords that are shown for them. */
export async function listShown(db: Db): Promise<{ account: Account; password: string }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${ACCOUNT}, a.shown_password FROM accounts a WHERE a.shown_password IS NOT NULL ORDER BY a.id`
  )
  return rows.map(row => ({ account: mapAccount(row), password: row.shown_password as string }))
}
