/** What a learner writes down before beginning: subject, goal, scheme and key colour, and in which amounts. */
import type { SectorScheme } from '../../wheel/schemes'

/** Shares of leader, assistant and accent; they sum to 1. */
export type Amounts = readonly [leader: number, assistant: number, accent: number]
export const USUAL_AMOUNTS: Amounts = [0.6, 0.3, 0.1]

/** @property hue key colour, degrees of the exercise's wheel. */
export interface Plan {
  readonly subject: string
  readonly goal: string
  readonly scheme: SectorScheme
  readonly hue: number
  readonly amounts: Amounts
}

/** What a sum of shares may be off by. */
const SLIP = 1e-9
/** Whether amounts are in order, each at least a twentieth, and make a whole. */
export const soundAmounts = (amounts: Amounts): boolean =>
  Math.abs(amounts.reduce((p, q) => p + q, 0) - 1) < 0.005
  && amounts[0] >= amounts[1] - SLIP
  && amounts[1] >= amounts[2] - SLIP
  && amounts[2] >= 0.05 - SLIP

/**
 * The amounts nearest to what is wanted: the rest is the assistant's, none is larger than the one before it, the accent
 * is between a twentieth and three tenths.
 */
export function fitAmounts(leader: number, accent: number): Amounts {
  const small = Math.min(0.3, Math.max(0.05, accent)),
    large = Math.min(1 - 2 * small, Math.max((1 - small) / 2, leader))
  return [large, 1 - large - small, small]
}
