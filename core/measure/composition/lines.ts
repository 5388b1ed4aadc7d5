/** What thin lines hold of a picture's contrast. */
import { addedByClosing } from '../../picture/closing'
import { meanDeviation, percentile } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import { WORKING_EDGE } from '../../picture/raster'

/** Radius of the closing that thin dark lines fall into, pixels on a 1024 raster. */
const LINE_RADIUS = 3
/** Under this share of the contrast there is no drawing to tell from texture. */
const LEAST_LINES = 0.1
/** Steps in 100 L* that lines are closed in: a line is seen from whole steps on. */
const STEPS = 127

/** Shares, 0–1. */
export interface Lines {
  /** Thin darks: what closing the values adds, over their mean deviation from the median. */
  readonly dark: number
  /** Thin lights, in the same way. Grain and leaves have as much of the one as of the other; drawing has not. */
  readonly light: number
}

/** Null without contrast. */
export function linesOf(planes: Planes): Lines | null {
  const { values, width, height, count } = planes,
    contrast = meanDeviation(values, percentile(values, 0.5)) * count
  if (contrast / Math.max(1, count) < 0.02) return null
  const reach = Math.max(1, Math.round((LINE_RADIUS * Math.max(width, height)) / WORKING_EDGE)),
    perStep = STEPS / 100
  const share = (scale: number, shift: number): number =>
    Math.min(1, addedByClosing(planes, { scale, shift, reach }) / perStep / contrast)
  const dark = share(perStep, 0.5)
  // Where there are no thin darks to speak of nobody asks for the lights.
  return { dark, light: dark < LEAST_LINES ? 0 : share(-perStep, STEPS - 0.5) }
}
