/** Temperature of one colour: red-orange is the warm pole, blue-green the cool. */
import type { Oklab } from './oklab'

const POLE = (45 * Math.PI) / 180
const COS = Math.cos(POLE),
  SIN = Math.sin(POLE)

/** T = 100 · C · cos(h − 45°) ÷ 0.20, limited to ±100. C · cos(h − 45°) is a projection of (a, b). */
export function temperatureOf([, a, b]: Oklab): number {
  return Math.max(-100, Math.min(100, (100 * (a * COS + b * SIN)) / 0.2))
}

/** |T| under this is neither warm nor cool. */
export const NEITHER_BELOW = 5
