/** Signing in and out. Sessions live in the database and can be revoked; the cookie only names one. */
import { createHash, randomBytes } from 'node:crypto'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import { deleteSession, findAccountByEmail, findSessionAccount, insertSession } from '../db/accounts'
import { db } from '../db/pool'
import { hashPassword, verifyPassword } from './passwords'

const SESSION_DAYS = 14

/** Wrong tries per address and e-mail; a right one clears them. */
const failures = new RateLimiterMemory({ points: 8, duration: 15 * 60 })

const hashToken = (token: string): Buffer => createHash('sha256').update(token).digest()

/** Compared against when the e-mail is unknown, so that the answer takes as long either way. */
let decoy: Promise<string> | null = null

/** @returns a session token. @throws AppError wrong-sign-in, too-many-tries. */
export async function signIn(email: string, password: string, address: string, now: Date): Promise<{ token: string, account: Account }> {
  const key = `${address} ${email.toLowerCase()}`
  const tried = await failures.get(key)
  if (tried && tried.consumedPoints >= 8) {
    throw new AppError('too-many-tries', `Too many wrong tries. Wait ${Math.ceil(tried.msBeforeNext / 60_000)} minutes and try again.`)
  }
  const found = await findAccountByEmail(db(), email)
  const hash = found?.passwordHash ?? await (decoy ??= hashPassword(randomBytes(16).toString('hex')))
  const right = await verifyPassword(hash, password)
  if (!found || !right) {
    await failures.consume(key).catch(() => {})
    throw new AppError('wrong-sign-in', 'The e-mail and password do not match an account.')
  }
  await failures.delete(key)
  const token = randomBytes(32).toString('base64url')
  await insertSession(db(), hashToken(token), found.id, new Date(now.getTime() + SESSION_DAYS * 86_400_000))
  const { id, name, role } = found
  return { token, account: { id, name, email: found.email, role } }
}

export const accountOfToken = (token: string): Promise<Account | null> => findSessionAccount(db(), hashToken(token))
export const signOut = (token: string): Promise<void> => deleteSession(db(), hashToken(token))
