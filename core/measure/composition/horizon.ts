/** The horizon: a straight division of the picture from side to side. */
import { reducePlane } from '../../picture/plane'
import type { Planes } from '../../picture/planes'
import { fitWithin } from '../../picture/resample'

/** Bands compared above and below a division, as a share of the height. */
const BAND = 0.04
/** A column is divided by a step of this much L*. Our choice: what is seen as an edge at arm's length. */
const LEAST_STEP = 4
/**
 * A horizon is agreed on by this share of the columns, and lies between these heights: nearer the rim it is a strip.
 */
const HORIZON = { columns: 0.8, from: 0.12, to: 0.88 } as const
/** Long edge of the raster it is looked for on. */
const HORIZON_EDGE = 200
/**
 * A straight division: half the columns step within this share of the height of one line, looked for this many bands
 * around.
 */
const STRAIGHT = { within: 0.02, reach: 3 } as const

/**
 * A horizontal division: the height at which the bands above and below differ, in one sense along nearly all of the
 * width.
 * The largest step anywhere is not one: a boat's edge or a strip along the bottom divides nothing. Null where nothing
 * does.
 */
export function horizonOf(planes: Planes): number | null {
  const { width, height } = fitWithin(planes.width, planes.height, HORIZON_EDGE)
  const value = reducePlane({ width: planes.width, height: planes.height, data: planes.value }, width, height).data
  const cover =
    planes.count === planes.mask.length
      ? null
      : reducePlane({ width: planes.width, height: planes.height, data: Float32Array.from(planes.mask) }, width, height)
          .data
  const band = Math.max(1, Math.round(BAND * height))
  /** Sums down each column: entry (y, x) holds everything above y. */
  const sums = new Float64Array((height + 1) * width),
    counts = new Float64Array((height + 1) * width)
  for (let i = 0; i < value.length; i++) {
    const measured = cover === null || cover[i] > 0.5 ? 1 : 0
    sums[i + width] = sums[i] + measured * value[i]
    counts[i + width] = counts[i] + measured
  }
  const top = firstRow(counts, width, height),
    bottom = lastRow(counts, width, height)
  let best = 0,
    at = -1
  for (let y = band; y <= height - band; y++) {
    const place = (y - top) / Math.max(1, bottom - top)
    if (place < HORIZON.from || place > HORIZON.to) continue
    const { step, agreed } = divisionAt({ sums, counts, width, band }, y)
    if (agreed >= HORIZON.columns && step > best + 1e-9) {
      best = step
      at = y
    }
  }
  return at < 0 || !isStraight({ sums, counts, width, band }, at, height) ? null : at / height
}

/**
 * Whether the step is at one height across the picture, or on one slanting line: the edge of a table or the sea is, a
 * ridge, a hedge or a sky that grows light is not. In each column the steepest place near the division is found; the
 * line is laid through the middles of the two outer thirds, and half the columns must lie close to it.
 */
function isStraight({ sums, counts, width, band }: Columns, at: number, height: number): boolean {
  const value = (x: number, y: number): number | null => {
    const i = y * width + x
    return counts[i + width] > counts[i] ? sums[i + width] - sums[i] : null
  }
  const rows: number[] = [],
    places: number[] = []
  for (let x = 0; x < width; x++) {
    let most = 0,
      row = -1
    for (let y = Math.max(1, at - STRAIGHT.reach * band); y < Math.min(height, at + STRAIGHT.reach * band); y++) {
      const above = value(x, y - 1),
        below = value(x, y)
      if (above === null || below === null || Math.abs(below - above) <= most) continue
      most = Math.abs(below - above)
      row = y
    }
    if (row < 0) continue
    rows.push(row)
    places.push(x)
  }
  if (rows.length < width / 2) return false
  const third = Math.floor(rows.length / 3),
    middleOf = (list: readonly number[]): number => [...list].sort((p, q) => p - q)[list.length >> 1]
  const from = middleOf(rows.slice(0, third)),
    to = middleOf(rows.slice(-third)),
    x0 = middleOf(places.slice(0, third)),
    x1 = middleOf(places.slice(-third))
  const away = rows.map((row, i) => Math.abs(row - (from + ((to - from) * (places[i] - x0)) / (x1 - x0))))
  return middleOf(away) <= Math.max(1, STRAIGHT.within * height)
}

interface Columns {
  readonly sums: Float64Array
  readonly counts: Float64Array
  readonly width: number
  readonly band: number
}

/** The mean step at a height, and the share of the measured columns that have it in one sense. */
function divisionAt({ sums, counts, width, band }: Columns, y: number): { step: number; agreed: number } {
  let up = 0,
    down = 0,
    columns = 0,
    total = 0
  for (let x = 0; x < width; x++) {
    const middle = y * width + x,
      upper = middle - band * width,
      lower = middle + band * width
    const above = counts[middle] - counts[upper],
      below = counts[lower] - counts[middle]
    if (above < band / 2 || below < band / 2) continue
    const step = (sums[lower] - sums[middle]) / below - (sums[middle] - sums[upper]) / above
    columns++
    total += step
    if (step >= LEAST_STEP) up++
    else if (step <= -LEAST_STEP) down++
  }
  if (columns < width / 2) return { step: 0, agreed: 0 }
  return { step: Math.abs(total / columns), agreed: Math.max(up, down) / columns }
}

/** The first and the last row that hold anything measured: heights are those of the picture within its margin. */
function firstRow(counts: Float64Array, width: number, height: number): number {
  for (let y = 0; y < height; y++) if (rowHolds(counts, width, y)) return y
  return 0
}
function lastRow(counts: Float64Array, width: number, height: number): number {
  for (let y = height; y > 0; y--) if (rowHolds(counts, width, y - 1)) return y
  return height
}
function rowHolds(counts: Float64Array, width: number, y: number): boolean {
  for (let x = 0; x < width; x++) if (counts[(y + 1) * width + x] > counts[y * width + x]) return true
  return false
}
