/** Whether a correction landed: its target before and after, against what a new photograph moves by itself. */
import type { Target, TargetState } from '../critique/target'
import { TARGET_NOISE } from './noise'

/** `cannot-tell`: what it was about is not in the new version, or neither can be measured. */
export const LANDINGS = ['reached', 'nearer', 'unchanged', 'worse', 'cannot-tell'] as const
export type Landing = (typeof LANDINGS)[number]

const wantsMore = (target: Target): boolean => 'atLeast' in target

/** @param before, after null where it could not be measured. */
export function landingOf(target: Target, before: TargetState | null, after: TargetState | null): Landing {
  if (!before || !after) return 'cannot-tell'
  const toward = (wantsMore(target) ? 1 : -1) * (after.value - before.value),
    still = Math.abs(toward) <= TARGET_NOISE[target.measure]
  // What was there already is there still; what a new photograph alone brought over its bound has not moved.
  if (after.reached && (before.reached || !still)) return 'reached'
  if (still) return 'unchanged'
  return toward > 0 ? 'nearer' : 'worse'
}
