/** What an exercise is: what it trains, how it is done, and the measured checks that accept it. */
import type { HueHistogram } from '../measure/harmony/hues'
import type { Report } from '../measure/report'
import type { Planes } from '../picture/planes'
import type { SectorScheme } from '../wheel/schemes'

/** One measured check of a hand-in. */
export interface CheckResult {
  readonly id: string
  /** What is asked, as the learner reads it beforehand. */
  readonly asks: string
  /** What was found. */
  readonly found: string
  readonly value: number
  /** Bounds accepted, inclusive. */
  readonly atLeast: number
  readonly atMost: number
  readonly passed: boolean
}

/** What of a hand-in is checked. @property hues on the wheel that exercises are set on. */
export interface HandInMeasures {
  readonly report: Report
  readonly hues: HueHistogram
  readonly planes: Planes
}

export interface Check {
  readonly id: string
  readonly asks: string
  readonly run: (measures: HandInMeasures) => CheckResult
}

/** @property plan the colour scheme that it is a piece in, if it is one. */
export interface Exercise {
  readonly title: string
  readonly trains: string
  readonly plan: SectorScheme | null
  readonly steps: readonly string[]
  readonly checks: readonly Check[]
}

/** @property measure the figure that is held against the bounds. @property say what was found, in a sentence. */
interface Asked {
  readonly id: string
  readonly asks: string
  readonly atLeast?: number
  readonly atMost?: number
  readonly measure: (measures: HandInMeasures) => number
  readonly say: (value: number, measures: HandInMeasures) => string
}

/** A check of one figure. Without a bound on one side, that side is open. */
export const checkOf = ({ id, asks, atLeast = 0, atMost = 100, measure, say }: Asked): Check => ({
  id,
  asks,
  run(measures) {
    const value = measure(measures)
    return {
      id,
      asks,
      found: say(value, measures),
      value,
      atLeast,
      atMost,
      passed: value >= atLeast && value <= atMost
    }
  }
})
