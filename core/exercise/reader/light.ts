/**
 * The light that fell on the sheet, and what the camera made of it: a smooth field fitted to the bare paper, and a
 * curve per channel fitted to the printed greys, both in linear light. What remains is the colour against the paper's
 * white, as if photographed in even daylight.
 */
import type { Rgb } from '../../colour/srgb'
import { luminanceOf } from '../../colour/lab'
import { medianOf } from '../../numeric/median'
import { leastSquares } from '../../numeric/solve'
import type { Place, PrintedSheet } from '../worksheet/worksheet'
import { medianLight, samplePlace, type Seen } from './sampling'
import { paperSpots } from './spots'

interface White {
  readonly x: number
  readonly y: number
  readonly light: Rgb
}

/**
 * @property unevenness how far the whites lie from the field in natural logarithms of light, 90th percentile and worst.
 */
export interface Light {
  readonly whiteAt: (x: number, y: number) => Rgb
  readonly unevenness: { readonly most: number; readonly worst: number }
  readonly clipped: number
}

/** A quadratic surface over the sheet. */
const terms = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y]
const FLOOR = 1e-4
const logOf = (v: number): number => Math.log(Math.max(FLOOR, v))

/**
 * Past this the field alone is not believed: light is taken from the whites about a place. In logarithms; even light
 * leaves 0.02.
 */
const UNEVEN = 0.05
/** Whites nearest a place that are asked, and millimetres over which they count half. */
const NEAREST = 6,
  REACH = 14

function whitesOf(seen: Seen, sheet: PrintedSheet): { whites: White[]; clipped: number } {
  let clipped = 0,
    all = 0
  const whites = paperSpots(sheet).flatMap(spot => {
    const samples = samplePlace(seen, { place: spot, inset: 0.3, step: 0.4 })
    if (samples.count < 9) return []
    all++
    if (samples.clipped > 0.3) clipped++
    return [{ x: spot.x + spot.w / 2, y: spot.y + spot.h / 2, light: medianLight(samples) }]
  })
  return { whites, clipped: all ? clipped / all : 0 }
}

/** @returns null when there is hardly any paper to see. */
export function lightOn(seen: Seen, sheet: PrintedSheet): Light | null {
  const { whites, clipped } = whitesOf(seen, sheet)
  if (whites.length < 12) return null
  const unit = (w: { x: number; y: number }): number[] => terms(w.x / 100 - 1, w.y / 100 - 1.4)
  const rows = whites.map(unit)
  const brightness = whites.map(w => logOf(luminanceOf(w.light)))
  // What is far darker than its neighbourhood is no paper: a splash, a pencil line, a finger.
  let weights: number[] = whites.map(() => 1)
  for (let round = 0; round < 6; round++) {
    const surface = leastSquares(rows, brightness, weights)
    if (!surface) return null
    const residual = rows.map((r, i) => brightness[i] - dot(r, surface))
    const scale = Math.max(0.012, 1.4826 * medianOf(residual.map(Math.abs)))
    weights = residual.map(r => {
      const u = r / (5 * scale)
      return Math.abs(u) < 1 ? (1 - u * u) ** 2 : 0
    })
  }
  const surfaces = [0, 1, 2].map(c =>
    leastSquares(
      rows,
      whites.map(w => logOf(w.light[c])),
      weights
    )
  )
  if (surfaces.some(s => s === null)) return null
  const fieldAt = (x: number, y: number): number[] => {
    const t = unit({ x, y })
    return surfaces.map(s => dot(t, s!))
  }
  const rest = whites.map((w, i) => ({
    ...w,
    off: fieldAt(w.x, w.y).map((v, c) => logOf(w.light[c]) - v),
    paper: weights[i] > 0 || Math.abs(brightness[i] - logOf(luminanceOf(expRgb(fieldAt(w.x, w.y))))) < 0.5
  }))
  const sizes = rest.map(r => Math.abs((r.off[0] + r.off[1] + r.off[2]) / 3)).sort((p, q) => p - q)
  const most = sizes[Math.floor(0.9 * (sizes.length - 1))]
  const whiteAt = (x: number, y: number): Rgb => {
    const field = fieldAt(x, y)
    if (most < UNEVEN) return expRgb(field)
    const near = rest
      .filter(r => r.paper)
      .map(r => ({ off: r.off, w: 1 / (1 + ((r.x - x) ** 2 + (r.y - y) ** 2) / REACH ** 2) }))
      .sort((p, q) => q.w - p.w)
      .slice(0, NEAREST)
    const total = near.reduce((sum, r) => sum + r.w * r.w, 0) || 1
    return expRgb(field.map((v, c) => v + near.reduce((sum, r) => sum + r.w * r.w * r.off[c], 0) / total))
  }
  return { whiteAt, unevenness: { most, worst: sizes.at(-1)! }, clipped }
}

const dot = (p: readonly number[], q: readonly number[]): number => p.reduce((sum, v, i) => sum + v * q[i], 0)
const expRgb = (log: readonly number[]): Rgb => log.map(Math.exp) as unknown as Rgb

/** Light against the paper's, as the camera has it → as it was printed. */
export type Tone = (ratio: Rgb) => Rgb
export interface FittedTone {
  readonly tone: Tone
  /** How far the greys lie from a plain curve, and from grey, in logarithms of light. */
  readonly rough: number
  readonly tinted: number
}

/**
 * A monotone curve through points, by cubics (F. N. Fritsch & R. E. Carlson, "Monotone piecewise cubic interpolation",
 * SIAM J. Numer. Anal. 17(2), 1980, with the harmonic mean of slopes).
 */
export function monotoneCurve(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const n = xs.length,
    slope = Array.from({ length: n - 1 }, (_, i) => (ys[i + 1] - ys[i]) / (xs[i + 1] - xs[i]))
  const at = ys.map((_, i) => {
    if (i === 0) return slope[0]
    if (i === n - 1) return slope[n - 2]
    return slope[i - 1] * slope[i] <= 0 ? 0 : (2 * slope[i - 1] * slope[i]) / (slope[i - 1] + slope[i])
  })
  return x => {
    if (x <= xs[0]) return ys[0] + at[0] * (x - xs[0])
    if (x >= xs[n - 1]) return ys[n - 1] + at[n - 1] * (x - xs[n - 1])
    let i = 0
    while (xs[i + 1] < x) i++
    const h = xs[i + 1] - xs[i],
      t = (x - xs[i]) / h,
      u = 1 - t
    return ys[i] * u * u * (1 + 2 * t) + ys[i + 1] * t * t * (3 - 2 * t) + h * t * u * (at[i] * u - at[i + 1] * t)
  }
}

const root = (v: number): number => Math.sqrt(Math.max(0, v))

/** A grey with what it is known to send back, of the paper's light. */
export interface KnownGrey extends Place {
  readonly wanted: Rgb
}

/** What greys look like against the paper. @returns null when one of them is not there to be read. */
export function seeGreys(at: Seen, greys: readonly Place[], light: Light): Rgb[] | null {
  const seen = greys.flatMap(grey => {
    const samples = samplePlace(at, { place: grey, inset: 1.6, step: 0.5 })
    if (samples.count < 20) return []
    const white = light.whiteAt(grey.x + grey.w / 2, grey.y + grey.h / 2)
    return [medianLight(samples).map((v, c) => v / white[c]) as unknown as Rgb]
  })
  return seen.length < greys.length ? null : seen
}

/** From the printed greys. @returns null when they are not there to be read. */
export function toneOf(at: Seen, greys: readonly KnownGrey[], light: Light): FittedTone | null {
  const ratios = seeGreys(at, greys, light)
  if (!ratios) return null
  const seen = ratios.map((ratio, i) => ({ ratio, wanted: greys[i].wanted }))
  const curves = [0, 1, 2].map(c => {
    const points = [...seen.map(s => [root(s.ratio[c]), root(s.wanted[c])] as const), [1, 1] as const]
    // A curve can only rise: what does not is left out.
    const rising = points.filter(
      ([x], i) => i === points.length - 1 || (x > (points[i - 1]?.[0] ?? 0) + 0.004 && x < 0.996)
    )
    return rising.length < 4
      ? null
      : monotoneCurve(
          rising.map(p => p[0]),
          rising.map(p => p[1])
        )
  })
  if (curves.some(c => c === null)) return null
  // A plain curve: logarithm of what was printed, by a quadratic of the logarithm of what is seen.
  const x = seen.map(s => logOf(luminanceOf(s.ratio))),
    y = seen.map(s => logOf(luminanceOf(s.wanted)))
  const plain = leastSquares(
    x.map(v => [v, v * v, v * v * v]),
    y
  )
  const rough = plain ? Math.max(...x.map((v, i) => Math.abs(y[i] - dot([v, v * v, v * v * v], plain)))) : Infinity
  const tinted = Math.max(
    ...seen.map(({ ratio, wanted }) => {
      const logs = ratio.map((v, c) => logOf(v) - logOf(wanted[c]))
      return Math.max(...logs) - Math.min(...logs)
    })
  )
  return {
    tone: ratio => ratio.map((v, c) => Math.max(0, curves[c]!(root(v))) ** 2) as unknown as Rgb,
    rough,
    tinted
  }
}
