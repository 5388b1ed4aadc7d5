/**
 * Keeps a service running: when it dies by itself that is said, and it is started again, later and later as it keeps
 * dying.
 */
import type { ChildProcess } from 'node:child_process'
import { setTimeout as wait } from 'node:timers/promises'
import { step } from './step'

export interface Service {
  readonly name: string
  /** @throws when it does not come up. */
  readonly start: () => Promise<ChildProcess>
}

const FIRST_WAIT_MS = 1000,
  LONGEST_WAIT_MS = 30_000
/** Having run so long, it is taken for well again. */
const WELL_MS = 60_000

/** @param running the service, already up. @param stopped ends the watch. */
export async function supervise({ name, start }: Service, running: ChildProcess, stopped: AbortSignal): Promise<void> {
  let waitMs = FIRST_WAIT_MS
  for (let child: ChildProcess | null = running; !stopped.aborted;) {
    const since = Date.now(),
      how = child && (await endOf(child))
    if (stopped.aborted) return
    if (Date.now() - since > WELL_MS) waitMs = FIRST_WAIT_MS
    step(`${name} ${how ?? 'did not come up'}; it is started again in ${waitMs / 1000} s`)
    await wait(waitMs, undefined, { signal: stopped }).catch(() => {})
    if (stopped.aborted) return
    waitMs = Math.min(LONGEST_WAIT_MS, 2 * waitMs)
    child = await start().catch((error: Error) => {
      console.error(`  ${error.message}`)
      return null
    })
    if (child) step(`${name} runs again`)
  }
}

/** How a process ended. */
function endOf(child: ChildProcess): Promise<string> {
  const said = (code: number | null, signal: string | null): string =>
    signal ? `was ended by ${signal}` : `stopped by itself with status ${code}`
  if (child.exitCode !== null || child.signalCode !== null)
    return Promise.resolve(said(child.exitCode, child.signalCode))
  return new Promise(resolve => child.once('exit', (code, signal) => resolve(said(code, signal))))
}
