/** What a correction asks for, in a measure's own terms, so that the next version can be measured against it. */
import { temperatureOf } from '../colour/temperature'
import { MOST_PEAKS } from '../measure/focus/attention/peaks'
import { measureFocus } from '../measure/focus/focus'
import type { Met } from '../measure/focus/met'
import { spansOf, type Area } from '../picture/area'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { isMeasured, type Report } from '../measure/report'
import { fitTo } from '../measure/harmony/declared'
import { meanOf, measureSeparation } from '../measure/value/separation'
import type { HueHistogram } from '../measure/harmony/hues'
import { SCHEME_WORDS, type SectorScheme } from '../wheel/schemes'
import type { Unit } from './unit'
import { wholePercent } from './words'

export type Target =
  | { readonly measure: 'range'; readonly atLeast: number }
  | { readonly measure: 'separation'; readonly atLeast: number }
  | { readonly measure: 'near-black'; readonly atMost: number }
  | { readonly measure: 'coverage'; readonly scheme: SectorScheme; readonly atLeast: number }
  | { readonly measure: 'evenness'; readonly atMost: number }
  | { readonly measure: 'lead'; readonly atLeast: number }
  | { readonly measure: 'focus-rank'; readonly atMost: number }
  | { readonly measure: 'temperature'; readonly atMost: number }
  | { readonly measure: 'temperature'; readonly atLeast: number }
  | { readonly measure: 'line-dependence'; readonly atMost: number }

const UNIT: Readonly<Record<Target['measure'], Unit>> = {
  range: 'steps',
  separation: 'steps',
  'near-black': 'share',
  coverage: 'share',
  evenness: 'share',
  lead: 'times',
  'focus-rank': 'rank',
  temperature: 'temperature',
  'line-dependence': 'share'
}
export const unitOf = ({ measure }: Target): Unit => UNIT[measure]

export interface TargetState {
  readonly value: number
  readonly reached: boolean
}

/** Everything a target may have to look at. */
export interface TargetSubject {
  readonly report: Report
  readonly raster: Raster
  readonly planes: Planes
  readonly hues: HueHistogram
  /** What the critic said the eye meets first. */
  readonly met?: Met
}

/** Measures a target. @param area where the correction was marked. @returns null when it cannot be measured. */
export function checkTarget(
  target: Target,
  area: Area | null,
  { report, raster, planes, hues, met }: TargetSubject
): TargetState | null {
  switch (target.measure) {
    case 'range':
      return isMeasured(report.value) ? atLeast(report.value.range, target.atLeast) : null
    case 'near-black':
      return isMeasured(report.value) ? atMost(report.value.flatBlack.holes, target.atMost) : null
    case 'coverage': {
      const fit = fitTo(target.scheme, null, hues)
      return fit ? atLeast(fit.coverage, target.atLeast) : null
    }
    case 'evenness': {
      const harmony = report.harmony
      return isMeasured(harmony) && isMeasured(harmony.proportion)
        ? atMost(harmony.proportion.evenness, target.atMost)
        : null
    }
    case 'lead': {
      const harmony = report.harmony
      return isMeasured(harmony) && isMeasured(harmony.proportion)
        ? atLeast(harmony.proportion.lead, target.atLeast)
        : null
    }
    case 'focus-rank': {
      if (!area) return null
      const focus = measureFocus(planes, { area, ...met })
      // A focal area that no peak reaches ranks behind all that there are.
      return isMeasured(focus) && focus.rank !== undefined
        ? atMost(isMeasured(focus.rank) ? focus.rank : MOST_PEAKS + 1, target.atMost)
        : null
    }
    case 'temperature': {
      const mean = area && meanOf(spansOf(area, planes), planes, raster)
      if (!mean) return null
      const temperature = temperatureOf(mean.oklab)
      return 'atLeast' in target ? atLeast(temperature, target.atLeast) : atMost(temperature, target.atMost)
    }
    case 'line-dependence': {
      const { edges } = report
      return isMeasured(edges) && isMeasured(edges.lineDependence) ? atMost(edges.lineDependence, target.atMost) : null
    }
    case 'separation': {
      if (!area) return null
      const separation = measureSeparation({ name: 'area', area, planes, raster })
      return isMeasured(separation) ? atLeast(Math.abs(separation.deltaValue), target.atLeast) : null
    }
  }
}

const atLeast = (value: number, bound: number): TargetState => ({ value, reached: value >= bound })
const atMost = (value: number, bound: number): TargetState => ({ value, reached: value <= bound })

/** A target in words, as the learner reads it. */
export function describeTarget(target: Target): string {
  switch (target.measure) {
    case 'range':
      return `a range of at least ${target.atLeast} steps`
    case 'separation':
      return `at least ${target.atLeast} value steps from what is around it`
    case 'near-black':
      return `flat black under ${wholePercent(target.atMost)} of the picture`
    case 'coverage':
      return `at least ${wholePercent(target.atLeast)} of the colour within ${SCHEME_WORDS[target.scheme]}`
    case 'evenness':
      return 'one colour clearly leading'
    case 'lead':
      return `one colour leading with ${target.atLeast} times the area of the next`
    case 'focus-rank':
      return target.atMost === 1 ? 'the eye going here first' : `one of the eye's first ${target.atMost} stops here`
    case 'temperature':
      return 'atLeast' in target
        ? `a temperature of at least ${target.atLeast}`
        : `a temperature of at most ${target.atMost}`
    case 'line-dependence':
      return `thin lines carrying at most ${wholePercent(target.atMost)} of the contrast`
  }
}
