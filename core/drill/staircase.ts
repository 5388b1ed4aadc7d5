/**
 * A threshold found in few questions: after each answer, what is known of it is brought up to date over a grid of
 * thresholds, and the next question is asked at what is now believed (A. B. Watson & D. G. Pelli, "QUEST: a Bayesian
 * adaptive psychometric method", Perception & Psychophysics 33, 1983; asked at the mean, P. E. King-Smith et al.,
 * "Efficient and unbiased modifications of the QUEST threshold method", Vision Research 34, 1994).
 */

/** @property difference that was shown, in the drill's own unit, over 0. */
export interface Answered {
  readonly difference: number
  readonly right: boolean
}

/**
 * What a drill asks. @property guess chance of a right answer without seeing anything, 0–1. @property usual threshold
 * of somebody, about: where it begins. @property least and @property most that can be shown, in its unit.
 */
export interface Asked {
  readonly guess: number
  readonly usual: number
  readonly least: number
  readonly most: number
}

/** @property low and @property high bounds that the threshold lies between with 95 of 100. */
export interface Threshold {
  readonly threshold: number
  readonly low: number
  readonly high: number
}

/** Slope of the Weibull function, slips of the hand: what QUEST is used with (Watson & Pelli). */
export const SLOPE = 3.5,
  SLIPS = 0.03
/** Of the logarithm (base 10) of the usual threshold: how far people lie around it, and the grid's reach and step. */
const SPREAD = 0.45,
  REACH = 1.5,
  STEP = 0.02
const SIZE = Math.round((2 * REACH) / STEP) + 1

/** Chance of a right answer. @param ratio of the difference to the threshold. */
export const chanceOf = (ratio: number, guess: number): number =>
  guess + (1 - guess - SLIPS) * (1 - Math.exp(-(ratio ** SLOPE)))

/** Of each threshold on the grid: its logarithm times the slope, and how likely it is before anything was asked. */
const STEEP = Float64Array.from({ length: SIZE }, (_, i) => SLOPE * Math.LN10 * (-REACH + i * STEP)),
  BEFORE = Float64Array.from({ length: SIZE }, (_, i) => -0.5 * ((-REACH + i * STEP) / SPREAD) ** 2)

/** @returns of every threshold on the grid how likely it is, 1 in all. */
function believed({ guess, usual }: Asked, answers: readonly Answered[]): Float64Array {
  const logs = BEFORE.slice()
  for (const { difference, right } of answers) {
    const shown = SLOPE * Math.log(difference / usual)
    for (let i = 0; i < SIZE; i++) {
      const p = guess + (1 - guess - SLIPS) * (1 - Math.exp(-Math.exp(shown - STEEP[i])))
      logs[i] += Math.log(right ? p : 1 - p)
    }
  }
  const top = logs.reduce((m, v) => Math.max(m, v), -Infinity),
    weights = logs.map(v => Math.exp(v - top)),
    all = weights.reduce((sum, v) => sum + v, 0)
  return weights.map(v => v / all)
}

const at = (i: number, usual: number): number => usual * 10 ** (-REACH + i * STEP)

/** The mean of the logarithm, and the middle 95 of 100. */
export function thresholdOf(asked: Asked, answers: readonly Answered[]): Threshold {
  const weights = believed(asked, answers)
  let mean = 0,
    sum = 0,
    low: number | null = null,
    high: number | null = null
  for (let i = 0; i < SIZE; i++) {
    mean += weights[i] * i
    sum += weights[i]
    if (low === null && sum >= 0.025) low = i
    if (high === null && sum >= 0.975) high = i
  }
  const { usual } = asked
  return { threshold: at(mean, usual), low: at(low ?? 0, usual), high: at(high ?? SIZE - 1, usual) }
}

/** The first is plainly seen, so that the question is understood. */
const FIRST = 3

/** @returns the difference that is shown next, in the drill's unit. */
export function nextDifference(asked: Asked, answers: readonly Answered[]): number {
  const next = answers.length === 0 ? FIRST * asked.usual : thresholdOf(asked, answers).threshold
  return Math.min(asked.most, Math.max(asked.least, next))
}
