/**
 * Coming in for the first time, or again: as the owner of a new house, by a link, by a class's code, after a forgotten
 * password.
 */
import { AppError } from '../../../shared/errors'
import type { z } from 'zod'
import type { beginSchema, joiningSchema, JoinWritten, Link } from '../../../shared/link'
import { loginOf, type Account, type AddressChange } from '../../../shared/account'
import {
  countOwners,
  findAccount,
  findByLogin,
  insertAccount,
  updateEmail,
  updatePassword
} from '../../db/people/accounts'
import { findClassByCode, listClassesOf } from '../../db/classes/classes'
import { deleteLink, deleteLinksFor } from '../../db/people/links'
import { insertMembership, listInstructors } from '../../db/classes/memberships'
import { db, transaction, type Db } from '../../db/pool'
import { deleteSessionsOf, markForRotation } from '../../db/people/sessions'
import { hashPassword } from '../../work/workers'
import { beginSession, refuseWrongPassword } from './accounts'
import { audit } from '../house/audit'
import { countForgotten, countLinkTry } from './guesses'
import { removeDemo } from '../house/erasing'
import { makeLink, openLink } from './links'
import { tellAddressChanged, tellInvited, tellNewAddress, tellReset, tellSecurity } from '../mail/mail'
import { refuseGuessable } from './password-rules'
import { freeSignInName } from './sign-in-names'
import { logError } from '../../log'

/** Who comes: where from, and with what, in words. */
export interface Comer {
  readonly address: string
  readonly browser: string
}
export interface Entered {
  readonly token: string
  readonly account: Account
}

async function entered(connection: Db, accountId: number, browser: string): Promise<Entered> {
  const account = await findAccount(connection, accountId)
  return { token: await beginSession(connection, accountId, browser), account: account! }
}

/** @throws AppError not-found, too-many-tries. */
export async function readLink(token: string, address: string): Promise<Link> {
  await countLinkTry(address)
  const { kind, accountId, expiresAt } = await openLink(token, ['owner', 'invitation', 'reset', 'address'])
  const account = accountId === null ? null : await findAccount(db(), accountId)
  return {
    kind,
    name: account?.name ?? '',
    login: account ? loginOf(account) : '',
    classes: account ? (await listClassesOf(db(), account.id)).map(c => c.name) : [],
    expiresAt
  }
}

async function use(connection: Db, linkId: number): Promise<void> {
  if (!(await deleteLink(connection, linkId)))
    throw new AppError('not-found', 'This link is over: it was used just now.')
}

/**
 * The first account of a house. The demo goes: its password is everybody's. @throws AppError not-found, invalid;
 * not-allowed when somebody was first.
 */
export async function beginHouse(
  token: string,
  { name, email, password }: z.infer<typeof beginSchema>,
  { address, browser }: Comer
): Promise<Entered> {
  await countLinkTry(address)
  const link = await openLink(token, ['owner'])
  refuseGuessable(password, { name, login: email })
  const passwordHash = await hashPassword(password)
  const owner = await transaction(async connection => {
    await use(connection, link.id)
    if ((await countOwners(connection)) > 0) throw new AppError('not-allowed', 'This house has an owner already.')
    const id = await insertAccount(connection, { name, email, house: 'owner', passwordHash })
    await audit(connection, { action: 'house-begun', actorId: id })
    return entered(connection, id, browser)
  })
  await removeDemo(owner.account.id)
  return owner
}

/**
 * A password set by whoever holds an invitation or a reset; everybody else who was in by the old one is out.
 * @returns null where a second step is still to be taken, at the door. @throws AppError not-found, invalid.
 */
export async function enterByLink(
  token: string,
  password: string,
  { address, browser }: Comer
): Promise<Entered | null> {
  await countLinkTry(address)
  const link = await openLink(token, ['invitation', 'reset']),
    account = await findAccount(db(), link.accountId!)
  refuseGuessable(password, { name: account!.name, login: loginOf(account!) })
  const passwordHash = await hashPassword(password)
  return transaction(async connection => {
    await use(connection, link.id)
    await updatePassword(connection, account!.id, passwordHash)
    await deleteSessionsOf(connection, account!.id, null)
    await deleteLinksFor(connection, account!.id, ['invitation', 'reset'])
    await audit(connection, { action: 'password-set', actorId: account!.id, detail: link.kind })
    if (link.kind === 'reset') await tellSecurity(connection, account!.id, 'Your password was changed')
    return account!.secondStep ? null : entered(connection, account!.id, browser)
  })
}

const codeOf = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '')

/** What a code joins. @throws AppError not-found, too-many-tries. */
async function joinable(code: string, address: string) {
  await countLinkTry(address)
  const found = await findClassByCode(db(), codeOf(code))
  if (!found)
    throw new AppError('not-found', 'No class is joined by this code. Look at it again, or ask your instructor.')
  return found
}

export async function readCode(code: string, address: string): Promise<z.infer<typeof joiningSchema>> {
  const { id, name } = await joinable(code, address)
  return { className: name, instructors: (await listInstructors(db(), id)).map(i => i.name).join(', ') }
}

/** Somebody new joins. @throws AppError not-found, invalid. */
export async function joinAnew(
  code: string,
  { name, email, password }: JoinWritten,
  { address, browser }: Comer
): Promise<Entered> {
  const { id: classId } = await joinable(code, address)
  refuseGuessable(password, { name, login: email ?? name })
  const passwordHash = await hashPassword(password)
  return transaction(async connection => {
    if (email && (await findByLogin(connection, email)))
      throw new AppError('invalid', 'This address has an account here already: sign in, and join then.')
    const signInName = email ? null : await freeSignInName(connection, name)
    const accountId = await insertAccount(connection, { name, email, signInName, passwordHash })
    await insertMembership(connection, { classId, accountId, role: 'learner' })
    await audit(connection, { action: 'joined', actorId: accountId, classId })
    return entered(connection, accountId, browser)
  })
}

/** Somebody who is signed in joins. */
export async function joinToo(account: Account, code: string, address: string): Promise<void> {
  const { id: classId } = await joinable(code, address)
  await transaction(async connection => {
    if (!(await insertMembership(connection, { classId, accountId: account.id, role: 'learner' }))) return
    await markForRotation(connection, account.id)
    await audit(connection, { action: 'joined', actorId: account.id, classId })
  })
}

/**
 * A link by mail to whoever has an address. It is made behind the answer, which is the same for everybody and takes as
 * long.
 */
export async function forgotten(login: string): Promise<void> {
  await countForgotten(login)
  setImmediate(
    () => void sendAnother(login).catch(error => logError('a forgotten password could not be answered', error))
  )
}

async function sendAnother(login: string): Promise<void> {
  const found = await findByLogin(db(), login)
  if (!found?.account.email || found.demo) return
  const { id: accountId } = found.account,
    kind = found.passwordHash ? 'reset' : 'invitation'
  await transaction(async connection => {
    const link = await makeLink(connection, { kind, accountId })
    await (kind === 'reset'
      ? tellReset(connection, accountId, link)
      : tellInvited(connection, { accountId, link, classId: null, className: null }))
  })
}

/** A link to the new address; it is the account's once that is opened. @throws AppError invalid, too-many-tries. */
export async function askAddress(account: Account, { email, password }: AddressChange, address: string): Promise<void> {
  await refuseWrongPassword(account, password, address)
  // Whether somebody else has it is told to whoever reads its mail, and to nobody else.
  if (await findByLogin(db(), email)) return
  await transaction(async connection =>
    tellNewAddress(
      connection,
      account.id,
      await makeLink(connection, { kind: 'address', accountId: account.id, email })
    )
  )
}

/** @throws AppError not-found, invalid. */
export async function confirmAddress(token: string, address: string): Promise<void> {
  await countLinkTry(address)
  const link = await openLink(token, ['address']),
    before = await findAccount(db(), link.accountId!)
  await transaction(async connection => {
    await use(connection, link.id)
    if (await findByLogin(connection, link.email!))
      throw new AppError('invalid', 'This address is taken by now: choose another one.')
    await updateEmail(connection, link.accountId!, link.email!)
    await markForRotation(connection, link.accountId!)
    if (before!.email) await tellAddressChanged(connection, link.accountId!, before!.email)
    await audit(connection, { action: 'address-changed', actorId: link.accountId! })
  })
}
