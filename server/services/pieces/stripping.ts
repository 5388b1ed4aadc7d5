/**
 * Originals kept before metadata was taken out at the door: rewritten one by one after the start, and the old bytes
 * gone.
 */
import { stat } from 'node:fs/promises'
import { blobInto, withBlobs } from '../../blobs/blobs'
import { deleteUnusedBlob } from '../../db/pieces/blobs'
import { databaseAway } from '../../db/outage'
import { findUnstripped, replaceOriginal } from '../../db/pieces/pictures'
import { db } from '../../db/pool'
import { withScratch } from '../../scratch'
import { stripOriginal } from '../../work/workers'
import { logError } from '../../log'

let stopped = false
let running: Promise<void> | null = null

/** Never waits. What cannot be rewritten is numbered in the log and left for the next start. */
export function startStripping(): void {
  stopped = false
  running = strip().catch((error: Error) => {
    if (!databaseAway(error)) logError('originals could not be rewritten', error)
  })
}
export async function stopStripping(): Promise<void> {
  stopped = true
  await running
}

async function strip(): Promise<void> {
  for (let after = 0; !stopped;) {
    const next = await findUnstripped(db(), after)
    if (!next) return
    after = next.id
    await stripOne(next).catch((error: Error) => {
      logError('an original keeps its metadata', error, { picture: next.id })
    })
  }
}

async function stripOne({ id, sha256 }: { readonly id: number; readonly sha256: string }): Promise<void> {
  await withScratch(async file => {
    const original = await blobInto(sha256, file)
    if (!original) return
    const after = await stripOriginal(file),
      { size } = await stat(file)
    await withBlobs([{ sha256: after, mediaType: original.mediaType, size, from: file }], async connection => {
      await replaceOriginal(connection, { id, before: sha256, after })
      await deleteUnusedBlob(connection, sha256)
    })
  })
}
