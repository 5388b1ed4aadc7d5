/** People and classes put into a database for a test, without the pages that make them. */
import { insertAccount } from '../server/db/people/accounts'
import { insertClass } from '../server/db/classes/classes'
import { insertMembership, type Membership } from '../server/db/classes/memberships'
import type { Db } from '../server/db/pool'
import { hashPassword } from '../server/work/hashing'
import type { HouseRole } from '../shared/account'

export interface Somebody {
  readonly email: string
  readonly name: string
  readonly password: string
  readonly house?: HouseRole
}

/** @returns the account's id. */
export const newAccount = async (db: Db, { password, ...somebody }: Somebody): Promise<number> =>
  insertAccount(db, { ...somebody, passwordHash: await hashPassword(password) })

/** @returns whether it is new. */
export const enrol = (
  db: Db,
  { role = 'learner', ...where }: Omit<Membership, 'role'> & Partial<Membership>
): Promise<boolean> => insertMembership(db, { ...where, role })

/** @returns the class's id. */
export async function newClass(db: Db, name: string, instructorId: number): Promise<number> {
  const classId = await insertClass(db, { name, budgetMinutes: 20, startsOn: null, endsOn: null })
  await enrol(db, { classId, accountId: instructorId, role: 'instructor' })
  return classId
}
