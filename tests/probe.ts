/** How long small questions wait while something large goes on. */
import { once } from 'node:events'
import { Worker } from 'node:worker_threads'
import { longestOf, type Timed } from './load/machine'
import { slowness } from './slowness'

/** @returns when each of many small questions was asked while `work` went on, and how long it waited. */
export async function waitsDuring(origin: string, work: () => Promise<unknown>): Promise<Timed[]> {
  const probe = new Worker(new URL('probe.thread.mjs', import.meta.url), { workerData: `${origin}/api/session` })
  await once(probe, 'online')
  const answered = once(probe, 'message') as Promise<[Timed[]]>
  try {
    await work()
  } finally {
    probe.postMessage('enough')
  }
  return (await answered)[0]
}

/** A stall of ours comes each time; one of a machine that is busy with other things does not. */
const TRIES = 3

/**
 * @param wanted milliseconds. @returns the longest wait while `work` went on, as a quiet machine would have it; where
 * that was longer than wanted, the shortest such of three runs of it.
 */
export async function longestWait(origin: string, wanted: number, work: () => Promise<unknown>): Promise<number> {
  let least = Infinity
  for (let i = 0; i < TRIES && least >= wanted; i++) {
    const before = slowness(),
      longest = longestOf(await waitsDuring(origin, work))
    least = Math.min(least, longest / Math.max(before, slowness()))
  }
  return least
}
