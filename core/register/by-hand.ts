/** A place that somebody set: four corners, where a registration was not sure, or wrong. */
import type { Point } from '../numeric/homography'
import { mapOf, sane, type Size } from './place'
import type { Registration } from './register'

/**
 * @param corners of the old picture in the new one, clockwise from its top left, fractions; outside it where it was
 * cropped. @returns `another` where no photograph could show it so.
 */
export function registrationByHand(old: Size, next: Size, corners: readonly Point[]): Registration {
  const map = mapOf(old, next, corners),
    plain = map !== null && sane(old, map)
  return { match: plain ? 'sure' : 'another', corners: plain ? corners : null, map: plain ? map : null, evidence: null }
}
