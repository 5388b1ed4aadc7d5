/**
 * Moving a rough guess until the pictures lie on one another: Gauss–Newton of second order, by the mean of both
 * pictures' slopes (S. Benhimane & E. Malis, "Real-time image-based tracking of planes using efficient second-order
 * minimization", IROS 2004), robust against what was repainted by pixel and by patch.
 */
import { times, type Homography } from '../numeric/homography'
import { solve } from '../numeric/solve'
import { patchesOf } from './agreement'
import { halfOf, type Look } from './look'

/** Motions about a place: two shifts, turn, scale; then stretch, shear and two of perspective. */
export type Freedom = 4 | 8

/** The old picture and the new one, looked at by the same size. */
export type Looks = readonly [old: Look, next: Look]

interface Wanted {
  readonly freedom: Freedom
  readonly rounds: number
  /** Of so many pixels along a side one is looked at: neighbours say nearly the same. */
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

/** Residual that counts half, in spreads of the local value. */
const DOUBTFUL = 0.8
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

export interface Sums {
  readonly a: number[][]
  /** Already with its sign turned: the step is a⁻¹ b. */
  readonly b: number[]
  /** Weighted mean square of the residuals, and sum of the weights. */
  readonly spread: number
  readonly count: number
}

export interface Weighing {
  readonly freedom: Freedom
  readonly every: number
  /** Of each patch. */
  readonly weights: Float32Array
  readonly grid: { readonly across: number; readonly down: number }
}

/** Over what lies in both, and of that what is `shown`. */
export function accumulate([old, next]: Looks, h: Homography, { freedom, every, weights, grid }: Weighing): Sums {
  const { width, height, data, dx, dy, shown } = old,
    { width: w, height: hh, data: other, dx: odx, dy: ody } = next
  const half = halfOf(old),
    to = halfOf(next),
    { across, down } = grid
  const n = freedom,
    sums = new Float64Array(36),
    right = new Float64Array(8),
    j = new Float64Array(8)
  let sum = 0,
    count = 0
  const near = old.rim,
    far = next.rim
  for (let y = near; y < height - near; y += every) {
    const v = (y + 0.5 - height / 2) / half,
      row = Math.min(down - 1, ((y * down) / height) | 0) * across
    for (let x = near; x < width - near; x += every) {
      const u = (x + 0.5 - width / 2) / half,
        z = h[6] * u + h[7] * v + h[8]
      if (shown && !shown[y * width + x]) continue
      const X = (h[0] * u + h[1] * v + h[2]) / z,
        Y = (h[3] * u + h[4] * v + h[5]) / z
      const px = X * to + w / 2 - 0.5,
        py = Y * to + hh / 2 - 0.5
      if (!(z > 0 && px >= far && py >= far && px < w - 1 - far && py < hh - 1 - far)) continue
      const ix = px | 0,
        iy = py | 0,
        fx = px - ix,
        fy = py - iy,
        i = iy * w + ix,
        p = y * width + x
      const w00 = (1 - fx) * (1 - fy),
        w10 = fx * (1 - fy),
        w01 = (1 - fx) * fy,
        w11 = fx * fy
      const r = other[i] * w00 + other[i + 1] * w10 + other[i + w] * w01 + other[i + w + 1] * w11 - data[p]
      // The new picture's slopes, turned into the old one's frame; both in half long edges.
      const gx = (odx[i] * w00 + odx[i + 1] * w10 + odx[i + w] * w01 + odx[i + w + 1] * w11) * to,
        gy = (ody[i] * w00 + ody[i + 1] * w10 + ody[i + w] * w01 + ody[i + w + 1] * w11) * to
      const sx = 0.5 * (dx[p] * half + (gx * (h[0] - X * h[6]) + gy * (h[3] - Y * h[6])) / z),
        sy = 0.5 * (dy[p] * half + (gx * (h[1] - X * h[7]) + gy * (h[4] - Y * h[7])) / z)
      const q = 1 / (1 + (r * r) / (DOUBTFUL * DOUBTFUL)),
        weight = q * q * weights[row + Math.min(across - 1, ((x * across) / width) | 0)]
      sum += weight * r * r
      count += weight
      const radial = sx * u + sy * v
      j[0] = sx
      j[1] = sy
      j[2] = sy * u - sx * v
      j[3] = radial
      if (n === 8) {
        j[4] = sx * u - sy * v
        j[5] = sx * v + sy * u
        j[6] = u * radial
        j[7] = v * radial
      }
      for (let k = 0, at = 0; k < n; k++) {
        const jk = weight * j[k]
        right[k] -= jk * r
        for (let l = 0; l <= k; l++, at++) sums[at] += jk * j[l]
      }
    }
  }
  const a = Array.from({ length: n }, (_, k) =>
    Array.from({ length: n }, (_, l) => sums[k >= l ? (k * (k + 1)) / 2 + l : (l * (l + 1)) / 2 + k])
  )
  return { a, b: [...right.subarray(0, n)], spread: count ? sum / count : 0, count }
}
