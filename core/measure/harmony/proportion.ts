/** How much of each colour: leader, assistant, accent, and Goethe's contrast of extension. */
import { wrapDegrees } from '../../numeric/angle'

/** A sector with less than this is empty. */
const EMPTY = 0.005

/**
 * Shares normalised to 1, descending, without the empty ones; with Shannon evenness 0–1 and the first over the second.
 * Null for fewer than two sectors with anything in them.
 */
export function proportionOf(sectors: readonly number[]): { shares: number[]; evenness: number; lead: number } | null {
  const total = sectors.reduce((p, q) => p + q, 0)
  if (sectors.length < 2 || total === 0) return null
  const held = sectors.filter(s => s >= EMPTY * total),
    all = held.reduce((p, q) => p + q, 0)
  if (held.length < 2) return null
  const shares = held.map(s => s / all).sort((p, q) => q - p)
  const entropy = shares.reduce((sum, s) => sum - s * Math.log(s), 0)
  return { shares, evenness: entropy / Math.log(shares.length), lead: shares[0] / shares[1] }
}

/**
 * Goethe's light values on the painter wheel, yellow round to yellow-green (J. W. von Goethe, "Zur
 * Farbenlehre", 1810, as taught with the contrast of extension): yellow 9, orange 8, red 6,
 * violet 3, blue 4, green 6; tertiaries half way.
 */
const LIGHT_VALUES = [9, 8.5, 8, 7, 6, 4.5, 3, 3.5, 4, 5, 6, 7.5] as const

/** Light value at a painter position, linear between the twelve steps. */
export function lightValueAt(positionDeg: number): number {
  const steps = wrapDegrees(positionDeg) / 30
  const i = Math.floor(steps) % 12,
    t = steps - Math.floor(steps)
  return LIGHT_VALUES[i] + t * (LIGHT_VALUES[(i + 1) % 12] - LIGHT_VALUES[i])
}

/** Area shares at which the colours at these painter positions balance: inverse to their light values. */
export function balancingShares(positionsDeg: readonly number[]): number[] {
  const inverse = positionsDeg.map(p => 1 / lightValueAt(p))
  const total = inverse.reduce((p, q) => p + q, 0)
  return inverse.map(v => v / total)
}
