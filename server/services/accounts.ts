/** Signing in and out. Sessions live in the database and can be revoked; the cookie only names one. */
import { createHash, randomBytes } from 'node:crypto'
import type { Account } from '../../shared/account'
import {
  deleteExpiredSessions,
  deleteSession,
  findAccountByEmail,
  findSessionAccount,
  insertSession
} from '../db/accounts'
import { db, transaction } from '../db/pool'
import { guess } from './guesses'
import { hashPassword, verifyPassword } from './passwords'

export const SESSION_DAYS = 14

const hashToken = (token: string): Buffer => createHash('sha256').update(token).digest()

/** Compared against when the e-mail is unknown, so that the answer takes as long either way. */
let decoy: Promise<string> | null = null

export interface SignIn {
  readonly email: string
  readonly password: string
  /** Where it comes from. */
  readonly address: string
  /** Token of the session that this browser had until now. */
  readonly before: string | null
  readonly now: Date
}

/** @returns a new session's token. @throws AppError wrong-sign-in, too-many-tries, unavailable. */
export async function signIn({
  email,
  password,
  address,
  before,
  now
}: SignIn): Promise<{ token: string; account: Account }> {
  const {
    id,
    name,
    role,
    email: own
  } = await guess(email, address, async () => {
    const found = await findAccountByEmail(db(), email)
    const hash = found?.passwordHash ?? (await (decoy ??= hashPassword(randomBytes(16).toString('hex'))))
    return (await verifyPassword(hash, password)) ? found : null
  })
  const token = randomBytes(32).toString('base64url')
  await transaction(async connection => {
    if (before) await deleteSession(connection, hashToken(before))
    await insertSession(connection, {
      tokenHash: hashToken(token),
      accountId: id,
      expiresAt: new Date(now.getTime() + SESSION_DAYS * 86_400_000)
    })
  })
  return { token, account: { id, name, email: own, role } }
}

export const accountOfToken = (token: string): Promise<Account | null> => findSessionAccount(db(), hashToken(token))
export const signOut = (token: string): Promise<void> => deleteSession(db(), hashToken(token))

const SWEEP_MS = 3_600_000
let sweeping: NodeJS.Timeout | null = null
/** Sessions that ran out go, once an hour. */
export function startSweeping(): void {
  sweeping = setInterval(() => void deleteExpiredSessions(db()).catch(() => {}), SWEEP_MS)
  sweeping.unref()
}
export const stopSweeping = (): void => {
  if (sweeping) clearInterval(sweeping)
}
