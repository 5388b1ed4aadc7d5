/**
 * The value contrast (P95 − P5) of the windows of a given area that do not touch a given
 * place. The strongest are ranked on a small raster by summed histograms, the best few measured exactly.
 */
import { percentile, valueDistribution } from '../../picture/distribution'
import { reducePlane } from '../../picture/plane'
import type { Planes } from '../../picture/planes'
import { fitWithin } from '../../picture/resample'

const SEARCH_EDGE = 128
const BINS = 32
const BEST = 6

interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

/** Cumulative counts: entry (bin, y, x) holds the pixels of that bin above and left of (x, y). */
function summedHistograms({
  value,
  cover,
  width,
  height
}: {
  value: Float32Array
  cover: Float32Array
  width: number
  height: number
}): Int32Array {
  const stride = width + 1,
    plane = stride * (height + 1)
  const sums = new Int32Array(plane * BINS)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const i = y * width + x
      if (cover[i] < 0.5) continue
      sums[Math.min(BINS - 1, ((value[i] * BINS) / 100) | 0) * plane + (y + 1) * stride + x + 1]++
    }
  }
  for (let bin = 0; bin < BINS; bin++) {
    for (let y = 1; y <= height; y++) {
      let row = 0
      for (let x = 1, i = bin * plane + y * stride + 1; x <= width; x++, i++) {
        row += sums[i]
        sums[i] = row + sums[i - stride]
      }
    }
  }
  return sums
}

/** What the windows beside a place are like. */
export interface Windows {
  /** The greatest contrast of any, L* steps. */
  readonly strongest: number
  /** Share of them that have less than a given contrast. */
  readonly below: (contrast: number) => number
}

/**
 * @param focal bounding box of the place not to touch, fractions. @param area share of the picture
 * the window has; it keeps the box's proportions as far as the picture allows.
 * @returns null when no window fits.
 */
export function windowsBeside(planes: Planes, focal: Box, area: number): Windows | null {
  const shape = windowShape(focal, area)
  const { width, height } = fitWithin(planes.width, planes.height, SEARCH_EDGE)
  const value = reducePlane({ width: planes.width, height: planes.height, data: planes.value }, width, height).data
  const cover =
    planes.count === planes.mask.length
      ? new Float32Array(value.length).fill(1)
      : reducePlane({ width: planes.width, height: planes.height, data: Float32Array.from(planes.mask) }, width, height)
          .data
  const w = Math.max(1, Math.round(shape.w * width)),
    h = Math.max(1, Math.round(shape.h * height))
  const sums = summedHistograms({ value, cover, width, height })
  const touches = (x: number, y: number): boolean =>
    x < (focal.x + focal.w) * width
    && x + w > focal.x * width
    && y < (focal.y + focal.h) * height
    && y + h > focal.y * height
  const found: { x: number; y: number; spread: number }[] = []
  for (let y = 0; y + h <= height; y++) {
    for (let x = 0; x + w <= width; x++) {
      if (touches(x, y)) continue
      const spread = spreadOf(sums, width, height, x, y, w, h)
      if (spread < 0) continue
      found.push({ x, y, spread })
    }
  }
  found.sort((p, q) => q.spread - p.spread)
  const exact = found
    .slice(0, BEST)
    .map(({ x, y }) => exactSpread(planes, { x: x / width, y: y / height, w: w / width, h: h / height }))
  if (exact.length === 0) return null
  // Spreads are counted in whole bins: half a bin either way is the same.
  const below = (contrast: number): number =>
    found.filter(f => (f.spread * 100) / BINS <= contrast - 50 / BINS).length / found.length
  return { strongest: Math.max(...exact), below }
}

/** A window of the wanted area with the box's proportions, or as near them as the picture lets it be. */
function windowShape({ w, h }: Box, area: number): { w: number; h: number } {
  const scale = Math.sqrt(area / (w * h))
  const wide = Math.min(1, w * scale)
  return { w: wide, h: Math.min(1, area / wide) }
}

/** P95 − P5 in bins, or −1 for a window without pixels. */
function spreadOf(sums: Int32Array, width: number, height: number, x: number, y: number, w: number, h: number): number {
  const stride = width + 1,
    plane = stride * (height + 1)
  const a = y * stride + x,
    b = a + w,
    c = a + h * stride,
    d = c + w
  let total = 0
  for (let bin = 0; bin < BINS; bin++) {
    const o = bin * plane
    total += sums[o + d] - sums[o + b] - sums[o + c] + sums[o + a]
  }
  if (total === 0) return -1
  let seen = 0,
    low = -1
  for (let bin = 0; bin < BINS; bin++) {
    const o = bin * plane
    seen += sums[o + d] - sums[o + b] - sums[o + c] + sums[o + a]
    if (low < 0 && seen > 0.05 * total) low = bin
    if (seen >= 0.95 * total) return bin - low
  }
  return 0
}

function exactSpread(planes: Planes, box: Box): number {
  const mask = new Uint8Array(planes.mask.length)
  const x0 = Math.round(box.x * planes.width),
    x1 = Math.round((box.x + box.w) * planes.width)
  for (let y = Math.round(box.y * planes.height), end = Math.round((box.y + box.h) * planes.height); y < end; y++) {
    for (let x = x0; x < x1; x++) mask[y * planes.width + x] = planes.mask[y * planes.width + x]
  }
  const d = valueDistribution(planes.value, mask)
  return d.total === 0 ? 0 : percentile(d, 0.95) - percentile(d, 0.05)
}
