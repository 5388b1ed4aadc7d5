/**
 * Exports that take a while: made in a process of their own, told how far they are, called off when
 * asked. A made file is kept for a quarter of an hour, for whoever may still read the critique, and goes with the
 * server.
 */
import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import type { Critique } from '../../../shared/critique'
import { MADE_EXPORTS, type ExportState, type MadeExport } from '../../../shared/pieces/export'
import type { PieceFacts, Submission } from '../../../shared/pieces/submission'
import { findSteps } from '../../db/pieces/photos'
import { originalInto, readPicture } from '../../blobs/pictures'
import { db } from '../../db/pool'
import { dropScratch, scratchFile } from '../../scratch'
import type { ExportTask } from '../../work/export.worker'
import { runExport } from '../../work/workers'
import { readablePiece, visibleSubmission } from '../access'
import { audit } from '../house/audit'
import { readCritique } from '../critique/critiques'
import { sheetFor } from './sheet'
import { exportFileName, layeredCorrections } from './exports'
import { logError } from '../../log'

interface Job {
  readonly id: string
  readonly accountId: number
  readonly submissionId: number
  readonly title: string
  readonly name: MadeExport
  readonly file: string
  readonly abort: AbortController
  state: ExportState['state']
  share: number
}

const jobs = new Map<string, Job>()
const KEPT_MS = 15 * 60_000
/** One person has so many under way at most, and so many kept: the oldest makes room. */
const MOST_MAKING = 3,
  MOST_KEPT = 4

/**
 * What an export is made from. @property original file that the picture's own bytes are written to, where they are
 * needed.
 */
interface Source {
  readonly submission: Submission
  readonly critique: Critique
  readonly original: string
}

const sheet =
  (paper: 'A4' | 'LETTER') =>
  async ({ submission, critique }: Source): Promise<ExportTask> => {
    const display = await readPicture(submission.id, 'display')
    return { kind: 'sheet', display: display!.bytes, sheet: await sheetFor(submission, critique, paper) }
  }
const atEveryPixel =
  (kind: 'layers' | 'applied') =>
  async ({ submission, critique, original }: Source): Promise<ExportTask> => {
    const corrections = layeredCorrections(critique)
    if (kind === 'applied' && !corrections.some(c => c.trial)) {
      throw new AppError(
        'invalid',
        'No correction of this piece shows what it means: there is nothing to try on the picture.'
      )
    }
    await originalInto(submission.id, original)
    return { kind, original, corrections, steps: await findSteps(db(), submission.id) }
  }

/** Each name with what is done to make it. */
const TASKS: Readonly<Record<MadeExport, (source: Source) => Promise<ExportTask>>> = {
  'sheet-a4.pdf': sheet('A4'),
  'sheet-letter.pdf': sheet('LETTER'),
  'layers.ora': atEveryPixel('layers'),
  'as-it-could-be.png': atEveryPixel('applied')
}

/**
 * Takes one of the places a person has, before anything is waited for: asked for at once, they are counted all the
 * same.
 */
function reserve(account: Account, { id, title }: PieceFacts, name: MadeExport): Job {
  const own = [...jobs.values()].filter(j => j.accountId === account.id),
    made = own.filter(j => j.state !== 'making')
  if (own.length - made.length >= MOST_MAKING) {
    throw new AppError(
      'too-many-tries',
      'Several exports are being made already. Wait for one of them, or call it off.'
    )
  }
  for (const old of made.slice(0, Math.max(0, made.length + 1 - MOST_KEPT))) void forget(old)
  const job: Job = {
    id: randomUUID(),
    accountId: account.id,
    submissionId: id,
    title,
    name,
    file: scratchFile(),
    abort: new AbortController(),
    state: 'making',
    share: 0
  }
  jobs.set(job.id, job)
  return job
}

/**
 * @returns at once; the work goes on. @throws AppError when there is nothing to make, or too much is being made
 * already.
 */
export async function beginExport(account: Account, submissionId: number, name: MadeExport): Promise<ExportState> {
  const submission = await visibleSubmission(account, submissionId),
    job = reserve(account, submission, name),
    original = scratchFile()
  try {
    const task = await TASKS[name]({ submission, critique: await readCritique(account, submissionId), original })
    await audit(db(), { action: 'exported', actorId: account.id, submissionId, detail: name })
    void work(job, task).finally(() => dropScratch(original))
    return stateOf(job)
  } catch (error) {
    await Promise.all([forget(job), dropScratch(original)])
    throw error
  }
}

async function work(job: Job, task: ExportTask): Promise<void> {
  try {
    await runExport({
      task,
      file: job.file,
      who: `${job.accountId}`,
      progress: share => {
        job.share = share
      },
      signal: job.abort.signal
    })
    Object.assign(job, { state: 'done', share: 1 })
  } catch (error) {
    job.state = job.abort.signal.aborted ? 'called-off' : 'failed'
    if (job.state === 'failed') logError('an export failed', error, { submission: job.submissionId })
  }
  if (!jobs.has(job.id)) await dropScratch(job.file)
  else setTimeout(() => void forget(job), KEPT_MS).unref()
}

async function forget(job: Job): Promise<void> {
  job.abort.abort()
  jobs.delete(job.id)
  await dropScratch(job.file)
}

const stateOf = ({ id, name, state, share }: Job): ExportState => ({ id, name, state, share })

/**
 * The job of this account on this piece, as long as it may read what the job was made from. @throws AppError not-found,
 * also for another's.
 */
async function jobOf(account: Account, submissionId: number, id: string): Promise<Job> {
  await readablePiece(account, submissionId)
  const job = jobs.get(id)
  if (!job || job.accountId !== account.id || job.submissionId !== submissionId) {
    throw new AppError('not-found', 'There is no such export, or it is no longer kept. Make it again.')
  }
  return job
}

export const exportState = async (account: Account, submissionId: number, id: string): Promise<ExportState> =>
  stateOf(await jobOf(account, submissionId, id))

/** Called off, or thrown away when it is made already. */
export const endExport = async (account: Account, submissionId: number, id: string): Promise<void> =>
  forget(await jobOf(account, submissionId, id))

/** Nothing that a learner made of a critique outlives its being taken back. @param accountId whose exports go. */
export async function dropExportsOf(accountId: number, submissionId: number): Promise<void> {
  await Promise.all(
    [...jobs.values()].filter(j => j.accountId === accountId && j.submissionId === submissionId).map(forget)
  )
}

/** @param submissionIds whose exports go, by whomever they were made, and all that one person made. */
export async function dropExportsAbout(submissionIds: readonly number[], accountId: number | null): Promise<void> {
  await Promise.all(
    [...jobs.values()].filter(j => submissionIds.includes(j.submissionId) || j.accountId === accountId).map(forget)
  )
}

export async function exportedFile(
  account: Account,
  submissionId: number,
  id: string
): Promise<{ mediaType: string; fileName: string; bytes: Buffer }> {
  const job = await jobOf(account, submissionId, id)
  if (job.state !== 'done') throw new AppError('invalid', 'This export is not made yet.')
  return {
    mediaType: MADE_EXPORTS[job.name].mediaType,
    fileName: exportFileName(job.title, job.name),
    bytes: await readFile(job.file)
  }
}

/** With the server: nothing of an export outlives it. */
export function dropExports(): void {
  for (const job of jobs.values()) job.abort.abort()
  jobs.clear()
}
