/** A guest hands in without an account, and by the link that is mailed confirms, reads, and may take it all away. */
import type { Entry, EntrySent, EntryWritten } from '../../../shared/call'
import { AppError } from '../../../shared/errors'
import { insertAccount } from '../../db/people/accounts'
import { findCall, type CallRow } from '../../db/classes/calls'
import { countEntries, findEntryOf, insertEntry, updateEntry, type EntryRow } from '../../db/classes/call-entries'
import { withBlobs } from '../../blobs/blobs'
import { db, transaction } from '../../db/pool'
import { settings } from '../../settings'
import { beginSession } from '../entering/accounts'
import type { Comer } from '../entering/entering'
import { countEntry, countLinkTry } from '../entering/guesses'
import { makeLink, openLink, pathOf } from '../entering/links'
import { eraseNow } from '../house/erasing'
import { tellEntry } from '../mail/guests'
import { blobsOf, keepPicture, takeApart } from '../pieces/handing-in'
import { wakeMeasuring } from '../pieces/measuring'
import { callBy, standingOf } from './calls'
import { checkProof } from './proof'
import { cameTwice } from '../../db/outage'
import { secret } from '../entering/secrets'
import { saidOf } from './sittings'
import { takeEntry } from './taking'

const NOT_TAKEN: Readonly<Record<Exclude<ReturnType<typeof standingOf>, 'open'>, string>> = {
  'not-yet': 'This call is not open yet.',
  full: 'All places of this call are taken.',
  closed: 'This call is closed.'
}
/** Of a call by lot or by choice: more than these nobody can look through. */
const MOST_WAITING = 500

/** @throws AppError in the guest's words; nothing is kept then. */
export async function handInToCall(
  token: string,
  { written, file, address }: { readonly written: EntryWritten; readonly file: string; readonly address: string }
): Promise<EntrySent> {
  await countEntry(address)
  const asked = await callBy(token),
    proof = await checkProof(written.proof, asked.id),
    {
      name,
      email,
      guardianEmail,
      ofAge,
      named,
      title,
      stage,
      medium,
      about,
      question,
      focusX,
      focusY,
      steps = null
    } = written,
    to = ofAge ? email : guardianEmail!
  const sizes = await takeApart(file, { what: 'The picture', who: `guest ${address}`, steps })
  const link = await withBlobs(await blobsOf(sizes), async connection => {
    // One after the other: of fifty who send at once none takes a place twice.
    const call = (await findCall(connection, asked.id, true))!,
      { all, own } = await countEntries(connection, call.id, email),
      standing = standingOf(call, all)
    if (standing !== 'open') throw new AppError('invalid', NOT_TAKEN[standing])
    if (all >= MOST_WAITING) throw new AppError('invalid', NOT_TAKEN.full)
    if (own >= call.perPerson)
      throw new AppError(
        'invalid',
        call.perPerson === 1
          ? 'A piece from this address is in already, and the call takes one a person.'
          : `${call.perPerson} pieces from this address are in already: as many as the call takes from a person.`
      )
    const pictureId = await keepPicture(connection, sizes),
      accountId = await insertAccount(connection, { name, email: null, passwordHash: null })
    await insertEntry(connection, {
      callId: call.id,
      accountId,
      email,
      guardianEmail: ofAge ? null : guardianEmail,
      named,
      words: { title, stage, medium, about, question, focusX, focusY },
      pictureId,
      proof,
      at: new Date()
    }).catch((error: unknown) => {
      throw cameTwice(error) ? new AppError('stale', 'This piece came in already: look for the mail.') : error
    })
    const link = await makeLink(connection, { kind: 'entry', accountId, email: to })
    await tellEntry(connection, { accountId, link, to, call, title, guardianOf: ofAge ? null : name })
    return link
  })
  return { to, link: settings().CRITICA_SMTP_URL ? null : pathOf(link, secret()) }
}

interface Opened {
  readonly entry: EntryRow
  readonly call: CallRow
}
async function opened(token: string, address: string): Promise<Opened> {
  // A class of guests reads from one address: what is counted is what opens nothing.
  const { accountId } = await openLink(token, ['entry']).catch(async (error: unknown) => {
      await countLinkTry(address)
      throw error
    }),
    entry = accountId === null ? null : await findEntryOf(db(), accountId),
    call = entry && (await findCall(db(), entry.callId))
  if (!entry || !call) throw new AppError('not-found', 'This link is over: the piece was taken away.')
  return { entry, call }
}

export async function readEntry(token: string, address: string): Promise<Entry> {
  const { entry, call } = await opened(token, address)
  return {
    call: call.title,
    title: entry.words.title,
    name: entry.name,
    state: entry.state,
    guardian: entry.guardianEmail !== null,
    submissionId: entry.submissionId,
    ready: entry.ready,
    returned: call.returned,
    said: entry.submissionId === null ? [] : await saidOf(entry.submissionId)
  }
}

/** The address is theirs, or a guardian agrees: the piece waits, or lies on the desk. Twice is once. */
export async function confirmEntry(token: string, address: string): Promise<void> {
  const { entry, call } = await opened(token, address)
  await transaction(async connection => {
    await findCall(connection, call.id, true)
    const now = await findEntryOf(connection, entry.accountId)
    if (now?.state !== 'sent') return
    if (call.ordered === 'first') await takeEntry(connection, { call, entry: now, at: new Date() })
    else await updateEntry(connection, now.id, { state: 'waiting' })
  })
  wakeMeasuring()
}

/** The guest reads the critique as any learner does theirs. @returns a session's token. */
export async function enterByEntry(token: string, { address, browser }: Comer): Promise<string> {
  const { entry } = await opened(token, address)
  if (!entry.submissionId || !entry.ready)
    throw new AppError('not-found', 'The critique is not there yet: you are told when it is.')
  return transaction(connection => beginSession(connection, entry.accountId, browser))
}

/** All of it goes, at once: the guest’s own to say, and nobody is asked. */
export async function eraseEntry(token: string, address: string): Promise<void> {
  const { entry } = await opened(token, address)
  await eraseNow(entry.accountId, null)
}
