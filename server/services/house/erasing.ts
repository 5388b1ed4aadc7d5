/**
 * A person and everything of theirs, taken out: after a time in which it can be undone, or at once on the owner's word.
 */
import { loginOf, type Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import { ERASE_DAYS, type ErasureAsked, type Going } from '../../../shared/person'
import { countOwners, findAccount } from '../../db/people/accounts'
import * as rows from '../../db/people/erasure'
import { listUnconfirmed } from '../../db/classes/call-entries'
import { listClassesOf } from '../../db/classes/classes'
import { listInstructors } from '../../db/classes/memberships'
import { db, transaction, type Db } from '../../db/pool'
import { takeAwayLoose } from '../../blobs/loose'
import { audit } from './audit'
import { deleteExportsAbout, deleteExportsBy } from '../../db/pieces/exports'
import { keysOf } from '../entering/guesses'
import { tellErasure, tellErasureUndone } from '../mail/mail'
import { logError } from '../../log'

/** What a guest of an open call sent and nobody confirmed was never meant, so many days on. */
const UNCONFIRMED_DAYS = 7
/** Time between the warning and the end of an unused record, in days. */
const WARNED_DAYS = 30

/** @throws AppError not-found. */
async function person(connection: Db, id: number): Promise<Account> {
  const found = await findAccount(connection, id)
  if (!found) throw new AppError('not-found', 'There is nobody by this number.')
  return found
}

/** Themselves, the owner, and for a learner an instructor of a class of theirs. @throws AppError not-found. */
export async function mayDecide(account: Account, personId: number): Promise<Account> {
  const found = await person(db(), personId)
  if (account.id === personId || account.roles.includes('owner')) return found
  const taught = new Set((await listClassesOf(db(), account.id)).filter(c => c.role === 'instructor').map(c => c.id))
  const shared = (await listClassesOf(db(), personId)).some(c => c.role === 'learner' && taught.has(c.id))
  if (!shared || found.roles.some(r => r !== 'learner'))
    throw new AppError('not-found', 'There is nobody by this number.')
  return found
}

/** A class and a house are never left to nobody. @throws AppError invalid. */
async function refuseNeeded(connection: Db, { id, roles }: Account): Promise<void> {
  const alone = await rows.taughtAlone(connection, id)
  if (alone.length > 0)
    throw new AppError('invalid', `Nobody else teaches “${alone[0]}”: make somebody else its instructor first.`)
  if (roles.includes('owner') && (await countOwners(connection)) === 1)
    throw new AppError('invalid', 'Nobody else owns the house: make somebody else its owner first.')
}

/** Everything of a person's, in one transaction. */
async function erase(connection: Db, who: Account, actorId: number | null): Promise<void> {
  const pieces = await rows.submissionsOf(connection, who.id)
  await rows.countErased(connection, who.id)
  await deleteExportsAbout(connection, pieces)
  await deleteExportsBy(connection, who.id)
  await rows.deleteSubmissions(connection, pieces)
  await rows.deleteAccount(connection, { id: who.id, name: who.name, tries: keysOf(loginOf(who)) })
  await audit(connection, { action: 'erased', actorId, accountId: who.id })
}

export async function eraseNow(personId: number, actorId: number | null): Promise<void> {
  await transaction(async connection => {
    const who = await person(connection, personId)
    await refuseNeeded(connection, who)
    await erase(connection, who, actorId)
  })
  await takeAwayLoose()
}

/** @throws AppError not-found; not-allowed for what is the owner's word; invalid for one who is still needed. */
export async function askErasure(account: Account, personId: number, { wish, atOnce }: ErasureAsked): Promise<void> {
  const who = await mayDecide(account, personId),
    owner = account.roles.includes('owner')
  if ((atOnce || wish === 'house') && !owner)
    throw new AppError('not-allowed', 'At once is for whoever runs the house to say.')
  if (atOnce) return eraseNow(personId, account.id)
  await transaction(async connection => {
    await refuseNeeded(connection, who)
    await rows.updateErasure(connection, personId, { days: ERASE_DAYS, wish })
    await audit(connection, { action: 'erasure-asked', actorId: account.id, accountId: personId, detail: wish })
    await tellAll(connection, personId)
  })
}

/** The person, and who teaches them, for those who have no address. */
async function tellAll(connection: Db, personId: number): Promise<void> {
  const { at } = (await rows.findErasure(connection, personId))!
  const classes = (await listClassesOf(connection, personId)).filter(c => c.role === 'learner')
  const instructors = await Promise.all(
    classes.map(async c => ({ id: c.id, all: await listInstructors(connection, c.id) }))
  )
  const told = new Map(instructors.flatMap(({ id, all }) => all.map(i => [i.id, id] as const)))
  await tellErasure(connection, { accountId: personId, at, classId: null, aboutId: null, name: null })
  const { name } = await person(connection, personId)
  for (const [accountId, classId] of told)
    await tellErasure(connection, { accountId, at, classId, aboutId: personId, name })
}

export async function undoErasure(account: Account, personId: number): Promise<void> {
  await mayDecide(account, personId)
  await transaction(async connection => {
    await rows.updateErasure(connection, personId, null)
    await audit(connection, { action: 'erasure-undone', actorId: account.id, accountId: personId })
    await tellErasureUndone(connection, personId)
  })
}

export const erasureOf = async (account: Account, personId: number): Promise<Going> => ({
  erasure: await rows.findErasure(db(), (await mayDecide(account, personId)).id)
})

/** What is due goes; what is unused as long as the house keeps records is warned about. */
export async function sweepErasures(): Promise<void> {
  for (const id of await listUnconfirmed(db(), UNCONFIRMED_DAYS)) await eraseNow(id, null)
  for (const id of await rows.dueErasures(db()))
    await eraseNow(id, null).catch((error: unknown) => {
      // Somebody who is needed after all stays until they are not.
      if (!(error instanceof AppError)) throw error
    })
  const months = await rows.findRetention(db())
  if (months === null) return
  for (const id of await rows.unusedLearners(db(), months))
    await transaction(async connection => {
      await rows.updateErasure(connection, id, { days: WARNED_DAYS, wish: 'retention' })
      await audit(connection, { action: 'erasure-asked', actorId: null, accountId: id, detail: 'retention' })
      await tellAll(connection, id)
    })
}

/** Everything that a demo brought, and whatever was done with it since. */
export async function removeDemo(actorId: number | null): Promise<void> {
  await transaction(async connection => {
    for (const id of await rows.demoClasses(connection)) {
      await deleteExportsAbout(connection, await rows.submissionsIn(connection, id))
      await rows.deleteClass(connection, id)
    }
    for (const id of await rows.demoAccounts(connection)) await erase(connection, await person(connection, id), actorId)
    await audit(connection, { action: 'demo-removed', actorId })
  })
  await takeAwayLoose()
}

const SWEEP_MS = 3_600_000
let sweeping: NodeJS.Timeout | null = null
/** Once an hour, and soon after the start. */
export function startErasing(): void {
  const sweep = (): void => void sweepErasures().catch(error => logError('erasing failed', error))
  setTimeout(sweep, 10_000).unref()
  sweeping = setInterval(sweep, SWEEP_MS)
  sweeping.unref()
}
export const stopErasing = (): void => {
  if (sweeping) clearInterval(sweeping)
}
