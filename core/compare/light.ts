/**
 * What a new photograph does by itself: how much lighter it is, and how much warmer or cooler, by the parts that were
 * plainly not repainted.
 */
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { medianOf } from '../numeric/median'
import { MEASURED_ALPHA } from '../picture/raster'
import type { Aligned } from './aligned'

/**
 * From the old version's linear light to the new one's: MIDDLE · gain · (light / MIDDLE) ^ contrast, channel by
 * channel.
 */
export interface Camera {
  /** At middle grey, new over old. */
  readonly gains: Rgb
  /** Over 1: the new one is harder. */
  readonly contrast: number
}
/** Linear light of middle grey. */
export const MIDDLE = 0.18

/**
 * @property stops of light. @property tint how far the channels' gains differ, in stops. @property sure whether enough
 * of both agrees to say so.
 */
export interface LightBetween extends Camera {
  readonly stops: number
  readonly tint: number
  readonly sure: boolean
}

/** Stops between two channels that are seen as another white. */
export const WHITE_STOPS = 0.1

/** Long edge of the cells that are compared, as many as along it. */
const CELLS = 48
/** Clipped and nearly black places say nothing of light; linear. */
const LOW = 0.008,
  HIGH = 0.9
/** Stops about the middle within which a cell is taken for not repainted, and how many of all have to be. */
const NEAR = 0.35,
  ENOUGH = 0.4
/** Of the lights, the middles and the darks, and of each quarter of the picture but one: what was painted lighter or
 * darker on purpose is one of these, what the light did is all of them. */
const EACH = 0.25
const WEIGHTS = [0.2126, 0.7152, 0.0722] as const

interface Cell {
  /** Linear light of both. */
  readonly was: Rgb
  readonly is: Rgb
  /** Which of the picture it lies in, 0–3. */
  readonly quarter: number
}

/** Mean light of both versions, cell by cell. */
function cellsOf({ old, next }: Aligned): Cell[] {
  const { width, height } = old,
    side = Math.max(2, Math.ceil(Math.max(width, height) / CELLS)),
    across = Math.ceil(width / side),
    sums = new Float64Array(7 * across * Math.ceil(height / side))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = 4 * (y * width + x)
      if (old.data[i + 3] < MEASURED_ALPHA) continue
      const at = 7 * (((y / side) | 0) * across + ((x / side) | 0))
      for (let c = 0; c < 3; c++) {
        sums[at + c] += LINEAR_OF_BYTE[old.data[i + c]]
        sums[at + 3 + c] += LINEAR_OF_BYTE[next.data[i + c]]
      }
      sums[at + 6]++
    }
  const cells: Cell[] = []
  for (let at = 0; at < sums.length; at += 7) {
    const n = sums[at + 6]
    if (n < 0.6 * side * side) continue
    const mean = (from: number): Rgb => [sums[from] / n, sums[from + 1] / n, sums[from + 2] / n]
    const cell = at / 7,
      right = cell % across >= across / 2,
      low = Math.floor(cell / across) * side >= height / 2
    cells.push({ was: mean(at), is: mean(at + 3), quarter: 2 * Number(low) + Number(right) })
  }
  return cells
}

/** The value that most lie near, found by halving the spread about the median: half may be anything. */
function middleOf(values: readonly number[], near: number): { at: number; share: number } {
  let at = medianOf(values)
  for (const reach of [4 * near, 2 * near, near, near]) {
    const close = values.filter(v => Math.abs(v - at) <= reach)
    if (close.length) at = medianOf(close)
  }
  return { at, share: values.filter(v => Math.abs(v - at) <= near).length / values.length }
}

const luminance = (rgb: Rgb): number => rgb.reduce((sum, v, c) => sum + WEIGHTS[c] * v, 0)

/** Whether what agrees is everywhere: in lights, middles and darks, and in three quarters of the picture at least. */
function everywhere(cells: readonly Cell[], agrees: readonly boolean[]): boolean {
  const byLight = cells.map((_, i) => i).sort((p, q) => luminance(cells[p].was) - luminance(cells[q].was))
  const shareOf = (of: readonly number[]): number => (of.length ? of.filter(i => agrees[i]).length / of.length : 1)
  const thirds = [0, 1, 2].map(k =>
    shareOf(byLight.slice(Math.floor((k * byLight.length) / 3), Math.floor(((k + 1) * byLight.length) / 3)))
  )
  const quarters = [0, 1, 2, 3].map(k => shareOf(byLight.filter(i => cells[i].quarter === k)))
  return thirds.every(s => s >= EACH) && quarters.filter(s => s >= EACH).length >= 3
}

/** Cells that contrast is read from, pairs of them that lie so many stops apart, and how many pairs it takes. */
const SAMPLED = 160,
  SPAN = 1,
  PAIRS = 60
/** What cameras and their curves do; more is paint, and less is nothing. */
const HARDEST = 1.25,
  NO_CONTRAST = 0.015

/** The median of slopes between cells far enough apart in light (Sen 1968): how much harder the new one is, less 1. */
function contrastOf(cells: readonly Cell[]): number {
  const step = Math.max(1, Math.floor(cells.length / SAMPLED)),
    points = cells
      .filter((_, i) => i % step === 0)
      .map(({ was, is }) => [Math.log2(luminance(was)), Math.log2(luminance(is) / luminance(was))] as const)
  const slopes = points.flatMap(([x, y], i) =>
    points.slice(i + 1).flatMap(([v, w]) => (Math.abs(v - x) < SPAN ? [] : [(w - y) / (v - x)]))
  )
  const slope = slopes.length < PAIRS ? 0 : medianOf(slopes)
  return Math.abs(slope) < NO_CONTRAST ? 0 : Math.max(1 / HARDEST - 1, Math.min(HARDEST - 1, slope))
}

export function lightBetween(aligned: Aligned): LightBetween {
  const cells = cellsOf(aligned).filter(({ was, is }) => [was, is].every(rgb => rgb.every(v => v > LOW && v < HIGH)))
  const none: LightBetween = { gains: [1, 1, 1], contrast: 1, stops: 0, tint: 0, sure: false }
  if (cells.length < 12) return none
  const ratios = cells.map(({ was, is }) => Math.log2(luminance(is) / luminance(was))),
    { at, share } = middleOf(ratios, NEAR),
    agrees = ratios.map(r => Math.abs(r - at) <= NEAR)
  const kept = cells.filter((_, i) => agrees[i]),
    harder = contrastOf(kept)
  const each = [0, 1, 2].map(
    c =>
      middleOf(
        kept.map(({ was, is }) => Math.log2(is[c] / was[c]) - harder * Math.log2(was[c] / MIDDLE)),
        NEAR
      ).at
  )
  return {
    gains: each.map(v => 2 ** v) as unknown as Rgb,
    contrast: 1 + harder,
    stops: at,
    tint: Math.max(...each) - Math.min(...each),
    sure: share >= ENOUGH && everywhere(cells, agrees)
  }
}
