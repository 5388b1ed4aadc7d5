/** Framing trials: the readings that a crop changes, measured again on each. */
import { planesOf } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import { cropOf } from '../../picture/crop'
import { FRAMINGS } from './composition'
import { horizonOf } from './horizon'
import { symmetryOf } from './symmetry'
import { measureFocus } from '../focus/focus'
import { isMeasured } from '../report'
import { measureValue } from '../value/value'

export interface FramingRead {
  readonly name: (typeof FRAMINGS)[number]['name'] | 'as it is'
  /** The crop in fractions of the whole picture. */
  readonly crop: { readonly x: number; readonly y: number; readonly w: number; readonly h: number }
  readonly range: number | null
  /** First stop of the eye, in fractions of the crop. */
  readonly first: { readonly x: number; readonly y: number } | null
  readonly horizon: number | null
  readonly symmetry: number | null
}

const WHOLE = { name: 'as it is', x: 0, y: 0, w: 1, h: 1 } as const

/** The whole picture first, then each framing. */
export function readFramings(raster: Raster): FramingRead[] {
  return [WHOLE, ...FRAMINGS].map(({ name, ...crop }) => {
    const planes = planesOf(cropOf(raster, crop))
    const value = measureValue(planes),
      focus = measureFocus(planes)
    return {
      name,
      crop,
      range: isMeasured(value) ? value.range : null,
      first: isMeasured(focus) && isMeasured(focus.peaks) ? { x: focus.peaks[0]!.x, y: focus.peaks[0]!.y } : null,
      horizon: horizonOf(planes),
      symmetry: symmetryOf(planes).whole
    }
  })
}
