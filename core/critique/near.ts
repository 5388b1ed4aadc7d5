/** How near a number is to its bound: what is near is said softly. */

/** Within this share of the bound a number is near it: another scan of the same picture may fall on the other side. */
const NEAR = 0.06

export const isNear = (value: number, bound: number): boolean =>
  Math.abs(value - bound) <= NEAR * Math.max(Math.abs(bound), 1e-6)

/** A fault's weight: nothing at its bound, all at `worst`. */
export const weighed = (value: number, bound: number, worst: number): number =>
  Math.min(1, Math.max(0.05, (value - bound) / (worst - bound)))
