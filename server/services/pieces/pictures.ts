/** Which bytes of a picture are served: sizes made here, never the original, which may carry a place or a camera. */
import { readFile, writeFile } from 'node:fs/promises'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import {
  findBlob,
  findPictureBytes,
  findPictureHash,
  insertBlob,
  updateFullSize,
  type Blob,
  type PictureSize
} from '../../db/pieces/pictures'
import type { PhotoSteps } from '../../../core/photo/steps'
import { findSteps } from '../../db/pieces/photos'
import { db, transaction } from '../../db/pool'
import { withScratch } from '../../scratch'
import { makeUpright } from '../../work/workers'

export type ServedSize = Exclude<PictureSize, 'original'> | 'reference'
export const SERVED_SIZES: readonly ServedSize[] = ['display', 'thumb', 'full', 'reference']

/** Making the same full size twice at once would only take twice as long. */
const underWay = new Map<number, Promise<string>>()

/** By which hash a size is kept; a full size is made when it is first asked for. @throws AppError not-found. */
export async function pictureHash(account: Account, submissionId: number, size: ServedSize): Promise<string> {
  const found = await findPictureHash(db(), submissionId, size)
  if (found) return found
  if (size !== 'full')
    throw new AppError(
      'not-found',
      size === 'reference' ? 'No reference came with this piece.' : 'The picture is missing.'
    )
  const begun =
    underWay.get(submissionId) ?? makeFullSize(account, submissionId).finally(() => underWay.delete(submissionId))
  underWay.set(submissionId, begun)
  return begun
}

/** @throws AppError not-found. */
export async function pictureBytes(sha256: string): Promise<Blob> {
  const blob = await findBlob(db(), sha256)
  if (!blob) throw new AppError('not-found', 'The picture is missing.')
  return blob
}

/** Every pixel of the original, or of the sheet in it by its steps, upright and without metadata. */
async function upright(account: Account, submissionId: number, steps: PhotoSteps | null): Promise<Blob> {
  const original = await findPictureBytes(db(), submissionId, 'original')
  if (!original) throw new AppError('not-found', 'The picture is missing.')
  return withScratch(from =>
    withScratch(async to => {
      await writeFile(from, original.bytes)
      return { ...(await makeUpright({ original: from, file: to, steps }, `${account.id}`)), bytes: await readFile(to) }
    })
  )
}

/** The photograph as it was handed in, for setting what is done to it. Not kept: that is seldom. */
export const originalUpright = (account: Account, submissionId: number): Promise<Blob> =>
  upright(account, submissionId, null)

/** Kept, since a closer look is taken again. */
async function makeFullSize(account: Account, submissionId: number): Promise<string> {
  const blob = await upright(account, submissionId, await findSteps(db(), submissionId))
  await transaction(async connection => {
    await insertBlob(connection, blob)
    await updateFullSize(connection, submissionId, blob.sha256)
  })
  return blob.sha256
}
