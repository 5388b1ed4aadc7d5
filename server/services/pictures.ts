/** Which bytes of a picture are served: sizes made here, never the original, which may carry a place or a camera. */
import { AppError } from '../../shared/errors'
import { findPictureBytes, findReferenceBytes, insertBlob, updateFullSize, type Blob, type PictureSize } from '../db/pictures'
import { db, transaction } from '../db/pool'
import { upright } from '../work/pool'

export type ServedSize = Exclude<PictureSize, 'original'> | 'reference'
export const SERVED_SIZES: readonly ServedSize[] = ['display', 'thumb', 'full', 'reference']

/** Making the same full size twice at once would only take twice as long. */
const making = new Map<number, Promise<Blob>>()

/** @throws AppError not-found. */
export async function servedPicture(submissionId: number, size: ServedSize): Promise<Blob> {
  const found = size === 'reference' ? await findReferenceBytes(db(), submissionId) : await findPictureBytes(db(), submissionId, size)
  if (found) return found
  if (size !== 'full') throw new AppError('not-found', size === 'reference' ? 'No reference came with this piece.' : 'The picture is missing.')
  const begun = making.get(submissionId) ?? makeFullSize(submissionId).finally(() => making.delete(submissionId))
  making.set(submissionId, begun)
  return begun
}

/** Every pixel of the original, upright and without metadata; kept, since a closer look is taken again. */
async function makeFullSize(submissionId: number): Promise<Blob> {
  const original = await findPictureBytes(db(), submissionId, 'original')
  if (!original) throw new AppError('not-found', 'The picture is missing.')
  const made = await upright(original.bytes)
  const blob = { ...made, bytes: Buffer.from(made.bytes) }
  await transaction(async (connection) => {
    await insertBlob(connection, blob)
    await updateFullSize(connection, submissionId, blob.sha256)
  })
  return blob
}
