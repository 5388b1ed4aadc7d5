/** Where a trial reaches, and how much of it each pixel there gets. */
import { boundsOf, spansOf, type Area } from '../picture/area'
import { blurPlane } from '../picture/blur'
import { diagonalOf } from '../picture/raster'
import type { Trial } from './trial'

interface Size {
  readonly width: number
  readonly height: number
}

/** A part of the picture in whole pixels, the last column and row excluded. */
export interface Reach {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

/** Fading is three boxes wide: beyond this many widths nothing is left of it. */
const FADE_REACH = 2.2

/** @param more pixels to take in around it. */
export function reachOf(
  { outside, feather }: Trial,
  { area, size, more = 0 }: { readonly area: Area | null; readonly size: Size; readonly more?: number }
): Reach {
  if (!area || outside) return { x0: 0, y0: 0, x1: size.width, y1: size.height }
  return around(area, size, Math.ceil(FADE_REACH * feather * diagonalOf(size)) + 1 + more)
}

function around(area: Area, { width, height }: Size, more: number): Reach {
  const { x, y, w, h } = boundsOf(area)
  const x0 = Math.min(width, Math.max(0, Math.floor(x * width) - more)),
    y0 = Math.min(height, Math.max(0, Math.floor(y * height) - more))
  return {
    x0,
    y0,
    x1: Math.max(x0, Math.min(width, Math.ceil((x + w) * width) + more)),
    y1: Math.max(y0, Math.min(height, Math.ceil((y + h) * height) + more))
  }
}

/**
 * How much of the trial each pixel within its reach gets, 0–1, row by row: the area (or all but it), its
 * edge faded, times the strength.
 */
export function weightsOf(trial: Trial, area: Area | null, size: Size): Float32Array {
  const { outside, feather, strength } = trial,
    { x0, y0, x1, y1 } = reachOf(trial, { area, size }),
    width = x1 - x0
  const weights = new Float32Array(width * (y1 - y0))
  if (!area) return weights.fill(strength)
  const { top, rows } = spansOf(area, size)
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2)
      weights.fill(1, (top + r - y0) * width + row[s]! - x0, (top + r - y0) * width + row[s + 1]! - x0)
  })
  if (feather > 0)
    fade(weights, {
      width,
      part: around(area, size, Math.ceil(FADE_REACH * feather * diagonalOf(size)) + 1),
      from: { x0, y0 },
      sigma: (feather * diagonalOf(size)) / 2
    })
  for (let i = 0; i < weights.length; i++) weights[i] = strength * (outside ? 1 - weights[i]! : weights[i]!)
  return weights
}

/** Blurs the weights where the area is: the rest of the picture has none to blur. */
function fade(
  weights: Float32Array,
  {
    width,
    part,
    from,
    sigma
  }: { readonly width: number; readonly part: Reach; readonly from: { x0: number; y0: number }; readonly sigma: number }
): void {
  const w = part.x1 - part.x0,
    h = part.y1 - part.y0,
    x = part.x0 - from.x0,
    copy = new Float32Array(w * h)
  const rowOf = (y: number): number => (part.y0 - from.y0 + y) * width + x
  for (let y = 0; y < h; y++) copy.set(weights.subarray(rowOf(y), rowOf(y) + w), y * w)
  blurPlane(copy, { width: w, height: h, sigma, scratch: new Float32Array(copy.length) })
  for (let y = 0; y < h; y++) weights.set(copy.subarray(y * w, (y + 1) * w), rowOf(y))
}
