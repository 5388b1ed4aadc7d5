/** Signing in and out. Sessions live in the database and can be revoked; the cookie only names one. */
import { createHash, randomBytes } from 'node:crypto'
import type { Account, OpenSession, PasswordChange } from '../../shared/account'
import { AppError } from '../../shared/errors'
import { findAccountByEmail, updatePassword } from '../db/accounts'
import { db, transaction, type Db } from '../db/pool'
import {
  deleteExpiredSessions,
  deleteSession,
  deleteSessionOf,
  deleteSessionsOf,
  findSessionAccount,
  insertSession,
  listSessions
} from '../db/sessions'
import { guess } from './guesses'
import { refuseGuessable } from './password-rules'
import { hashPassword, verifyPassword } from './passwords'

/** However much it is used, a session is over after this long (NIST SP 800-63B-4: at most 30 days). */
export const SESSION_DAYS = 30

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
  /** In words. */
  readonly browser: string
}

async function beginSession(connection: Db, accountId: number, browser: string): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await insertSession(connection, { tokenHash: hashToken(token), accountId, days: SESSION_DAYS, browser })
  return token
}

/** @returns a new session's token. @throws AppError wrong-sign-in, too-many-tries, unavailable. */
export async function signIn({
  email,
  password,
  address,
  before,
  browser
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
  const token = await transaction(async connection => {
    if (before) await deleteSession(connection, hashToken(before))
    return beginSession(connection, id, browser)
  })
  return { token, account: { id, name, email: own, role } }
}

export const accountOfToken = (token: string): Promise<Account | null> => findSessionAccount(db(), hashToken(token))
export const signOut = (token: string): Promise<void> => deleteSession(db(), hashToken(token))

export const sessionsOf = (account: Account, token: string): Promise<OpenSession[]> =>
  listSessions(db(), account.id, hashToken(token))

/** @throws AppError not-found. */
export async function endOne(account: Account, id: number): Promise<void> {
  if (!(await deleteSessionOf(db(), account.id, id))) throw new AppError('not-found', 'This one is over already.')
}
export const endOthers = (account: Account, token: string): Promise<void> =>
  deleteSessionsOf(db(), account.id, hashToken(token))

/** @property address where it is asked from. */
export interface Changing extends PasswordChange {
  readonly address: string
  readonly browser: string
}

/**
 * A change of the password ends every session, this one too: whoever else knew the old one is out.
 * @returns the token of the session that goes on here. @throws AppError invalid, too-many-tries, unavailable.
 */
export async function changePassword(account: Account, { current, next, address, browser }: Changing): Promise<string> {
  refuseGuessable(next, account)
  await guess(account.email, address, async () => {
    const found = await findAccountByEmail(db(), account.email)
    return found && (await verifyPassword(found.passwordHash, current)) ? found : null
  }).catch((error: unknown) => {
    throw error instanceof AppError && error.code === 'wrong-sign-in'
      ? new AppError('invalid', 'The password you have now is another one.')
      : error
  })
  const hash = await hashPassword(next)
  return transaction(async connection => {
    await updatePassword(connection, account.id, hash)
    await deleteSessionsOf(connection, account.id, null)
    return beginSession(connection, account.id, browser)
  })
}

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
