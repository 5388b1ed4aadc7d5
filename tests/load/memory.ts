/** What a process and everything it began hold in memory, as Linux tells it (proc(5)). */
import { readdirSync, readFileSync } from 'node:fs'

const fieldOf = (pid: number, file: string, name: string): number => {
  try {
    return Number(new RegExp(`^${name}:\\s+(\\d+)`, 'm').exec(readFileSync(`/proc/${pid}/${file}`, 'utf8'))?.[1] ?? 0)
  } catch {
    return 0 // gone meanwhile
  }
}

/** The process and its children. */
function familyOf(pid: number): number[] {
  const all = readdirSync('/proc')
    .filter(name => /^\d+$/.test(name))
    .map(Number)
  return [pid, ...all.filter(p => fieldOf(p, 'status', 'PPid') === pid)]
}

/** Bytes by resident size: what several share, as the program's own code, counts for each. */
const residentOf = (family: readonly number[]): number =>
  family.reduce((sum, p) => sum + 1024 * fieldOf(p, 'status', 'VmRSS'), 0)

/** Bytes, what several share counted once. Looking takes some 15 ms a process and holds it up meanwhile. */
const heldBy = (family: readonly number[]): number =>
  family.reduce((sum, p) => sum + 1024 * fieldOf(p, 'smaps_rollup', 'Pss'), 0)

/** Looks again and again until it is told to stop. @returns bytes by resident size, as they were. */
export function watchMemory(pid: number, everyMs = 250): { stop: () => readonly number[] } {
  const seen: number[] = [],
    timer = setInterval(() => seen.push(residentOf(familyOf(pid))), everyMs)
  return {
    stop() {
      clearInterval(timer)
      return seen
    }
  }
}

/** So much under the greatest resident size so far it is looked at closely. */
const NEAR = 0.97

/** Looks closely where there is about the most so far. @returns the most bytes held, what is shared counted once. */
export function watchMost(pid: number, everyMs = 250): { stop: () => number } {
  let resident = 0,
    most = 0
  const timer = setInterval(() => {
    const family = familyOf(pid),
      now = residentOf(family)
    if (now < NEAR * resident) return
    resident = Math.max(resident, now)
    most = Math.max(most, heldBy(family))
  }, everyMs)
  return {
    stop() {
      clearInterval(timer)
      return most
    }
  }
}
