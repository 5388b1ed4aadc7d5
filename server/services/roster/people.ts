/** The people of a class: who they are in it, who leaves, and the links that let them in. */
import Papa from 'papaparse'
import { loginOf, type Account, type ClassRole } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { HandedLink } from '../../../shared/link'
import type { ListedMember } from '../../../shared/roster'
import { updateName } from '../../db/people/accounts'
import { findClass } from '../../db/classes/classes'
import { findLinkFor } from '../../db/people/links'
import { deleteMembership, listMembers, updateMembership, type Member } from '../../db/classes/memberships'
import { db, transaction, type Db } from '../../db/pool'
import { markForRotation } from '../../db/people/sessions'
import { settings } from '../../settings'
import { inClass } from '../access'
import { audit } from '../house/audit'
import { makeLink, pathOf } from '../entering/links'
import { tellInvited } from '../mail/mail'

/**
 * Whether a link that opens an account may be handed on by whoever leads the class: of a learner, who is nothing else
 * in the house, and who never came in, or has no address to be mailed one. Everybody else asks at the door, and is
 * mailed.
 */
const mayHand = ({ account, entered }: Member): boolean =>
  account.roles.every(r => r === 'learner') && (!entered || account.email === null)

const listed = (member: Member): ListedMember => ({ ...member, handed: mayHand(member) })

export async function listPeople(account: Account, classId: number): Promise<ListedMember[]> {
  await inClass(account, classId, 'oversee')
  return (await listMembers(db(), classId)).map(listed)
}

/** The list for a spreadsheet. */
export async function peopleTable(account: Account, classId: number): Promise<{ text: string; className: string }> {
  const people = await listPeople(account, classId)
  const { name } = (await findClass(db(), classId))!
  await audit(db(), { action: 'exported', actorId: account.id, classId, detail: 'people.csv' })
  const rows = people.map(p => ({
    Name: p.account.name,
    'E-mail': p.account.email ?? '',
    'Sign-in name': p.account.signInName ?? '',
    Role: p.role,
    'Came in': p.entered ? 'yes' : 'not yet',
    Pieces: p.pieces
  }))
  return { text: Papa.unparse(rows, { escapeFormulae: true }) + '\r\n', className: name }
}

/** @throws AppError not-found when they are not in the class. */
async function memberOf(connection: Db, classId: number, accountId: number): Promise<Member> {
  const found = (await listMembers(connection, classId)).find(m => m.account.id === accountId)
  if (!found) throw new AppError('not-found', 'Nobody by this number is in this class.')
  return found
}

/** A class is never left without an instructor. */
async function refuseLast(connection: Db, classId: number, leaving: Member): Promise<void> {
  const teach = (await listMembers(connection, classId)).filter(m => m.role === 'instructor')
  if (leaving.role === 'instructor' && teach.length === 1)
    throw new AppError('invalid', 'Somebody has to teach this class: make somebody else its instructor first.')
}

/** @property accountId whom it is about. */
interface Change {
  readonly classId: number
  readonly accountId: number
}

export async function changeRole(account: Account, { classId, accountId }: Change, role: ClassRole): Promise<void> {
  await inClass(account, classId, 'lead')
  await transaction(async connection => {
    const member = await memberOf(connection, classId, accountId)
    if (member.role === role) return
    if (role !== 'learner' && !member.account.email)
      throw new AppError('invalid', `Whoever helps to teach needs an address, and ${member.account.name} has none.`)
    if (role !== 'instructor') await refuseLast(connection, classId, member)
    await updateMembership(connection, { classId, accountId, role })
    await markForRotation(connection, accountId)
    await audit(connection, { action: 'class-role', actorId: account.id, accountId, classId, detail: role })
  })
}

/** Out of the class; the pieces stay where they are, and theirs. */
export async function takeOut(account: Account, { classId, accountId }: Change): Promise<void> {
  await inClass(account, classId, 'lead')
  await transaction(async connection => {
    await refuseLast(connection, classId, await memberOf(connection, classId, accountId))
    await deleteMembership(connection, classId, accountId)
    await markForRotation(connection, accountId)
    await audit(connection, { action: 'left-class', actorId: account.id, accountId, classId })
  })
}

/** A name written wrong, of a learner who did not come in yet or has no address: everybody else's name is theirs. */
export async function renameMember(account: Account, { classId, accountId }: Change, name: string): Promise<void> {
  await inClass(account, classId, 'lead')
  const member = await memberOf(db(), classId, accountId)
  if (!mayHand(member)) throw new AppError('not-allowed', `${member.account.name} writes their own name.`)
  await updateName(db(), accountId, name)
}

/**
 * A link to be handed on, the one that waits or a new one. @throws AppError not-allowed for whoever is mailed theirs.
 */
export async function handLink(account: Account, { classId, accountId }: Change): Promise<HandedLink> {
  await inClass(account, classId, 'lead')
  return transaction(async connection => {
    const member = await memberOf(connection, classId, accountId)
    if (!mayHand(member))
      throw new AppError(
        'not-allowed',
        `${member.account.name} asks for a new password at the door, and is mailed a link.`
      )
    const waiting = await findLinkFor(connection, accountId, 'invitation'),
      link = waiting ?? (await makeLink(connection, { kind: 'invitation', accountId }))
    await audit(connection, { action: 'link-handed', actorId: account.id, accountId, classId })
    return { path: pathOf(link, settings().CRITICA_SECRET), expiresAt: link.expiresAt }
  })
}

/** Mailed again, to one who did not come in yet. */
export async function mailAgain(account: Account, { classId, accountId }: Change): Promise<void> {
  await inClass(account, classId, 'lead')
  await transaction(async connection => {
    const { account: invited, entered } = await memberOf(connection, classId, accountId)
    if (entered || !invited.email) throw new AppError('invalid', `${invited.name} needs no invitation by mail.`)
    const link = await makeLink(connection, { kind: 'invitation', accountId })
    const { name: className } = (await findClass(connection, classId))!
    await tellInvited(connection, { accountId, link, classId, className })
    await audit(connection, { action: 'invited', actorId: account.id, accountId, classId, detail: 'again' })
  })
}

/** One slip: what it opens, for whom. */
export interface Slip {
  readonly name: string
  readonly login: string
  readonly path: string
  readonly expiresAt: string
}

/** Slips for everybody who did not come in yet and may be handed one. @throws AppError invalid when there is nobody. */
export async function slipsOf(account: Account, classId: number): Promise<{ className: string; slips: Slip[] }> {
  await inClass(account, classId, 'lead')
  const { name: className } = (await findClass(db(), classId))!
  return transaction(async connection => {
    const waiting = (await listMembers(connection, classId)).filter(m => !m.entered && mayHand(m))
    if (waiting.length === 0) throw new AppError('invalid', 'Everybody has come in already: nobody needs a slip.')
    const slips: Slip[] = []
    for (const { account: learner } of waiting) {
      const link =
        (await findLinkFor(connection, learner.id, 'invitation'))
        ?? (await makeLink(connection, { kind: 'invitation', accountId: learner.id }))
      slips.push({
        name: learner.name,
        login: loginOf(learner),
        path: pathOf(link, settings().CRITICA_SECRET),
        expiresAt: link.expiresAt
      })
    }
    await audit(connection, { action: 'link-handed', actorId: account.id, classId, detail: `${slips.length} slips` })
    return { className, slips }
  })
}
