/**
 * Files that live no longer than this process: uploads on their way in, exports on their way out. The folder carries
 * the process's number, so that what a killed one left behind can be told from what another still uses.
 */
import { randomUUID } from 'node:crypto'
import { mkdirSync, readdirSync, rmSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const NAME = /^critica-scratch-(\d+)$/
const folder = join(tmpdir(), `critica-scratch-${process.pid}`)

/** Signal 0 asks only whether there is such a process. */
function alive(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Makes the folder, and takes away those of processes that are no more. @returns how many it took away. */
export function openScratch(): number {
  const left = readdirSync(tmpdir()).filter(
    name => name === `critica-scratch-${process.pid}` || (NAME.test(name) && !alive(Number(NAME.exec(name)![1])))
  )
  for (const name of left)
    try {
      rmSync(join(tmpdir(), name), { recursive: true, force: true })
    } catch {
      /* another user's, from a start as somebody else */
    }
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  return left.length
}

export const closeScratch = (): void => rmSync(folder, { recursive: true, force: true })

/** A file of its own, gone when the work with it is done. */
export async function withScratch<T>(work: (file: string) => Promise<T>): Promise<T> {
  const file = scratchFile()
  try {
    return await work(file)
  } finally {
    await dropScratch(file)
  }
}

export const scratchFile = (): string => join(folder, randomUUID())
export const dropScratch = (file: string): Promise<void> => rm(file, { force: true })
