import type { Account, Role } from '../../shared/account'
import type { Changed, Db, Row } from './pool'

export const mapAccount = (row: Row): Account => ({
  id: row.id as number,
  name: row.name as string,
  email: row.email as string,
  role: row.role as Role
})

export interface NewAccount {
  readonly email: string
  readonly name: string
  readonly role: Role
  readonly passwordHash: string
}

export async function insertAccount(db: Db, { email, name, role, passwordHash }: NewAccount): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO accounts (email, name, role, password_hash) VALUES (?, ?, ?, ?)',
    [email, name, role, passwordHash]
  )
  return result.insertId
}

export async function findAccountByEmail(db: Db, email: string): Promise<(Account & { passwordHash: string }) | null> {
  const [rows] = await db.execute<Row[]>('SELECT id, name, email, role, password_hash FROM accounts WHERE email = ?', [
    email
  ])
  return rows[0] ? { ...mapAccount(rows[0]), passwordHash: rows[0].password_hash as string } : null
}

export async function countAccounts(db: Db): Promise<number> {
  const [rows] = await db.execute<Row[]>('SELECT COUNT(*) AS n FROM accounts')
  return Number(rows[0].n)
}

export async function updatePassword(db: Db, accountId: number, passwordHash: string): Promise<void> {
  await db.execute('UPDATE accounts SET password_hash = ? WHERE id = ?', [passwordHash, accountId])
}
