/**
 * What a new photograph does by itself: how much lighter it is, and how much warmer or cooler, by the parts that were
 * plainly not repainted.
 */
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { medianOf } from '../numeric/median'
import { MEASURED_ALPHA } from '../picture/raster'
import type { Aligned } from './aligned'

/**
 * @property gains of each channel's linear light, new over old. @property stops of light. @property tint how far the
 * channels' gains differ, in stops. @property sure whether enough of both agrees to say so.
 */
export interface LightBetween {
  readonly gains: Rgb
  readonly stops: number
  readonly tint: number
  readonly sure: boolean
}

/** Long edge of the cells that are compared, as many as along it. */
const CELLS = 48
/** Clipped and nearly black places say nothing of light; linear. */
const LOW = 0.008,
  HIGH = 0.9
/** Stops about the middle within which a cell is taken for not repainted, and how many of all have to be. */
const NEAR = 0.35,
  ENOUGH = 0.3
const WEIGHTS = [0.2126, 0.7152, 0.0722] as const

/** Mean light of both versions, cell by cell. */
function cellsOf({ old, next }: Aligned): [Rgb, Rgb][] {
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
  const cells: [Rgb, Rgb][] = []
  for (let at = 0; at < sums.length; at += 7) {
    const n = sums[at + 6]
    if (n < 0.6 * side * side) continue
    const mean = (from: number): Rgb => [sums[from] / n, sums[from + 1] / n, sums[from + 2] / n]
    cells.push([mean(at), mean(at + 3)])
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

export function lightBetween(aligned: Aligned): LightBetween {
  const cells = cellsOf(aligned).filter(pair => pair.every(rgb => rgb.every(v => v > LOW && v < HIGH)))
  const none: LightBetween = { gains: [1, 1, 1], stops: 0, tint: 0, sure: false }
  if (cells.length < 12) return none
  const luminance = (rgb: Rgb): number => rgb.reduce((sum, v, c) => sum + WEIGHTS[c] * v, 0)
  const ratios = cells.map(([a, b]) => Math.log2(luminance(b) / luminance(a))),
    { at, share } = middleOf(ratios, NEAR)
  const kept = cells.filter((_, i) => Math.abs(ratios[i] - at) <= NEAR)
  const each = [0, 1, 2].map(
    c =>
      middleOf(
        kept.map(([a, b]) => Math.log2(b[c] / a[c])),
        NEAR
      ).at
  )
  return {
    gains: each.map(v => 2 ** v) as unknown as Rgb,
    stops: at,
    tint: Math.max(...each) - Math.min(...each),
    sure: share >= ENOUGH
  }
}
