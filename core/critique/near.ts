/** How near a number is to its bound: what is near is said softly. */

/** Within this share of the bound a number is near it: another scan of the same picture may fall on the other side. */
const NEAR = 0.06

export const isNear = (value: number, bound: number): boolean =>
  Math.abs(value - bound) <= NEAR * Math.max(Math.abs(bound), 1e-6)

/** @param value under its bound. @returns "just under " near it, else nothing. */
export const justUnder = (value: number, bound: number): string => (isNear(value, bound) ? 'just under ' : '')
/** @param value over its bound. */
export const justOver = (value: number, bound: number): string => (isNear(value, bound) ? 'just over ' : '')

/** A fault's weight: nothing at its bound, all at `worst`. */
export const weighed = (value: number, bound: number, worst: number): number =>
  Math.min(1, Math.max(0.05, (value - bound) / (worst - bound)))
