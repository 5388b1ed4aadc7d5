/** Brightness of a photograph's pixels, read between them. */
import { lumaOf } from '../../picture/luma'
import type { Raster } from '../../picture/raster'
import type { Point } from '../../numeric/homography'

/** Encoded brightness 0–255 at a place, between pixels by straight lines; the border repeats. */
export function lumaAt({ width, height, data }: Raster, { x, y }: Point): number {
  const px = Math.min(width - 1.001, Math.max(0, x - 0.5)),
    py = Math.min(height - 1.001, Math.max(0, y - 0.5))
  const left = Math.floor(px),
    top = Math.floor(py),
    fx = px - left,
    fy = py - top
  const at = (col: number, row: number): number => {
    const i = 4 * (row * width + col)
    return lumaOf(data[i], data[i + 1], data[i + 2])
  }
  const upper = at(left, top) * (1 - fx) + at(left + 1, top) * fx,
    lower = at(left, top + 1) * (1 - fx) + at(left + 1, top + 1) * fx
  return upper * (1 - fy) + lower * fy
}
