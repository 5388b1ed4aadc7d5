/** What a process and everything it began hold in memory, as Linux tells it (proc(5)). */
import { readdirSync, readFileSync } from 'node:fs'

const fieldOf = (pid: number, file: string, name: string): number => {
  try {
    return Number(new RegExp(`^${name}:\\s+(\\d+)`, 'm').exec(readFileSync(`/proc/${pid}/${file}`, 'utf8'))?.[1] ?? 0)
  } catch {
    return 0 // gone meanwhile
  }
}

/**
 * @returns bytes held by the process and its children. What several share, as the program's own code, counts once: by
 * resident size alone it would count for each.
 */
export function heldBy(pid: number): number {
  const all = readdirSync('/proc')
    .filter(name => /^\d+$/.test(name))
    .map(Number)
  return [pid, ...all.filter(p => fieldOf(p, 'status', 'PPid') === pid)].reduce(
    (sum, p) => sum + 1024 * fieldOf(p, 'smaps_rollup', 'Pss'),
    0
  )
}

/** Looks again and again until it is told to stop. */
export function watchMemory(pid: number, everyMs = 250): { stop: () => readonly number[] } {
  const seen: number[] = [],
    timer = setInterval(() => seen.push(heldBy(pid)), everyMs)
  return {
    stop() {
      clearInterval(timer)
      return seen
    }
  }
}
