/**
 * Pictures' bytes, kept by their hash. They are written before the change that points at them, part by part and outside
 * of it, so that no change is large; what a stop leaves in between is noted beforehand and taken away (`loose.ts`).
 */
import { randomUUID } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import pRetry from 'p-retry'
import { pointsNowhere } from '../db/outage'
import * as rows from '../db/pieces/blobs'
import { db, transaction, type Db } from '../db/pool'
import { takeAwayLoose } from './loose'
import type { Source } from './place'
import { newPlace, placeOf } from './places'

/** Bytes to be kept, by what they are. */
export interface NewBlob extends Source {
  readonly sha256: string
  readonly mediaType: string
}
/** Bytes read whole: of a size that a page shows, never of an original. */
export interface Blob {
  readonly sha256: string
  readonly mediaType: string
  readonly bytes: Buffer
}

/**
 * Writes bytes where they lie from now on. @param settle makes them somebody's, in a transaction, and says whether it
 * did: where not, they stay loose, and go. It may run more than once.
 */
export async function keepBytes(
  source: Source,
  settle: (connection: Db, where: rows.Stored) => Promise<boolean>
): Promise<void> {
  const where = { place: newPlace(), stored: randomUUID().replaceAll('-', '') }
  await rows.insertLoose(db(), where)
  await placeOf(where.place).write(where.stored, source)
  if (!(await transaction(connection => settle(connection, where)))) await rows.letGo(db(), where.stored)
}

async function keepBlob({ sha256, mediaType, size, from }: NewBlob): Promise<void> {
  if (await rows.findBlob(db(), sha256)) return
  await keepBytes({ from, size }, (connection, where) =>
    rows.settleBlob(connection, { sha256, mediaType, size, ...where })
  )
}

type Work<T> = (connection: Db) => Promise<T>

/**
 * Keeps bytes, then makes the change that points at them; where that fails, what nothing points at goes again.
 * @param run how the change is made, where not in a transaction of its own.
 */
export async function withBlobs<T>(
  blobs: readonly NewBlob[],
  work: Work<T>,
  run: (work: Work<T>) => Promise<T> = transaction
): Promise<T> {
  try {
    return await pRetry(
      async () => {
        for (const blob of blobs) await keepBlob(blob)
        return run(work)
      },
      // The same bytes were there, and went with somebody else's picture before this one pointed at them.
      { retries: 2, minTimeout: 15, shouldRetry: ({ error }) => pointsNowhere(error) }
    )
  } catch (error) {
    for (const { sha256 } of blobs)
      await transaction(connection => rows.deleteUnusedBlob(connection, sha256)).catch(() => {})
    void takeAwayLoose().catch(() => {})
    throw error
  }
}

/** @param of what is sent, from `start` to before `end`. */
export const streamOf = (
  { stored, place, size }: rows.Stored & { readonly size: number },
  { start, end }: { readonly start: number; readonly end: number } = { start: 0, end: size }
): Readable => Readable.from(placeOf(place).read(stored, start, end), { objectMode: false })

/** @returns null where nothing is kept by that hash. */
export async function readBlob(sha256: string): Promise<Blob | null> {
  const blob = await rows.findBlob(db(), sha256)
  if (!blob) return null
  const parts: Buffer[] = []
  for await (const part of placeOf(blob.place).read(blob.stored, 0, blob.size)) parts.push(part)
  return { sha256, mediaType: blob.mediaType, bytes: parts.length === 1 ? parts[0]! : Buffer.concat(parts) }
}

/** Its bytes into a file, part by part. @returns what they are; null where nothing is kept by that hash. */
export async function blobInto(sha256: string | null, file: string): Promise<rows.KeptBlob | null> {
  const blob = sha256 === null ? null : await rows.findBlob(db(), sha256)
  if (blob) await pipeline(streamOf(blob), createWriteStream(file))
  return blob
}
