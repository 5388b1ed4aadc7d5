/** How long small questions wait while something large goes on. */
import { once } from 'node:events'
import { Worker } from 'node:worker_threads'

/** @returns how long each of many small questions waited while `work` went on, in milliseconds. */
export async function waitsDuring(origin: string, work: () => Promise<unknown>): Promise<number[]> {
  const probe = new Worker(new URL('probe.thread.mjs', import.meta.url), { workerData: `${origin}/api/session` })
  await once(probe, 'online')
  const answered = once(probe, 'message') as Promise<[number[]]>
  try {
    await work()
  } finally {
    probe.postMessage('enough')
  }
  return (await answered)[0]
}

export const longestWait = async (origin: string, work: () => Promise<unknown>): Promise<number> =>
  Math.max(...(await waitsDuring(origin, work)))
