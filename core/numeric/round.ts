/** Rounding to what a number means: values and angles to 0.1, shares and ratios to 0.001. */

export function roundTo(value: number, digits: number): number {
  const factor = 10 ** digits
  const rounded = Math.round(value * factor) / factor
  return rounded === 0 ? 0 : rounded // never −0 in a report
}

/** L*, degrees, temperature: 0.1. */
export const round1 = (value: number): number => roundTo(value, 1)

/** Shares, ratios, chroma: 0.001. */
export const round3 = (value: number): number => roundTo(value, 3)

/** A wheel position or hue at 0.1, kept inside [0, 360). */
export function roundAngle(deg: number): number {
  const rounded = roundTo(deg, 1)
  return rounded >= 360 ? rounded - 360 : rounded
}
