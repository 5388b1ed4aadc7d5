/** Which bytes of a picture are served: sizes made here, never the original, which may carry a place or a camera. */
import { stat } from 'node:fs/promises'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { withBlobs } from '../../blobs/blobs'
import { originalInto } from '../../blobs/pictures'
import { findBlob, type KeptBlob } from '../../db/pieces/blobs'
import { findPictureHash, updateFullSize, type PictureSize } from '../../db/pieces/pictures'
import type { PhotoSteps } from '../../../core/photo/steps'
import { findSteps } from '../../db/pieces/photos'
import { db } from '../../db/pool'
import { dropScratch, scratchFile, withScratch } from '../../scratch'
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
export async function keptPicture(sha256: string): Promise<KeptBlob> {
  const blob = await findBlob(db(), sha256)
  if (!blob) throw new AppError('not-found', 'The picture is missing.')
  return blob
}

/** A scratch file of an upright picture, to be dropped once it is done with. */
export interface UprightFile {
  readonly file: string
  readonly sha256: string
  readonly mediaType: string
}

/** Every pixel of the original, or of the sheet in it by its steps, upright and without metadata. */
async function upright(account: Account, submissionId: number, steps: PhotoSteps | null): Promise<UprightFile> {
  const file = scratchFile()
  try {
    return await withScratch(async original => {
      await originalInto(submissionId, original)
      return { file, ...(await makeUpright({ original, file, steps }, `${account.id}`)) }
    })
  } catch (error) {
    await dropScratch(file)
    throw error
  }
}

/** The photograph as it was handed in, for setting what is done to it. Not kept: that is seldom. */
export const originalUpright = (account: Account, submissionId: number): Promise<UprightFile> =>
  upright(account, submissionId, null)

/** Kept, since a closer look is taken again. */
async function makeFullSize(account: Account, submissionId: number): Promise<string> {
  const { file, sha256, mediaType } = await upright(account, submissionId, await findSteps(db(), submissionId))
  try {
    const { size } = await stat(file)
    await withBlobs([{ sha256, mediaType, size, from: file }], connection =>
      updateFullSize(connection, submissionId, sha256)
    )
  } finally {
    await dropScratch(file)
  }
  return sha256
}
