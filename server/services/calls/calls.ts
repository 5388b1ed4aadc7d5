/** Open calls by those who hold them: opened, closed, drawn, chosen from. */
import { createHmac, randomBytes, randomInt } from 'node:crypto'
import { addDays } from 'date-fns'
import { drawLots } from '../../../core/call/order'
import type { Account } from '../../../shared/account'
import type { CallWritten, ListedCall, OpenCall } from '../../../shared/call'
import { AppError } from '../../../shared/errors'
import { findCall, insertCall, listCalls, markDrawn, updateCloses, type CallRow } from '../../db/classes/calls'
import { deleteEntryOf, listEntries, updateEntry, type EntryRow } from '../../db/classes/call-entries'
import { listSittings } from '../../db/classes/sittings'
import { deleteSubmissions } from '../../db/people/erasure'
import { changeOnce } from '../../db/once'
import { db, transaction, type Db } from '../../db/pool'
import { inClass } from '../access'
import { sealedByUs, secret } from '../entering/secrets'
import { makeClassIn, taughtBy } from '../house/classes'
import { tellPassed, tellTakenOff } from '../mail/guests'
import { takeEntry } from './taking'
import { wakeMeasuring } from '../pieces/measuring'

const sealOf = ({ id, nonce }: Pick<CallRow, 'id' | 'nonce'>, own: string): Buffer =>
  createHmac('sha256', own).update(`call ${id} `).update(nonce).digest().subarray(0, 18)

/** Where its public page is. */
export const callPath = (call: Pick<CallRow, 'id' | 'nonce'>): string =>
  `/call/${call.id}-${sealOf(call, secret()).toString('base64url')}`

/** @throws AppError not-found for a link that was never given. */
export async function callBy(token: string, connection: Db = db()): Promise<CallRow> {
  const [id, seal] = token.split(/-(.*)/s),
    call = /^\d{1,9}$/.test(id!) ? await findCall(connection, Number(id)) : null
  if (!call || !sealedByUs(seal, own => sealOf(call, own)))
    throw new AppError('not-found', 'There is no call under this link. Was all of it copied?')
  return call
}

export function standingOf(call: CallRow, count: number, now = new Date()): OpenCall['standing'] {
  if (call.archived || now >= call.closesAt) return 'closed'
  if (now < call.opensAt) return 'not-yet'
  return call.ordered === 'first' && count >= call.most ? 'full' : 'open'
}

async function publicOf(call: CallRow, count: number): Promise<OpenCall> {
  const { title, asked, opensAt, closesAt, perPerson, most, ordered, seed, returned } = call
  return {
    title,
    asked,
    instructors: await taughtBy(call.classId),
    opensAt: opensAt.toISOString(),
    closesAt: closesAt.toISOString(),
    perPerson,
    most,
    ordered,
    seed,
    returned,
    standing: standingOf(call, count)
  }
}

export async function readCall(token: string): Promise<OpenCall & { id: number }> {
  const call = await callBy(token)
  return { id: call.id, ...(await publicOf(call, (await listEntries(db(), call.id)).length)) }
}

/** From the first moment of a day to the first of the one after: days of the house's own clock. */
const beginning = (day: string): Date => new Date(`${day}T00:00:00`)

/** @returns its id. */
export async function openCall(account: Account, written: CallWritten): Promise<number> {
  const { title, budgetMinutes, asked, opensOn, closesOn, perPerson, most, ordered, returned } = written
  return changeOnce(async connection => {
    const classId = await makeClassIn(connection, account, {
      name: title,
      budgetMinutes,
      startsOn: opensOn,
      endsOn: closesOn,
      wheel: 'painter'
    })
    return insertCall(connection, {
      classId,
      nonce: randomBytes(16),
      asked,
      opensAt: beginning(opensOn),
      closesAt: addDays(beginning(closesOn), 1),
      perPerson,
      most,
      ordered,
      seed: randomInt(2 ** 32),
      returned
    })
  })
}

export async function callsOf(account: Account): Promise<ListedCall[]> {
  return Promise.all(
    (await listCalls(db(), account.id)).map(async call => {
      const entries = await listEntries(db(), call.id),
        sittings = await listSittings(db(), call.id)
      return {
        id: call.id,
        classId: call.classId,
        path: callPath(call),
        budgetMinutes: call.budgetMinutes,
        drawn: call.drawn,
        sittings: sittings.map(t => ({ id: t.id, begunAt: t.begunAt.toISOString(), ended: t.endedAt !== null })),
        ...(await publicOf(call, entries.length)),
        entries: inOrder(call, entries).map(({ id, name, words, state, named, submissionId }) => ({
          id,
          name,
          title: words.title,
          state,
          named,
          submissionId
        }))
      }
    })
  )
}

/** As they will be looked at, as far as that is known. */
function inOrder(call: CallRow, entries: readonly EntryRow[]): readonly EntryRow[] {
  if (call.ordered !== 'lot' || !call.drawn) return entries
  const place = new Map(
    drawLots(
      entries.map(e => e.id),
      call.seed
    ).map((id, i) => [id, i])
  )
  return [...entries].sort((p, q) => place.get(p.id)! - place.get(q.id)!)
}

/** @throws AppError not-found, not-allowed. */
async function own(account: Account, id: number): Promise<CallRow> {
  const call = await findCall(db(), id)
  if (!call) throw new AppError('not-found', 'There is no such call.')
  await inClass(account, call.classId, 'lead')
  return call
}

/** Nobody hands in from now on. */
export async function closeCall(account: Account, id: number): Promise<void> {
  const { closesAt } = await own(account, id),
    now = new Date()
  if (now < closesAt) await updateCloses(db(), id, now)
}

/** Lots by the seed that was shown beforehand; those that are not drawn are told. Once it is done it stays. */
export async function drawCall(account: Account, id: number): Promise<void> {
  await own(account, id)
  await transaction(async connection => {
    const call = (await findCall(connection, id, true))!
    if (call.ordered !== 'lot') throw new AppError('invalid', 'No lots are drawn for this call.')
    if (call.drawn) throw new AppError('stale', 'The lots were drawn already.')
    if (new Date() < call.closesAt) throw new AppError('invalid', 'Lots are drawn once the call is closed.')
    const entries = await listEntries(connection, id),
      byId = new Map(entries.map(e => [e.id, e])),
      drawn = drawLots(
        entries.map(e => e.id),
        call.seed
      )
        .map(entryId => byId.get(entryId)!)
        .filter(e => e.state === 'waiting')
    // They stand on the desk in the order of the lots.
    const at = Date.now()
    for (const [i, entry] of drawn.slice(0, call.most).entries())
      await takeEntry(connection, { call, entry, at: new Date(at + i) })
    for (const entry of drawn.slice(call.most)) await pass(connection, call, entry)
    await markDrawn(connection, id)
  })
  wakeMeasuring()
}

async function pass(connection: Db, call: CallRow, entry: EntryRow): Promise<void> {
  await updateEntry(connection, entry.id, { state: 'passed' })
  await tellPassed(connection, { call, entry })
}

/** Where the instructor chooses: one is taken, or passed by. */
export async function chooseEntry(
  account: Account,
  id: number,
  { entryId, take }: { readonly entryId: number; readonly take: boolean }
): Promise<void> {
  await own(account, id)
  await transaction(async connection => {
    const call = (await findCall(connection, id, true))!,
      entries = await listEntries(connection, id),
      entry = entries.find(e => e.id === entryId)
    if (!entry) throw new AppError('not-found', 'There is no such piece in this call.')
    if (entry.state !== 'waiting') throw new AppError('stale', 'This piece does not wait any more.')
    if (!take) return pass(connection, call, entry)
    if (entries.filter(e => e.state === 'taken').length >= call.most)
      throw new AppError('invalid', `All ${call.most} places of this call are taken.`)
    await takeEntry(connection, { call, entry, at: new Date() })
  })
  wakeMeasuring()
}

/** A piece goes with its picture and all that was said of it; the guest is told, and their account goes soon after. */
export async function removeEntry(account: Account, id: number, entryId: number): Promise<void> {
  const call = await own(account, id)
  await transaction(async connection => {
    const entry = (await listEntries(connection, id)).find(e => e.id === entryId)
    if (!entry) throw new AppError('not-found', 'There is no such piece in this call.')
    await tellTakenOff(connection, { call, entry })
    if (entry.submissionId) await deleteSubmissions(connection, [entry.submissionId])
    await deleteEntryOf(connection, entry.accountId)
  })
}
