/** A place that somebody set: four corners, where a registration was not sure, or wrong. */
import { homographyOf, type Point } from '../numeric/homography'
import { cornersOf, sane } from './evidence'
import { halfOf } from './look'
import type { Registration } from './register'

type Size = { readonly width: number; readonly height: number }

/**
 * @param corners of the old picture in the new one, clockwise from its top left, fractions; outside it where it was
 * cropped. @returns `another` where no photograph could show it so.
 */
export function registrationByHand(old: Size, next: Size, corners: readonly Point[]): Registration {
  const half = halfOf(next),
    map = homographyOf(
      cornersOf(old),
      corners.map(({ x, y }) => ({ x: ((x - 0.5) * next.width) / half, y: ((y - 0.5) * next.height) / half }))
    )
  const plain = map !== null && sane(old, map)
  return { match: plain ? 'sure' : 'another', corners: plain ? corners : null, map: plain ? map : null, evidence: null }
}
