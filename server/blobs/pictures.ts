/** A piece's picture in one of its sizes: by its hash, and that by its bytes. */
import { findPictureHash, type PictureSize } from '../db/pieces/pictures'
import type { KeptBlob } from '../db/pieces/blobs'
import { db } from '../db/pool'
import { AppError } from '../../shared/errors'
import { blobInto, readBlob, type Blob } from './blobs'

/** The bytes of one size that a page shows, or of the reference; null where there is none. */
export async function readPicture(
  submissionId: number,
  size: Exclude<PictureSize, 'original' | 'full'> | 'reference'
): Promise<Blob | null> {
  const sha256 = await findPictureHash(db(), submissionId, size)
  return sha256 === null ? null : readBlob(sha256)
}

/** What was handed in, into a file. @throws AppError not-found. */
export async function originalInto(submissionId: number, file: string): Promise<KeptBlob> {
  const blob = await blobInto(await findPictureHash(db(), submissionId, 'original'), file)
  if (!blob) throw new AppError('not-found', 'The picture is missing.')
  return blob
}
