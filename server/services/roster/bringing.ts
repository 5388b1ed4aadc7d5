/** Bringing people into a class: a list looked at first, then all of it that is right, in one go. */
import type { Account, ClassRole } from '../../../shared/account'
import type { RosterPreview } from '../../../shared/roster'
import { insertAccount } from '../../db/people/accounts'
import { findClass } from '../../db/classes/classes'
import { insertMembership } from '../../db/classes/memberships'
import { db, transaction, type Db } from '../../db/pool'
import { markForRotation } from '../../db/people/sessions'
import { inClass } from '../access'
import { audit } from '../house/audit'
import { makeLink } from '../entering/links'
import { tellAdded, tellInvited } from '../mail/mail'
import { freeSignInName } from '../entering/sign-in-names'
import { planRows, type Planned } from './planning'
import { readRoster } from './reading'

interface List {
  readonly text: string
  readonly role: ClassRole
}

/** What will happen; nothing is done. @throws AppError invalid for a list in which nothing can be read. */
export async function previewRoster(account: Account, classId: number, { text, role }: List): Promise<RosterPreview> {
  await inClass(account, classId, 'lead')
  const { columns, ignored, rows } = readRoster(text)
  const planned = await planRows(db(), classId, { rows, role })
  return { columns, ignored, rows: planned.map(({ accountId: _, ...row }) => row) }
}

interface Bringing {
  readonly classId: number
  readonly className: string
  readonly role: ClassRole
  readonly actorId: number
}

/** @returns whether a mail went out. */
async function bring(
  connection: Db,
  { accountId, name, email, signInName }: Planned,
  { classId, className, role, actorId }: Bringing
): Promise<boolean> {
  if (accountId !== null) {
    if (!(await insertMembership(connection, { classId, accountId, role }))) return false
    await markForRotation(connection, accountId)
    await tellAdded(connection, { accountId, classId, className })
    return true
  }
  const id = await insertAccount(connection, {
    name,
    email,
    signInName: email ? null : (signInName ?? (await freeSignInName(connection, name))),
    passwordHash: null
  })
  await insertMembership(connection, { classId, accountId: id, role })
  await audit(connection, { action: 'invited', actorId, accountId: id, classId, detail: role })
  const link = await makeLink(connection, { kind: 'invitation', accountId: id })
  if (email) await tellInvited(connection, { accountId: id, link, classId, className })
  return email !== null
}

/**
 * Takes what is right, all or nothing of it; who is there already stays as they are. Those with an address are mailed
 * their link.
 */
export async function bringRoster(
  account: Account,
  classId: number,
  { text, role }: List
): Promise<{ added: number; mailed: number }> {
  await inClass(account, classId, 'lead')
  const { rows } = readRoster(text),
    { name: className } = (await findClass(db(), classId))!
  return transaction(async connection => {
    const planned = await planRows(connection, classId, { rows, role }),
      right = planned.filter(p => p.outcome === 'new' || p.outcome === 'joins')
    let mailed = 0
    for (const row of right)
      if (await bring(connection, row, { classId, className, role, actorId: account.id })) mailed++
    return { added: right.length, mailed }
  })
}
