/**
 * What a figure moves by while nothing is repainted: registering, cropping, resampling, a lossy file, another exposure.
 * Of a hundred moves ninety-seven are smaller. Measured on generated pairs of open pictures and the demo's own, with
 * another light taken out (`npm run landed`, which prints them); never reported as a change. Evenness, lines and what
 * has no pair there (units below) are estimates.
 */
import type { Figure } from '../critique/reading'
import type { Target } from '../critique/target'
import type { Unit } from '../critique/unit'

export const TARGET_NOISE: Readonly<Record<Target['measure'], number>> = {
  range: 8,
  separation: 2,
  'near-black': 0.08,
  coverage: 0.06,
  evenness: 0.05,
  lead: 0.35,
  'focus-rank': 0,
  temperature: 3,
  'line-dependence': 0.05
}

/** Of a reading that is not named below. */
const OF_UNIT: Readonly<Record<Unit, number>> = {
  steps: 4,
  temperature: 6,
  rank: 0,
  share: 0.06,
  times: 0.35,
  difference: 3
}
const OF_READING: Readonly<Record<string, number>> = {
  'value.range': 8,
  'value.separation': 2,
  // What is flat black just now, and what is just not: a lossy file decides.
  'value.black': 0.2,
  'temperature.light': 10,
  'harmony.scheme': 0.055,
  'harmony.proportion': 0.35
}

/** In the figure's own unit. */
export function readingNoise(id: string, { unit, value }: Figure): number {
  // How many times is a ratio: its noise grows with it.
  const scale = unit === 'times' ? Math.max(1, value) : 1
  return (OF_READING[id] ?? OF_UNIT[unit]) * scale
}
