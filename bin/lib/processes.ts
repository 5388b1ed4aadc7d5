/** Processes that a start begins, and those that a killed one left behind. */
import type { ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'

/**
 * A process that does not end on SIGTERM in this time is killed: a server may leave work half done, a database should
 * not have to.
 */
export const SERVER_GRACE_MS = 5000
const GRACE_MS = 20_000

/** Whether a process runs whose command line holds `mark`: a number alone may be another's by now. */
export function runs(pid: number, mark: string): boolean {
  if (!pid) return false
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(mark)
  } catch {
    return false
  }
}

/** SIGTERM, and the wait until it is gone; then SIGKILL. */
export async function endProcess(pid: number, mark: string): Promise<void> {
  process.kill(pid, 'SIGTERM')
  for (let waited = 0; waited < GRACE_MS && runs(pid, mark); waited += 100) await wait(100)
  if (runs(pid, mark)) process.kill(pid, 'SIGKILL')
  while (runs(pid, mark)) await wait(50)
}

/** As `endProcess`, for a child. */
export async function endChild(child: ChildProcess, graceMs = GRACE_MS): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return
  const gone = new Promise(resolve => child.once('exit', resolve))
  child.kill('SIGTERM')
  if ((await Promise.race([gone, wait(graceMs, 'late')])) === 'late') child.kill('SIGKILL')
  await gone
}
