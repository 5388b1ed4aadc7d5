/** Where the printed strip lies in a photograph. */
import { findPrints, type Looking } from '../../exercise/reader/find'
import type { Seeing } from '../../exercise/reader/seeing'
import { through, type Point } from '../../numeric/homography'
import type { Raster } from '../../picture/raster'
import { STRIP_CORNERS, STRIP_MARKERS } from './strip'

/** A strip is a small part of its photograph, and the picture beside it may be lighter than its paper. */
const BESIDE: Looking = { edges: [2000, 1400, 3000], bright: 0.998, seldom: true }

/** @returns its marks' outer corners, clockwise from its own top left, fractions; null where there is none. */
export function findStrip(photo: Raster, seeing: Seeing): Point[] | null {
  const [found] = findPrints(photo, seeing, {
    prints: [{ is: 'strip', markers: STRIP_MARKERS }],
    looking: BESIDE
  })
  if (!found) return null
  return STRIP_CORNERS.map(corner => {
    const { x, y } = through(found.map, corner)
    return { x: x / photo.width, y: y / photo.height }
  })
}
