/**
 * Originals kept before metadata was taken out at the door: rewritten one by one after the start, and the old bytes
 * gone.
 */
import { readFile, writeFile } from 'node:fs/promises'
import { databaseAway } from '../../db/outage'
import { deleteUnusedBlob, findBlob, findUnstripped, insertBlob, replaceOriginal } from '../../db/pieces/pictures'
import { db, transaction } from '../../db/pool'
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
  const original = await findBlob(db(), sha256)
  if (!original) return
  const bare = await withScratch(async file => {
    await writeFile(file, original.bytes)
    return { sha256: await stripOriginal(file), mediaType: original.mediaType, bytes: await readFile(file) }
  })
  await transaction(async connection => {
    await insertBlob(connection, bare)
    await replaceOriginal(connection, { id, before: sha256, after: bare.sha256 })
    await deleteUnusedBlob(connection, sha256)
  })
}
