/**
 * Exports that take a while: asked for, told how far they are, called off, fetched. A made file is kept for a quarter
 * of an hour, for whoever may still read the critique. They lie in the database: any server makes them (`making.ts`),
 * and any gives them.
 */
import { randomUUID } from 'node:crypto'
import type { Readable } from 'node:stream'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { MADE_EXPORTS, type ExportState, type MadeExport } from '../../../shared/pieces/export'
import { streamOf } from '../../blobs/blobs'
import * as rows from '../../db/pieces/exports'
import { db, transaction } from '../../db/pool'
import { readablePiece, visibleSubmission } from '../access'
import { audit } from '../house/audit'
import { readCritique } from '../critique/critiques'
import { exportFileName } from './exports'
import { callOff, wakeMaking } from './making'
import { refuseEmpty } from './tasks'

/** One person has so many under way at most, and so many kept: the oldest makes room. */
const MOST_MAKING = 3,
  MOST_KEPT = 4

/**
 * @returns at once; the work goes on. @throws AppError when there is nothing to make, or too much is being made
 * already.
 */
export async function beginExport(account: Account, submissionId: number, name: MadeExport): Promise<ExportState> {
  await visibleSubmission(account, submissionId)
  refuseEmpty(name, await readCritique(account, submissionId))
  const id = randomUUID()
  await transaction(async connection => {
    const own = await rows.holdExportsOf(connection, account.id),
      made = own.filter(e => e.state !== 'making')
    if (own.length - made.length >= MOST_MAKING)
      throw new AppError(
        'too-many-tries',
        'Several exports are being made already. Wait for one of them, or call it off.'
      )
    for (const old of made.slice(0, Math.max(0, made.length + 1 - MOST_KEPT)))
      await rows.deleteExport(connection, old.id)
    await rows.insertExport(connection, { id, accountId: account.id, submissionId, name })
    await audit(connection, { action: 'exported', actorId: account.id, submissionId, detail: name })
  })
  wakeMaking()
  return { id, name, state: 'making', share: 0 }
}

/**
 * The export of this account on this piece, as long as it may read what it was made from. @throws AppError not-found,
 * also for another's.
 */
async function exportOf(account: Account, submissionId: number, id: string): Promise<rows.ExportRow> {
  await readablePiece(account, submissionId)
  const found = await rows.findExport(db(), id)
  if (!found || found.accountId !== account.id || found.submissionId !== submissionId)
    throw new AppError('not-found', 'There is no such export, or it is no longer kept. Make it again.')
  return found
}

export async function exportState(account: Account, submissionId: number, id: string): Promise<ExportState> {
  const { name, state, share } = await exportOf(account, submissionId, id)
  return { id, name, state, share }
}

/** Called off, or thrown away when it is made already. */
export async function endExport(account: Account, submissionId: number, id: string): Promise<void> {
  await exportOf(account, submissionId, id)
  await transaction(connection => rows.deleteExport(connection, id))
  callOff(id)
}

interface MadeFile {
  readonly mediaType: string
  readonly fileName: string
  /** Of all of it, in bytes. */
  readonly size: number
  readonly bytes: Readable
}

/** @throws AppError not-found, and invalid while it is being made. */
export async function exportedFile(account: Account, submissionId: number, id: string): Promise<MadeFile> {
  const { name, made } = await exportOf(account, submissionId, id)
  if (!made) throw new AppError('invalid', 'This export is not made yet.')
  const { title } = await visibleSubmission(account, submissionId)
  return {
    mediaType: MADE_EXPORTS[name].mediaType,
    fileName: exportFileName(title, name),
    size: made.size,
    bytes: streamOf(made)
  }
}
