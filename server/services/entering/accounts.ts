/** Signing in and out. Sessions live in the database and can be revoked; the cookie only names one. */
import { createHash, randomBytes } from 'node:crypto'
import { loginOf, type Account, type OpenSession, type PasswordChange } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import { findByLogin, markSeen, updatePassword } from '../../db/people/accounts'
import { keepUsed } from '../../db/people/erasure'
import { deleteAnsweredRequests } from '../../db/once'
import { deleteExpiredLinks } from '../../db/people/links'
import { db, transaction, type Db } from '../../db/pool'
import {
  deleteExpiredSessions,
  deleteSession,
  deleteSessionOf,
  deleteSessionsOf,
  findSessionAccount,
  insertSession,
  listSessions,
  rotateSession
} from '../../db/people/sessions'
import { settings } from '../../settings'
import { hashPassword, verifyPassword } from '../../work/workers'
import { audit } from '../house/audit'
import { guess } from './guesses'
import { tellSecurity } from '../mail/mail'
import { refuseGuessable } from './password-rules'
import { stepTaken } from './second-step'

/** However much it is used, a session is over after this long (NIST SP 800-63B-4: at most 30 days). */
export const SESSION_DAYS = 30

const hashToken = (token: string): Buffer => createHash('sha256').update(token).digest()
const newToken = (): string => randomBytes(32).toString('base64url')

/** Compared against when nobody is called so, so that the answer takes as long either way. */
let decoy: Promise<string> | null = null

export interface SignIn {
  /** An e-mail address or a sign-in name. */
  readonly login: string
  readonly password: string
  /** Of the second step; empty until it is asked for. */
  readonly code: string
  /** Where it comes from. */
  readonly address: string
  /** Token of the session that this browser had until now. */
  readonly before: string | null
  /** In words. */
  readonly browser: string
}

/** @returns its token. */
export async function beginSession(connection: Db, accountId: number, browser: string): Promise<string> {
  const token = newToken()
  await insertSession(connection, { tokenHash: hashToken(token), accountId, days: SESSION_DAYS, browser })
  await markSeen(connection, accountId)
  return token
}

/** Whose account a login and a password open; null for none. A hash from before today's cost is renewed on the way. */
async function opened(login: string, password: string): Promise<Account | null> {
  const found = await findByLogin(db(), login),
    // A demo's accounts, whose password everybody knows, open nothing where there is no demo.
    usable = found && (!found.demo || settings().CRITICA_DEMO) ? found : null
  const hash = usable?.passwordHash ?? (await (decoy ??= hashPassword(newToken())))
  const { right, renewed } = await verifyPassword(hash, password)
  if (!right || !usable?.passwordHash) return null
  if (renewed) await updatePassword(db(), usable.account.id, renewed)
  return usable.account
}

/**
 * A refused sign-in stands in the trail of whom it was tried as; behind the answer, which takes as long for somebody
 * there is not.
 */
function noteRefusal(login: string): void {
  setImmediate(() => {
    void findByLogin(db(), login)
      .then(found => found && audit(db(), { action: 'refused', actorId: null, accountId: found.account.id }))
      .catch(() => {})
  })
}

/** @returns a new session's token. @throws AppError wrong-sign-in, too-many-tries, unavailable. */
export async function signIn({
  login,
  password,
  code,
  address,
  before,
  browser
}: SignIn): Promise<{ token: string; account: Account }> {
  const account = await guess(login, address, async () => {
    const found = await opened(login, password)
    // A code is looked at as a password is: a wrong one counts.
    return found && (code === '' || (await stepTaken(found.id, code))) ? found : null
  }).catch((error: unknown) => {
    noteRefusal(login)
    throw error
  })
  if (code === '' && account.secondStep)
    throw new AppError(
      'code-wanted',
      'Now the code that your device shows; or one of those you keep for the day it is lost.'
    )
  const token = await transaction(async connection => {
    if (before) await deleteSession(connection, hashToken(before))
    await keepUsed(connection, account.id)
    await audit(connection, { action: 'signed-in', actorId: account.id })
    return beginSession(connection, account.id, browser)
  })
  return { token, account }
}

/** @property token another one for the cookie, when the session's rights changed. */
export async function accountOfToken(
  token: string
): Promise<{ readonly account: Account; readonly token: string | null } | null> {
  const found = await findSessionAccount(db(), hashToken(token))
  if (!found) return null
  const another = found.rotate ? newToken() : null
  const changed = another !== null && (await rotateSession(db(), hashToken(token), hashToken(another)))
  return { account: found.account, token: changed ? another : null }
}
export const signOut = (token: string): Promise<void> => deleteSession(db(), hashToken(token))

export const sessionsOf = (account: Account, token: string): Promise<OpenSession[]> =>
  listSessions(db(), account.id, hashToken(token))

/** @throws AppError not-found. */
export async function endOne(account: Account, id: number): Promise<void> {
  if (!(await deleteSessionOf(db(), account.id, id))) throw new AppError('not-found', 'This one is over already.')
}
export const endOthers = (account: Account, token: string): Promise<void> =>
  deleteSessionsOf(db(), account.id, hashToken(token))

/** @throws AppError invalid when it is another one, too-many-tries, unavailable. */
export async function refuseWrongPassword(account: Account, password: string, address: string): Promise<void> {
  const login = loginOf(account)
  await guess(login, address, () => opened(login, password)).catch((error: unknown) => {
    throw error instanceof AppError && error.code === 'wrong-sign-in'
      ? new AppError('invalid', 'The password you have now is another one.')
      : error
  })
}

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
  refuseGuessable(next, { name: account.name, login: loginOf(account) })
  await refuseWrongPassword(account, current, address)
  const hash = await hashPassword(next)
  return transaction(async connection => {
    await updatePassword(connection, account.id, hash)
    await deleteSessionsOf(connection, account.id, null)
    await audit(connection, { action: 'password-changed', actorId: account.id })
    await tellSecurity(connection, account.id, 'Your password was changed')
    return beginSession(connection, account.id, browser)
  })
}

const SWEEP_MS = 3_600_000
let sweeping: NodeJS.Timeout | null = null
/** Sessions and links that ran out, and answers that nobody asks for again, go once an hour. */
export function startSweeping(): void {
  sweeping = setInterval(
    () =>
      void deleteExpiredSessions(db())
        .then(() => deleteExpiredLinks(db()))
        .then(() => deleteAnsweredRequests(db()))
        .catch(() => {}),
    SWEEP_MS
  )
  sweeping.unref()
}
export const stopSweeping = (): void => {
  if (sweeping) clearInterval(sweeping)
}
