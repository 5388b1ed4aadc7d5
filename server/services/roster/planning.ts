/** What bringing in a list will do, row by row, before anything is done. */
import type { ClassRole } from '../../../shared/account'
import type { RosterRow } from '../../../shared/roster'
import { findByLogin } from '../../db/people/accounts'
import { listMembers } from '../../db/classes/memberships'
import type { Db } from '../../db/pool'
import type { Mistake, ReadRow } from './reading'

/** @property accountId of one who has an account already. */
export interface Planned extends RosterRow {
  readonly accountId: number | null
}

const same = (a: string, b: string): boolean => a.localeCompare(b, undefined, { sensitivity: 'base' }) === 0

/** Somebody without an address is known by their name in the class: the same list brought in twice adds nobody. */
export async function planRows(
  db: Db,
  classId: number,
  { rows, role }: { readonly rows: readonly ReadRow[]; readonly role: ClassRole }
): Promise<Planned[]> {
  const members = await listMembers(db, classId)
  const planned: Planned[] = []
  for (const read of rows) {
    const known = read.email ? await findByLogin(db, read.email) : null
    const there = known
      ? members.find(m => m.account.id === known.account.id)
      : members.find(m => !read.email && same(m.account.name, read.name))
    const mistakes: Mistake[] = [...read.mistakes]
    if (there && there.role !== role)
      mistakes.push({ column: '', message: `Already in this class, as ${there.role}: change that on the list.` })
    if (!there && !known && role !== 'learner' && !read.email)
      mistakes.push({ column: '', message: 'Whoever helps to teach needs an address.' })
    if (!there && !known && read.signInName && (await findByLogin(db, read.signInName)))
      mistakes.push({ column: 'sign-in name', message: 'Somebody else here signs in by this name.' })
    planned.push({
      row: read.row,
      name: read.name,
      email: read.email,
      signInName: read.signInName,
      accountId: known?.account.id ?? there?.account.id ?? null,
      outcome: mistakes.length ? 'wrong' : there ? 'there' : known ? 'joins' : 'new',
      mistakes
    })
  }
  return planned
}
