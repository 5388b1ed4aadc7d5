/**
 * Where one picture might lie in the other, by looking at both as small as a stamp: every scale and turn is tried, and
 * for each the shift is found at once by correlation in the Fourier domain, judged over what overlaps.
 */
import type { Homography } from '../numeric/homography'
import { createComplex, transform, transformBack, type Complex } from './fourier'
import { halfOf, type Look } from './look'

/** Long edge of the small looks, and side of the square they are correlated in. */
export const SMALL = 80
const SIDE = 128
const SCALES = Array.from({ length: 14 }, (_, i) => 0.62 * 1.081 ** i)
const TURNS = Array.from({ length: 9 }, (_, i) => 3 * i - 12)
/** Overlap, of the smaller picture: with less nothing can be said. */
const OVERLAP = 0.4
/** Added to every overlap, of the old picture's: a little that agrees by chance is not preferred. */
const CHANCE = 0.2
const PEAKS = 3
/** Pixels of a small look between two peaks. */
const APART = 5

export interface Guess {
  /** From the old picture's coordinates to the new one's: from the middle, in half long edges. */
  readonly map: Homography
  readonly score: number
}

/** A picture in the middle of the square in `re`, where it is in `im`: both are transformed at once. */
function placed({ width, height, data }: Look): Complex {
  const to = createComplex(SIDE),
    left = (SIDE - width) >> 1,
    top = (SIDE - height) >> 1
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = (y + top) * SIDE + x + left
      to.re[i] = data[y * width + x]
      to.im[i] = 1
    }
  return to
}

interface Turned {
  readonly scale: number
  /** Radians. */
  readonly turn: number
  /** Pixels of half the old picture's long edge. */
  readonly unit: number
}
/** The new picture as it would look in the old one's frame, unshifted. @returns how many pixels of it there are. */
function turned(next: Look, { scale, turn, unit }: Turned, to: Complex): number {
  const { width, height, data } = next,
    half = halfOf(next)
  const c = scale * Math.cos(turn),
    s = scale * Math.sin(turn)
  let count = 0
  to.re.fill(0)
  to.im.fill(0)
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const u = (x + 0.5 - SIDE / 2) / unit,
        v = (y + 0.5 - SIDE / 2) / unit
      const px = (c * u - s * v) * half + width / 2 - 0.5,
        py = (s * u + c * v) * half + height / 2 - 0.5
      if (px < 0 || py < 0 || px > width - 1 || py > height - 1) continue
      const ix = Math.min(width - 2, px | 0),
        iy = Math.min(height - 2, py | 0),
        fx = px - ix,
        fy = py - iy,
        i = iy * width + ix
      to.re[y * SIDE + x] =
        (data[i] * (1 - fx) + data[i + 1] * fx) * (1 - fy)
        + (data[i + width] * (1 - fx) + data[i + width + 1] * fx) * fy
      to.im[y * SIDE + x] = 1
      count++
    }
  return count
}

/**
 * From two pairs of real pictures, each pair transformed as one: spectrum of the correlation of the first of each, plus
 * i times that of the second of each.
 */
function correlate(p: Complex, q: Complex, to: Complex): void {
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const i = y * SIDE + x,
        j = ((SIDE - y) % SIDE) * SIDE + ((SIDE - x) % SIDE)
      // Parts of even and odd symmetry are the two pictures' own transforms.
      const ar = 0.5 * (p.re[i] + p.re[j]),
        ai = 0.5 * (p.im[i] - p.im[j]),
        mr = 0.5 * (p.im[i] + p.im[j]),
        mi = -0.5 * (p.re[i] - p.re[j])
      const br = 0.5 * (q.re[i] + q.re[j]),
        bi = 0.5 * (q.im[i] - q.im[j]),
        nr = 0.5 * (q.im[i] + q.im[j]),
        ni = -0.5 * (q.re[i] - q.re[j])
      const cr = ar * br + ai * bi,
        ci = ar * bi - ai * br,
        dr = mr * nr + mi * ni,
        di = mr * ni - mi * nr
      to.re[i] = cr - di
      to.im[i] = ci + dr
    }
}

const wrapped = (v: number): number => (v >= SIDE / 2 ? v - SIDE : v)

/** The highest places of a correlation that are apart. */
function peaksOf(correlation: Complex, least: number, chance: number): { x: number; y: number; score: number }[] {
  const { re, im } = correlation,
    n = SIDE * SIDE
  const scores = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    const overlap = im[i] / n
    scores[i] = overlap >= least ? re[i] / n / (overlap + chance) : -1
  }
  const peaks: { x: number; y: number; score: number }[] = []
  for (let k = 0; k < PEAKS; k++) {
    let best = 0
    for (let i = 1; i < n; i++) if (scores[i] > scores[best]) best = i
    if (scores[best] <= 0) break
    const x = best % SIDE,
      y = (best / SIDE) | 0
    peaks.push({ x: wrapped(x), y: wrapped(y), score: scores[best] })
    for (let dy = -APART; dy <= APART; dy++)
      for (let dx = -APART; dx <= APART; dx++) scores[((y + dy + SIDE) % SIDE) * SIDE + ((x + dx + SIDE) % SIDE)] = -1
  }
  return peaks
}

/** @param old, next looked at by SMALL. @returns guesses, the best first; many of them are the same place. */
export function coarseGuesses(old: Look, next: Look): Guess[] {
  const unit = halfOf(old),
    area = old.width * old.height
  const here = placed(old)
  transform(here, SIDE)
  const there = createComplex(SIDE),
    both = createComplex(SIDE)
  const guesses: Guess[] = []
  for (const scale of SCALES)
    for (const degrees of TURNS) {
      const turn = (degrees * Math.PI) / 180,
        count = turned(next, { scale, turn, unit }, there)
      transform(there, SIDE)
      correlate(here, there, both)
      transformBack(both, SIDE)
      const c = scale * Math.cos(turn),
        s = scale * Math.sin(turn)
      for (const { x, y, score } of peaksOf(both, OVERLAP * Math.min(area, count), CHANCE * area)) {
        // What lies at p in the old one lies at p + shift in the turned one.
        const tx = x / unit,
          ty = y / unit
        guesses.push({ map: [c, -s, c * tx - s * ty, s, c, s * tx + c * ty, 0, 0, 1], score })
      }
    }
  return guesses.sort((p, q) => q.score - p.score)
}
