/**
 * What a figure moves by while nothing is repainted: registering, cropping, resampling, a lossy file, another exposure.
 * Of a hundred moves ninety-seven are smaller. Measured on generated pairs of open pictures and the demo's own, with
 * another light taken out (`npm run landed`); never reported as a change.
 */
import type { Figure } from '../critique/reading'
import type { Target } from '../critique/target'
import type { Unit } from '../critique/unit'

export const TARGET_NOISE: Readonly<Record<Target['measure'], number>> = {
  range: 7,
  separation: 2.5,
  'near-black': 0.02,
  coverage: 0.06,
  evenness: 0.05,
  lead: 0.35,
  'focus-rank': 0,
  temperature: 6,
  'line-dependence': 0.05
}

/** Of a reading that is not named below. */
const OF_UNIT: Readonly<Record<Unit, number>> = {
  steps: 7,
  temperature: 6,
  rank: 0,
  share: 0.06,
  times: 0.25,
  difference: 3
}
const OF_READING: Readonly<Record<string, number>> = {}

/** In the figure's own unit. */
export function readingNoise(id: string, { unit, value }: Figure): number {
  // How many times is a ratio: its noise grows with it.
  const scale = unit === 'times' ? Math.max(1, value) : 1
  return (OF_READING[id] ?? OF_UNIT[unit]) * scale
}
