/** What an exercise is: what it trains, how it is done, and the measured checks that accept it. */
import type { HueHistogram } from '../measure/harmony/hues'
import type { Report } from '../measure/report'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import type { SectorScheme } from '../wheel/schemes'
import type { Plan } from './plan/plan'
import { give, type Settings } from './settings'

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
  /** What to try; empty when it is passed. */
  readonly tip: string
}

/**
 * What of a hand-in is checked. @property report, hues on the wheel that the exercise is set on. @property reference
 * the picture it was made from. @property studies small ones kept before it.
 */
export interface HandInMeasures {
  readonly report: Report
  readonly hues: HueHistogram
  readonly planes: Planes
  readonly raster: Raster
  readonly reference: Planes | null
  readonly studies: number
  readonly plan: Plan | null
}

/** @property name in two or three words, as a column or an order is called. */
export interface Check {
  readonly id: string
  readonly name: string
  readonly asks: (settings: Settings) => string
  readonly run: (measures: HandInMeasures, settings: Settings) => CheckResult
}

/**
 * @property plan the colour scheme that it is a piece in, if it is one. @property keyed whether it has a key colour.
 * @property cuts whether something is cut. @property needs what is handed in with it.
 */
export interface Exercise {
  readonly title: string
  readonly trains: string
  readonly plan: SectorScheme | null
  readonly keyed: boolean
  readonly cuts?: boolean
  readonly needs?: 'reference' | 'studies'
  readonly steps: readonly string[]
  readonly checks: readonly Check[]
}

export interface Bounds {
  readonly least: number
  readonly most: number
}

/** What a sentence may speak of. */
type Given = HandInMeasures & { readonly settings: Settings }

/**
 * @property top where the scale ends: 1 for shares, 100 for steps. @property exact counts, which do not give way.
 * @property measure the figure that is held against the bounds. @property say what was found, in a sentence. @property
 * tip what to try.
 */
interface Asked {
  readonly id: string
  readonly name: string
  readonly asks: (bounds: Bounds, settings: Settings) => string
  readonly atLeast?: number
  readonly atMost?: number
  readonly top: number
  readonly exact?: boolean
  readonly measure: (measures: HandInMeasures, settings: Settings) => number
  readonly say: (value: number, bounds: Bounds, given: Given) => string
  readonly tip: (value: number, bounds: Bounds) => string
}

/** A check of one figure. Without a bound on one side, that side is open. */
export function checkOf({ id, name, asks, atLeast, atMost, top, exact, measure, say, tip }: Asked): Check {
  const boundsFor = ({ tolerance }: Settings): Bounds => ({
    least: atLeast === undefined ? 0 : exact ? atLeast : Math.min(top, give(atLeast, 'least', tolerance)),
    most: atMost === undefined ? top : exact ? atMost : Math.min(top, give(atMost, 'most', tolerance))
  })
  return {
    id,
    name,
    asks: settings => asks(boundsFor(settings), settings),
    run(measures, settings) {
      const value = measure(measures, settings),
        bounds = boundsFor(settings)
      const passed = value >= bounds.least && value <= bounds.most
      return {
        id,
        asks: asks(bounds, settings),
        found: say(value, bounds, { ...measures, settings }),
        value,
        atLeast: bounds.least,
        atMost: bounds.most,
        passed,
        tip: passed ? '' : tip(value, bounds)
      }
    }
  }
}
