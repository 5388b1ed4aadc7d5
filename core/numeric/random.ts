/**
 * A small seeded generator (mulberry32, Tommy Ettinger 2017, public domain): the core never
 * reads a random source it was not given, so everything that needs chance takes one of these.
 */
export type Random = () => number

/** @param seed any 32-bit integer. @returns uniform numbers in [0, 1). */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Evenly between two numbers. */
export const between = (random: Random, low: number, high: number): number => low + (high - low) * random()

/** Standard normal deviate by Box–Muller. */
export function gaussian(random: Random): number {
  const u = 1 - random()
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random())
}
