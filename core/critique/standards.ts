/** House standards: every threshold a reading is judged by. Critics differ; the numbers do not depend on them. */
import { MERGE_STANDARD } from '../measure/separation'
import { RANGE_STANDARD } from '../measure/value'
import type { WheelName } from '../wheel/steps'

export interface HouseStandards {
  readonly wheel: WheelName
  /** L* steps from which the range is full or moderate. */
  readonly range: { readonly full: number, readonly moderate: number }
  /** Share of flat black that is let pass. */
  readonly nearBlack: number
  /** An area merges when it is under both. */
  readonly merge: { readonly value: number, readonly deltaE: number }
  /** Evenness over which no colour leads. */
  readonly evenness: number
  /** Share of vivid pixels over which everything shouts. */
  readonly vivid: number
  /** 95th percentile of chroma under which a picture is called dull. */
  readonly dull: number
}

export const DEFAULT_STANDARDS: HouseStandards = {
  wheel: 'painter',
  range: RANGE_STANDARD,
  nearBlack: 0.02,
  merge: MERGE_STANDARD,
  evenness: 0.9,
  vivid: 0.5,
  dull: 0.09
}
