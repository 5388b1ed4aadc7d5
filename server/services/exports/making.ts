/** Making what was asked for: rows in the database, by any server, in a process of its own. */
import { randomUUID } from 'node:crypto'
import { stat } from 'node:fs/promises'
import { setInterval as every } from 'node:timers/promises'
import { keepBytes } from '../../blobs/blobs'
import { databaseAway } from '../../db/outage'
import { findAccount } from '../../db/people/accounts'
import * as rows from '../../db/pieces/exports'
import { db, transaction } from '../../db/pool'
import { logError } from '../../log'
import { withScratch } from '../../scratch'
import { runExport } from '../../work/workers'
import { visibleSubmission } from '../access'
import { readCritique } from '../critique/critiques'
import { RowQueue } from '../running/row-queue'
import { TASKS } from './tasks'

/** How often is told how far it is, and heard whether it is still wanted. */
const TELL_MS = 500
/** Two at a time leave the rest of a machine to those who look at pictures. */
const AT_ONCE = 2

/** This server among several on one database. */
const HOLDER = randomUUID()
/** What is being made here, to be called off at once where it is asked of this server. */
const underWay = new Map<string, AbortController>()

const queue = new RowQueue<rows.ExportRow>({
  failure: 'making exports stopped',
  pace: { atOnce: AT_ONCE },
  take: () => transaction(connection => rows.claimExport(connection, HOLDER)),
  do: make
})
export const wakeMaking = (): void => queue.wake()
export const resumeMaking = (): void => queue.resume()
export async function stopMaking(): Promise<void> {
  const stopping = queue.stop(1000)
  for (const abort of underWay.values()) abort.abort()
  await stopping
}
export const callOff = (id: string): void => underWay.get(id)?.abort()

/** Tells how far it is until the work ends; calls it off when it is no longer wanted. */
async function follow(id: string, abort: AbortController, at: { share: number }): Promise<void> {
  for await (const _ of every(TELL_MS, undefined, { signal: abort.signal, ref: false }))
    if (!(await rows.tellExport(db(), { id, by: HOLDER }, at.share).catch(() => true))) abort.abort()
}

async function make(job: rows.ExportRow): Promise<void> {
  const abort = new AbortController(),
    held = { id: job.id, by: HOLDER },
    at = { share: 0 }
  underWay.set(job.id, abort)
  const following = follow(job.id, abort, at).catch(() => {})
  try {
    await withScratch(file => makeInto(file, { job, abort, at }))
  } catch (error) {
    if (queue.stopped) return await rows.releaseExport(db(), held)
    // Called off, it is nobody's any more; with the database away, its lease runs out, and it is made again.
    if (abort.signal.aborted) return
    if (databaseAway(error)) throw error
    logError('an export failed', error, { submission: job.submissionId })
    await rows.endExport(db(), held, null)
  } finally {
    underWay.delete(job.id)
    abort.abort()
    await following
  }
}

interface Making {
  readonly job: rows.ExportRow
  readonly abort: AbortController
  readonly at: { share: number }
}

async function makeInto(file: string, { job, abort, at }: Making): Promise<void> {
  await withScratch(async original => {
    const account = await findAccount(db(), job.accountId)
    if (!account) throw new Error('whoever asked for an export is gone')
    const submission = await visibleSubmission(account, job.submissionId),
      critique = await readCritique(account, job.submissionId)
    await runExport({
      task: await TASKS[job.name]({ submission, critique, original }),
      file,
      who: `${job.accountId}`,
      progress: share => {
        at.share = share
      },
      signal: abort.signal
    })
  })
  const { size } = await stat(file)
  await keepBytes({ from: file, size }, (connection, made) =>
    rows.endExport(connection, { id: job.id, by: HOLDER }, { ...made, size })
  )
}
