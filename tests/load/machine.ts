/** What others took of this machine where its processors are shared: steal time, as Linux tells it (proc(5)). */
import { readFileSync } from 'node:fs'

/** Something that took its time. */
export interface Timed {
  /** Milliseconds since 1970. */
  readonly from: number
  readonly ms: number
}

/** @returns milliseconds; 0 of none. */
export const longestOf = (all: readonly Timed[]): number => all.reduce((most, { ms }) => Math.max(most, ms), 0)

interface Look {
  readonly at: number
  /** Ticks of all processors since the machine began, and how many of them others took. */
  readonly all: number
  readonly taken: number
}

function look(): Look {
  const ticks = readFileSync('/proc/stat', 'utf8').split('\n', 1)[0].trim().split(/\s+/).slice(1, 9).map(Number)
  return { at: Date.now(), all: ticks.reduce((sum, n) => sum + n, 0), taken: ticks[7] }
}

const shareOf = (from: Look, to: Look): number => (to.taken - from.taken) / Math.max(1, to.all - from.all)

export interface Machine {
  /** Share of the processors that others took, from 0 to 1: of all the time, or while something took its own. */
  readonly taken: (during?: Timed) => number
  readonly stop: () => void
}

/** Looks again and again until it is told to stop. */
export function watchMachine(everyMs = 200): Machine {
  const looks = [look()],
    timer = setInterval(() => looks.push(look()), everyMs)
  /** The first look at that time or later. */
  const after = (time: number): number => {
    let low = 0,
      high = looks.length - 1
    while (low < high) {
      const middle = (low + high) >> 1
      if (looks[middle].at < time) low = middle + 1
      else high = middle
    }
    return low
  }
  return {
    taken: during =>
      during
        ? shareOf(looks[Math.max(0, after(during.from) - 1)], looks[after(during.from + during.ms)])
        : shareOf(looks[0], looks.at(-1)!),
    stop() {
      clearInterval(timer)
      looks.push(look())
    }
  }
}
