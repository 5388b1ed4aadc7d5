/** Running the house: its people, what they are in it, and its standing orders. The owner's alone. */
import type { Account, HouseRole } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { HandedLink } from '../../../shared/link'
import type { House } from '../../../shared/person'
import { countOwners, findAccount, findByLogin, insertAccount, updateHouse } from '../../db/people/accounts'
import { findRetention, updateRetention } from '../../db/people/erasure'
import { listHousePeople } from '../../db/people/people'
import { db, transaction } from '../../db/pool'
import { deleteSessionsOf, markForRotation } from '../../db/people/sessions'
import { settings } from '../../settings'
import { audit } from './audit'
import { demoState } from './demo'
import { makeLink, pathOf } from '../entering/links'
import { tellInvited } from '../mail/mail'

export const housePeople = (find: string) => listHousePeople(db(), find)

export const readHouse = async (): Promise<House> => ({
  retentionMonths: await findRetention(db()),
  demo: await demoState(),
  mailServer: settings().CRITICA_SMTP_URL !== undefined
})

export async function orderHouse(account: Account, retentionMonths: number | null): Promise<void> {
  await updateRetention(db(), retentionMonths)
  await audit(db(), {
    action: 'house-changed',
    actorId: account.id,
    detail: retentionMonths === null ? 'records kept' : `records kept ${retentionMonths} months`
  })
}

interface Invited {
  readonly name: string
  readonly email: string
  readonly house: HouseRole
}

/**
 * Somebody who will teach, or run the house too. They are mailed their link. @throws AppError invalid when they have an
 * account.
 */
export async function inviteToHouse(account: Account, { name, email, house }: Invited): Promise<number> {
  return transaction(async connection => {
    if (await findByLogin(connection, email))
      throw new AppError('invalid', 'This address has an account here: change what it is on the list.')
    const id = await insertAccount(connection, { name, email, house, passwordHash: null })
    const link = await makeLink(connection, { kind: 'invitation', accountId: id })
    await tellInvited(connection, { accountId: id, link, classId: null, className: null })
    await audit(connection, { action: 'invited', actorId: account.id, accountId: id, detail: house })
    return id
  })
}

/** @throws AppError invalid when nobody would own the house. */
export async function changeHouseRole(account: Account, personId: number, house: HouseRole): Promise<void> {
  await transaction(async connection => {
    const who = await findAccount(connection, personId)
    if (!who) throw new AppError('not-found', 'There is nobody by this number.')
    if (house !== 'owner' && who.roles.includes('owner') && (await countOwners(connection)) === 1)
      throw new AppError('invalid', 'Nobody else owns the house: make somebody else its owner first.')
    await updateHouse(connection, personId, house)
    await markForRotation(connection, personId)
    await audit(connection, { action: 'house-role', actorId: account.id, accountId: personId, detail: house })
  })
}

/** Everywhere somebody is signed in, they are not any more. */
export async function endSessionsOf(account: Account, personId: number): Promise<void> {
  await transaction(async connection => {
    await deleteSessionsOf(connection, personId, null)
    await audit(connection, { action: 'signed-out', actorId: account.id, accountId: personId })
  })
}

/**
 * A link to be handed on, where no mail server carries one, or there is no address. @throws AppError not-allowed
 * otherwise.
 */
export async function handHouseLink(account: Account, personId: number): Promise<HandedLink> {
  return transaction(async connection => {
    const who = await findAccount(connection, personId)
    if (!who) throw new AppError('not-found', 'There is nobody by this number.')
    if (settings().CRITICA_SMTP_URL && who.email)
      throw new AppError('not-allowed', `${who.name} asks for a new password at the door, and is mailed a link.`)
    const link = await makeLink(connection, { kind: 'reset', accountId: personId })
    await audit(connection, { action: 'link-handed', actorId: account.id, accountId: personId })
    return { path: pathOf(link, settings().CRITICA_SECRET), expiresAt: link.expiresAt }
  })
}
