/** The mailboxes are looked into in the background, one mail after the other; one that fails is looked into again. */
import { databaseAway } from '../../db/outage'
import { db } from '../../db/pool'
import { deleteOldLetters } from '../../db/pieces/letters'
import { LETTER_LIMITS } from '../../../shared/letter'
import { withScratch } from '../../scratch'
import { settings } from '../../settings'
import { openImap } from './mailboxes/imap'
import type { Mailbox } from './mailboxes/mailbox'
import { openMaildir } from './mailboxes/maildir'
import { receive, refuseUnread } from './receiving'
import { logError } from '../../log'

const FOLDER_EVERY_MS = 2000,
  SERVER_EVERY_MS = 30_000,
  SWEEP_MS = 3_600_000
/** What nothing came of is kept for so long: days. */
const KEPT_DAYS = 30
/** One that cannot be read is tried so often. */
const TRIES = 3

const timers: NodeJS.Timeout[] = []
let underWay: Promise<unknown> = Promise.resolve(),
  open = false
const faults = new Map<string, string>(),
  tried = new Map<string, number>()

/** Why a mailbox could not be read; empty where all can. */
export const lastFault = (): string => [...faults.values()].filter(Boolean).join(' ')

export function startFetching(): void {
  const { CRITICA_MAILDIR, CRITICA_IMAP_URL } = settings()
  open = true
  if (CRITICA_MAILDIR) look('the folder of mail', () => openMaildir(CRITICA_MAILDIR), FOLDER_EVERY_MS)
  if (CRITICA_IMAP_URL) look('the mailbox', () => openImap(CRITICA_IMAP_URL), SERVER_EVERY_MS)
  timers.push(setInterval(() => void deleteOldLetters(db(), KEPT_DAYS).catch(() => {}), SWEEP_MS))
  for (const timer of timers) timer.unref()
}

export async function stopFetching(): Promise<void> {
  open = false
  for (const timer of timers.splice(0)) clearInterval(timer)
  await underWay
}

function look(what: string, openBox: () => Promise<Mailbox>, everyMs: number): void {
  let busy = false
  const now = async (): Promise<void> => {
    if (busy) return
    busy = true
    try {
      const box = await openBox()
      try {
        await empty(box)
        faults.set(what, '')
      } finally {
        await box.close()
      }
    } catch (error) {
      const said = `${what[0]!.toUpperCase()}${what.slice(1)} cannot be read: ${(error as Error).message}.`
      if (faults.get(what) !== said) logError('a mailbox cannot be read', error, { box: what })
      faults.set(what, said)
    } finally {
      busy = false
    }
  }
  // One mailbox after the other.
  timers.push(setInterval(() => (underWay = underWay.then(now)), everyMs))
}

async function empty(box: Mailbox): Promise<void> {
  for (const arrived of await box.list()) {
    if (!open) return
    await withScratch(async file => {
      await box.bring(arrived, file, LETTER_LIMITS.bytes)
      await receive({ file, bytes: arrived.bytes, byHand: false }).catch(async (error: unknown) => {
        const times = (tried.get(arrived.id) ?? 0) + 1
        // A database that is away is not the mail's fault.
        if (databaseAway(error) || times < TRIES) {
          if (!databaseAway(error)) tried.set(arrived.id, times)
          throw error
        }
        await refuseUnread(file)
      })
    })
    tried.delete(arrived.id)
    await box.done(arrived)
  }
}
