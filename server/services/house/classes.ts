/** Classes: made, led, archived, joined by a code. */
import { randomInt } from 'node:crypto'
import { DEFAULT_STANDARDS } from '../../../core/critique/standards'
import type { Account } from '../../../shared/account'
import type { ClassDetails, ClassListed, ClassWritten } from '../../../shared/class'
import {
  findClass,
  findStandards,
  insertClass,
  listAllClasses,
  listClassesOf,
  updateArchived,
  updateClass,
  updateJoinCode,
  updateStandards
} from '../../db/classes/classes'
import { askAgainInClass } from '../../db/pieces/measurements'
import { insertMembership, listInstructors } from '../../db/classes/memberships'
import { changeOnce } from '../../db/once'
import { db, transaction, type Db } from '../../db/pool'
import { markForRotation } from '../../db/people/sessions'
import { inClass } from '../access'
import { audit } from './audit'
import { wakeMeasuring } from '../pieces/measuring'

/** Those an account is in; an owner's list has all there are. */
export const classesOf = (account: Account): Promise<ClassListed[]> =>
  account.roles.includes('owner') ? listAllClasses(db(), account.id) : listClassesOf(db(), account.id)

/** Who teaches it, by name. */
export const taughtBy = async (classId: number): Promise<string> =>
  (await listInstructors(db(), classId)).map(i => i.name).join(' and ')

/** Whoever makes it teaches it. @returns its id. */
export async function makeClassIn(
  connection: Db,
  account: Account,
  { wheel, ...fields }: ClassWritten
): Promise<number> {
  const id = await insertClass(connection, fields)
  if (wheel !== DEFAULT_STANDARDS.wheel) await updateStandards(connection, id, { ...DEFAULT_STANDARDS, wheel })
  await insertMembership(connection, { classId: id, accountId: account.id, role: 'instructor' })
  await markForRotation(connection, account.id)
  await audit(connection, { action: 'class-made', actorId: account.id, classId: id })
  return id
}
export const makeClass = (account: Account, written: ClassWritten): Promise<number> =>
  changeOnce(connection => makeClassIn(connection, account, written))

export async function readClass(account: Account, id: number): Promise<ClassDetails> {
  await inClass(account, id, 'oversee')
  return (await findClass(db(), id))!
}

/** What is measured with the old wheel is measured again, behind. */
export async function changeClass(account: Account, id: number, { wheel, ...fields }: ClassWritten): Promise<void> {
  await inClass(account, id, 'lead')
  const standards = await findStandards(db(), id)
  await transaction(async connection => {
    await updateClass(connection, id, fields)
    if (wheel !== standards.wheel) {
      await updateStandards(connection, id, { ...standards, wheel })
      await askAgainInClass(connection, id)
    }
    await audit(connection, { action: 'class-changed', actorId: account.id, classId: id })
  })
  wakeMeasuring()
}

/** An archived class can be read, and nothing in it is changed; nobody joins it by its code. */
export async function archiveClass(account: Account, id: number, archived: boolean): Promise<void> {
  await inClass(account, id, 'oversee')
  await transaction(async connection => {
    await updateArchived(connection, id, archived)
    await audit(connection, { action: archived ? 'class-archived' : 'class-back', actorId: account.id, classId: id })
  })
}

/** Letters and digits that are not mistaken for one another when they are read aloud. */
const SIGNS = 'ACDEFGHJKMNPQRTUVWXY34679',
  SIGNS_A_CODE = 8
const newCode = (): string => Array.from({ length: SIGNS_A_CODE }, () => SIGNS[randomInt(SIGNS.length)]).join('')

/** @param on makes a new code, in place of the one before; otherwise nobody joins by code. */
export async function changeJoinCode(account: Account, id: number, on: boolean): Promise<ClassDetails> {
  await inClass(account, id, 'lead')
  await transaction(async connection => {
    await updateJoinCode(connection, id, on ? newCode() : null)
    await audit(connection, { action: on ? 'code-on' : 'code-off', actorId: account.id, classId: id })
  })
  return (await findClass(db(), id))!
}
