/**
 * Whether a row of figures goes anywhere: the median of the slopes between all pairs (H. Theil 1950; P. K. Sen,
 * "Estimates of the regression coefficient based on Kendall's tau", J. Am. Stat. Assoc. 63, 1968), which one odd
 * piece does not turn.
 */
import { medianOf } from '../numeric/median'

/** Fewer points than these are pieces, not a trend. */
export const TREND_FROM = 3

export type Trend = 'rises' | 'falls' | 'holds'

/** @returns the slope a step; 0 for fewer than two. */
export function slopeOf(values: readonly number[]): number {
  const slopes = values.flatMap((v, i) => values.slice(i + 1).map((w, k) => (w - v) / (k + 1)))
  return slopes.length ? medianOf(slopes) : 0
}

/**
 * @param values in the order of time. @param noise what a figure moves by itself. @returns null for too few points.
 */
export function trendOf(values: readonly number[], noise: number): Trend | null {
  if (values.length < TREND_FROM) return null
  const whole = slopeOf(values) * (values.length - 1)
  return Math.abs(whole) <= noise ? 'holds' : whole > 0 ? 'rises' : 'falls'
}
