/**
 * Exports that take a while: made one at a time in their own worker thread, told how far they are, called off when
 * asked. A made file lies in a folder of this process for a quarter of an hour, and goes with the process.
 */
import { randomUUID } from 'node:crypto'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { ExportState, MadeExport } from '../../shared/export'
import type { Submission } from '../../shared/submission'
import { findPictureBytes } from '../db/pictures'
import { db } from '../db/pool'
import type { ExportTask } from '../work/export.worker'
import { runExport } from '../work/pool'
import { visibleSubmission } from './access'
import { readCritique } from './critiques'
import { sheetFor } from './sheet'
import { exportFileName, layeredCorrections } from './exporting'

interface Job { readonly id: string, readonly accountId: number, readonly submission: Submission, readonly name: MadeExport, readonly abort: AbortController, state: ExportState['state'], share: number }

const jobs = new Map<string, Job>()
const KEPT_MS = 15 * 60_000
/** One person has so many under way at most, and so many kept: the oldest makes room. */
const MOST_MAKING = 3, MOST_KEPT = 4
let folder: Promise<string> | null = null
const fileOf = async (id: string): Promise<string> => join(await (folder ??= mkdtemp(join(tmpdir(), 'critica-exports-'))), id)

async function taskOf(account: Account, submission: Submission, name: MadeExport): Promise<ExportTask> {
  const critique = await readCritique(account, submission.id)
  if (name === 'sheet-a4.pdf' || name === 'sheet-letter.pdf') {
    const display = await findPictureBytes(db(), submission.id, 'display')
    return { kind: 'sheet', display: display!.bytes, sheet: await sheetFor(submission, critique, name === 'sheet-a4.pdf' ? 'A4' : 'LETTER') }
  }
  const corrections = layeredCorrections(critique)
  if (name === 'as-it-could-be.png' && !corrections.some(c => c.trial)) throw new AppError('invalid', 'No correction of this piece shows what it means: there is nothing to try on the picture.')
  const original = await findPictureBytes(db(), submission.id, 'original')
  return { kind: name === 'layers.ora' ? 'layers' : 'applied', original: original!.bytes, corrections }
}

/** @returns at once; the work goes on. @throws AppError when there is nothing to make, or too much is being made already. */
export async function beginExport(account: Account, submissionId: number, name: MadeExport): Promise<ExportState> {
  const submission = await visibleSubmission(account, submissionId), task = await taskOf(account, submission, name)
  const own = [...jobs.values()].filter(j => j.accountId === account.id), made = own.filter(j => j.state !== 'making')
  if (own.length - made.length >= MOST_MAKING) throw new AppError('too-many-tries', 'Several exports are being made already. Wait for one of them, or call it off.')
  for (const old of made.slice(0, Math.max(0, made.length + 1 - MOST_KEPT))) await forget(old)
  const job: Job = { id: randomUUID(), accountId: account.id, submission, name, abort: new AbortController(), state: 'making', share: 0 }
  jobs.set(job.id, job)
  void work(job, task)
  return stateOf(job)
}

async function work(job: Job, task: ExportTask): Promise<void> {
  try {
    await runExport({ task, file: await fileOf(job.id), progress: (share) => { job.share = share }, signal: job.abort.signal })
    Object.assign(job, { state: 'done', share: 1 })
  } catch (error) {
    job.state = job.abort.signal.aborted ? 'called-off' : 'failed'
    if (job.state === 'failed') console.error(`export ${job.name} of piece ${job.submission.id}:`, error)
  }
  setTimeout(() => void forget(job), KEPT_MS).unref()
}

async function forget(job: Job): Promise<void> {
  jobs.delete(job.id)
  await rm(await fileOf(job.id), { force: true })
}

const stateOf = ({ id, name, state, share }: Job): ExportState => ({ id, name, state, share })

/** The job of this account on this piece. @throws AppError not-found, also for another's. */
function jobOf(account: Account, submissionId: number, id: string): Job {
  const job = jobs.get(id)
  if (!job || job.accountId !== account.id || job.submission.id !== submissionId) throw new AppError('not-found', 'There is no such export, or it is no longer kept. Make it again.')
  return job
}

export const exportState = async (account: Account, submissionId: number, id: string): Promise<ExportState> => {
  await visibleSubmission(account, submissionId)
  return stateOf(jobOf(account, submissionId, id))
}

/** Called off, or thrown away when it is made already. */
export async function endExport(account: Account, submissionId: number, id: string): Promise<void> {
  await visibleSubmission(account, submissionId)
  const job = jobOf(account, submissionId, id)
  job.abort.abort()
  await forget(job)
}

const MEDIA: Readonly<Record<MadeExport, string>> = { 'sheet-a4.pdf': 'application/pdf', 'sheet-letter.pdf': 'application/pdf', 'layers.ora': 'image/openraster', 'as-it-could-be.png': 'image/png' }

export async function exportedFile(account: Account, submissionId: number, id: string): Promise<{ mediaType: string, fileName: string, bytes: Buffer }> {
  await visibleSubmission(account, submissionId)
  const job = jobOf(account, submissionId, id)
  if (job.state !== 'done') throw new AppError('invalid', 'This export is not made yet.')
  return { mediaType: MEDIA[job.name], fileName: exportFileName(job.submission.title, job.name), bytes: await readFile(await fileOf(id)) }
}

/** With the server: nothing of an export outlives it. */
export async function dropExports(): Promise<void> {
  for (const job of jobs.values()) job.abort.abort()
  jobs.clear()
  if (folder) await rm(await folder, { recursive: true, force: true })
}
