/** What one trial changed, as a layer of its own: only the pixels that differ, cut to their box. */
import type { Reach } from '../../../core/trial/reach'
import { createRaster, wordsOf, type Raster } from '../../../core/picture/raster'

export interface Cut {
  readonly raster: Raster
  readonly x: number
  readonly y: number
}

/**
 * @param reach outside of which nothing differs. @returns null when nothing differs at all. Laid over `before`, the cut
 * gives `after` exactly where both are opaque.
 */
export function differenceOf(before: Raster, after: Raster, reach: Reach): Cut | null {
  const { width, height } = before,
    from = wordsOf(before.data),
    to = wordsOf(after.data)
  let x0 = width,
    y0 = height,
    x1 = 0,
    y1 = 0
  for (let y = reach.y0; y < reach.y1; y++) {
    for (let x = reach.x0, i = y * width + x; x < reach.x1; x++, i++) {
      if (from[i] === to[i]) continue
      if (x < x0) x0 = x
      if (x >= x1) x1 = x + 1
      if (y < y0) y0 = y
      y1 = y + 1
    }
  }
  if (x1 <= x0) return null
  const raster = createRaster(x1 - x0, y1 - y0),
    out = wordsOf(raster.data)
  for (let y = y0, o = 0; y < y1; y++)
    for (let x = x0, i = y * width + x0; x < x1; x++, i++, o++) if (from[i] !== to[i]) out[o] = to[i]!
  return { raster, x: x0, y: y0 }
}
