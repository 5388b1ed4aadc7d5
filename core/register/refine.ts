/**
 * Moving a rough guess until the pictures lie on one another: Gauss–Newton of second order, by the mean of both
 * pictures' slopes (S. Benhimane & E. Malis, "Real-time image-based tracking of planes using efficient second-order
 * minimization", IROS 2004), robust against what was repainted by pixel and by patch.
 */
import { times, type Homography } from '../numeric/homography'
import { solve } from '../numeric/solve'
import { patchesOf } from './agreement'
import { accumulate, type Freedom, type Looks, type Sums } from './sums'

interface Wanted {
  readonly freedom: Freedom
  readonly rounds: number
  /** See `sums`. */
  readonly every: number
}

export interface Refined {
  readonly map: Homography
  /** Normal matrix of the last round, by rows, and what its residuals spread. */
  readonly normal: readonly (readonly number[])[]
  readonly spread: number
  /** So many of what was summed count as one. */
  readonly alike: number
}

/** Moves of every corner under this, in half long edges, end it. */
const STILL = 2e-5
const LEAP = 0.15
/** Of a patch that agrees so far all is believed. */
const AGREES = 0.6,
  LEAST = 0.03

/**
 * What a hand-held photograph has beyond a similarity: one standard deviation of stretch and shear, and of perspective.
 * Where the pictures do not say more, it is believed that there is none.
 */
const USUAL = { stretch: 0.03, perspective: 0.03 } as const
/** Neighbouring pixels say nearly the same: so many count as one. By trial: with fewer, flat pictures drift aslant. */
const ALIKE = 300

/** The motion that the sums ask for, held where they say little. @returns null where nothing decides it. */
export function stepOf({ a, b, spread }: Sums, map: Homography, alike: number): number[] | null {
  const mean = a.reduce((t, row, i) => t + row[i], 0) / a.length
  const held = a.map((row, i) => row.map((v, j) => (i === j ? v + 1e-4 * mean : v))),
    wanted = [...b]
  if (a.length === 8)
    beyondSimilarity(map).forEach((now, k) => {
      const pull = (alike * spread) / (k < 2 ? USUAL.stretch : USUAL.perspective) ** 2
      held[4 + k][4 + k] += pull
      wanted[4 + k] -= pull * now
    })
  const step = solve(held, wanted)
  return step?.every(v => Number.isFinite(v)) ? step : null
}

/** Stretch, shear and both perspectives that a map has beyond a similarity, about the middle. */
function beyondSimilarity([a, b, x, c, d, y, g, h]: Homography): [number, number, number, number] {
  const j = [a - x * g, b - x * h, c - y * g, d - y * h],
    cos = (j[0] + j[3]) / 2,
    sin = (j[2] - j[1]) / 2,
    square = cos * cos + sin * sin
  const m = [cos * j[0] + sin * j[2], cos * j[1] + sin * j[3], cos * j[2] - sin * j[0], cos * j[3] - sin * j[1]]
  return [(m[0] - m[3]) / 2 / square, (m[1] + m[2]) / 2 / square, -g, -h]
}

/** A small motion as a map: the exponential to first order, kept a map by its last number. */
function motion(d: readonly number[]): Homography {
  const [x, y, turn, scale, stretch = 0, shear = 0, px = 0, py = 0] = d
  return [1 + scale + stretch, shear - turn, x, shear + turn, 1 + scale - stretch, y, -px, -py, 1]
}

/** A map after a step, which is shortened where it is a leap. @returns how far it went, half long edges. */
export function moved(map: Homography, step: readonly number[]): { readonly map: Homography; readonly far: number } {
  const far = Math.max(...step.map(Math.abs)),
    h = times(map, motion(far > LEAP ? step.map(v => (LEAP * v) / far) : step))
  return { map: h.map(v => v / h[8]), far }
}

/** @param start where it is begun from. */
export function refine([old, next]: Looks, start: Homography, { freedom, rounds, every }: Wanted): Refined {
  const alike = ALIKE / every ** 2
  let map = start,
    weights: Float32Array | null = null,
    grid = { across: 1, down: 1 }
  let normal: number[][] = [],
    spread = 1
  for (let round = 0; round < rounds; round++) {
    if (round % 3 === 0) {
      const patches = patchesOf(old, next, map)
      grid = patches
      weights = patches.correlation.map(c => (c <= -2 ? 0.3 : Math.max(LEAST, Math.min(1, c / AGREES))))
    }
    const sums = accumulate([old, next], map, { freedom, every, weights: weights!, grid })
    if (sums.count * every ** 2 < 50) break
    spread = sums.spread
    normal = sums.a
    const step = stepOf(sums, map, alike)
    if (!step) break
    const { map: after, far } = moved(map, step)
    map = after
    if (far < STILL) break
  }
  return { map, normal, spread, alike }
}
