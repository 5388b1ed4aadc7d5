/** The second step of an account's sign-in. Secrets are sealed before they come here. */
import type { Changed, Db, Row } from '../pool'

export interface StepRow {
  readonly secret: Buffer | null
  readonly pending: Buffer | null
}

export async function findStep(db: Db, accountId: number): Promise<StepRow> {
  const [rows] = await db.execute<Row[]>('SELECT step_secret, step_pending FROM accounts WHERE id = ?', [accountId])
  return {
    secret: (rows[0]?.step_secret as Buffer | null | undefined) ?? null,
    pending: (rows[0]?.step_pending as Buffer | null | undefined) ?? null
  }
}

export async function listSteps(db: Db): Promise<(StepRow & { readonly accountId: number })[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT id, step_secret, step_pending FROM accounts WHERE step_secret IS NOT NULL OR step_pending IS NOT NULL'
  )
  return rows.map(row => ({
    accountId: row.id as number,
    secret: row.step_secret as Buffer | null,
    pending: row.step_pending as Buffer | null
  }))
}

const COLUMN = { secret: 'step_secret', pending: 'step_pending' } as const

interface Replaced {
  readonly accountId: number
  readonly which: keyof typeof COLUMN
  readonly was: Buffer
  readonly is: Buffer
}

/** Only where it is still what it was. */
export async function replaceStep(db: Db, { accountId, which, was, is }: Replaced): Promise<void> {
  const column = COLUMN[which]
  await db.execute(`UPDATE accounts SET ${column} = ? WHERE id = ? AND ${column} = ?`, [is, accountId, was])
}

export async function updatePending(db: Db, accountId: number, sealed: Buffer): Promise<void> {
  await db.execute('UPDATE accounts SET step_pending = ? WHERE id = ?', [sealed, accountId])
}

/** What was pending is the secret from now on. */
export async function turnOn(db: Db, accountId: number, codeHashes: readonly Buffer[]): Promise<void> {
  await db.execute('UPDATE accounts SET step_secret = step_pending, step_pending = NULL WHERE id = ?', [accountId])
  await db.execute('DELETE FROM recovery_codes WHERE account_id = ?', [accountId])
  for (const hash of codeHashes)
    await db.execute('INSERT INTO recovery_codes (account_id, code_hash) VALUES (?, ?)', [accountId, hash])
}

export async function turnOff(db: Db, accountId: number): Promise<void> {
  await db.execute('UPDATE accounts SET step_secret = NULL, step_pending = NULL WHERE id = ?', [accountId])
  await db.execute('DELETE FROM recovery_codes WHERE account_id = ?', [accountId])
}

/** @param step number of the time-step whose code was given. @returns whether it was not used yet. */
export async function useStep(db: Db, accountId: number, step: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('UPDATE accounts SET step_used = ? WHERE id = ? AND step_used < ?', [
    step,
    accountId,
    step
  ])
  return result.affectedRows === 1
}

/** @returns whether it was there; it is gone then. */
export async function useRecoveryCode(db: Db, accountId: number, hash: Buffer): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM recovery_codes WHERE account_id = ? AND code_hash = ?', [
    accountId,
    hash
  ])
  return result.affectedRows === 1
}
