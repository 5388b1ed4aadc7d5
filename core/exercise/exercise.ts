/** What an exercise is: what it trains, how it is done, and the measured checks that accept it. */
import type { HueHistogram } from '../measure/harmony/hues'
import type { Report } from '../measure/report'

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

export interface HandInMeasures {
  readonly report: Report
  readonly hues: HueHistogram
}

export interface Check {
  readonly id: string
  readonly asks: string
  readonly run: (measures: HandInMeasures) => CheckResult
}

export interface Exercise {
  readonly title: string
  readonly trains: string
  readonly steps: readonly string[]
  readonly checks: readonly Check[]
}
