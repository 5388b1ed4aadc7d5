/** Bytes that nothing points at any more, or not yet: taken away by whichever server comes to it. */
import * as rows from '../db/pieces/blobs'
import { deleteOldExports } from '../db/pieces/exports'
import { db, transaction } from '../db/pool'
import { placeOf } from './places'

/** Nobody writes a picture for so long. */
const WRITING_S = 3600
const SWEEP_MS = 10_000
/** What was kept and never pointed at is looked for once in so many sweeps. */
const SELDOM = 360

/** What is to go goes now. @throws Error of the place that does not answer: it is tried again. */
export async function takeAwayLoose(): Promise<void> {
  for (const { stored, place } of await rows.listLoose(db(), WRITING_S)) {
    await placeOf(place).remove(stored)
    await rows.deleteLoose(db(), stored)
  }
}

async function dropAbandoned(): Promise<void> {
  for (const sha256 of await rows.listAbandoned(db(), WRITING_S))
    await transaction(connection => rows.deleteUnusedBlob(connection, sha256))
}

/** Never waits; ends with the signal. */
export function sweepLoose(stopped: AbortSignal): void {
  let sweeps = 0
  const timer = setInterval(() => {
    void (async () => {
      if (sweeps++ % SELDOM === 0) await dropAbandoned()
      await transaction(deleteOldExports)
      await takeAwayLoose()
    })().catch(() => {})
  }, SWEEP_MS)
  timer.unref()
  stopped.addEventListener('abort', () => clearInterval(timer))
}
