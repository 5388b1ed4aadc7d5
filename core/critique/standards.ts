/** House standards: every threshold a reading is judged by. Critics differ; the numbers do not depend on them. */
import { LIGHT_STANDARD } from '../measure/light'
import { MERGE_STANDARD } from '../measure/value/separation'
import { RANGE_STANDARD } from '../measure/value/value'
import { CUTOUT_RATIO } from '../measure/composition/edges'
import type { GreyName } from '../measure/value/greys'
import type { WheelName } from '../wheel/steps'

/** Schools of opposites: across the wheel, or one step off. */
export type OppositesSchool = 'full' | 'one-step'
/** Schools of black: kept off the palette, or used where it is meant. */
export type BlackSchool = 'avoid' | 'with-intent'

export interface HouseStandards {
  readonly wheel: WheelName
  /** The grey that pictures are first seen in. */
  readonly grey: GreyName
  readonly opposites: OppositesSchool
  readonly black: BlackSchool
  /** L* steps from which the range is full or moderate. */
  readonly range: { readonly full: number; readonly moderate: number }
  /** Share of flat black that is let pass. */
  readonly nearBlack: number
  /** An area merges when it is under both. */
  readonly merge: { readonly value: number; readonly deltaE: number }
  /** How many times the area of the next a colour covers that leads. */
  readonly lead: number
  /** Share of vivid pixels over which everything shouts. */
  readonly vivid: number
  /** 95th percentile of chroma under which a picture is called dull. */
  readonly dull: number
  /** T by which lights and darks must part to be warm and cool. */
  readonly lightMinusDark: number
  /** ΔE00 over which a material leaves the light. */
  readonly leavesLight: number
  /** How much of the contrast thin dark lines may carry. */
  readonly lineDependence: number
  /** How many times sharper or busier than its surroundings a figure looks cut out. */
  readonly cutout: number
  /** Mirror correlation over which a picture is static. */
  readonly symmetry: number
  /** Heights between which a horizon cuts the picture in half. */
  readonly horizon: { readonly low: number; readonly high: number }
}

export const DEFAULT_STANDARDS: HouseStandards = {
  wheel: 'painter',
  grey: 'value',
  opposites: 'full',
  black: 'avoid',
  range: RANGE_STANDARD,
  nearBlack: 0.02,
  merge: MERGE_STANDARD,
  lead: 1.5,
  vivid: 0.5,
  dull: 0.09,
  lightMinusDark: 8,
  leavesLight: LIGHT_STANDARD.leaves,
  lineDependence: 0.25,
  cutout: CUTOUT_RATIO,
  symmetry: 0.8,
  horizon: { low: 0.45, high: 0.55 }
}
