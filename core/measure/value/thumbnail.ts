/** Does the big picture read at thumbnail size, or did detail eat it? */
import { planesOf, type Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import { fitWithin, reduceTo } from '../../picture/resample'
import { planesInside } from '../margin'
import { measureFocus, type FocusOptions } from '../focus/focus'
import { isMeasured } from '../report'

export const THUMBNAIL_EDGE = 160

function variance({ value, mask, count }: Planes): number {
  let sum = 0,
    square = 0
  for (let i = 0; i < value.length; i++) {
    if (!mask[i]) continue
    sum += value[i]
    square += value[i] * value[i]
  }
  return count === 0 ? 0 : square / count - (sum / count) ** 2
}

export interface ThumbnailRead {
  /** Share of the value variance that survives, 0–1; null for a picture without contrast. */
  readonly kept: number | null
  /** Whether the focal area is among the first two peaks at that size; null when none is given. */
  readonly focusHolds: boolean | null
}

export function readThumbnail(
  raster: Raster,
  planes: Planes,
  focus: Pick<FocusOptions, 'area' | 'noFaces'>
): ThumbnailRead {
  const { width, height } = fitWithin(raster.width, raster.height, THUMBNAIL_EDGE)
  const reduced = planesOf(reduceTo({ ...raster, channels: 4 }, width, height)),
    // Where the margin is left out of the one, it is left out of the other.
    small = planes.count < planes.mask.length ? planesInside(reduced) : reduced
  const whole = variance(planes)
  const section = focus.area && measureFocus(small, focus)
  return {
    kept: whole < 1e-3 ? null : Math.min(1, variance(small) / whole),
    focusHolds:
      section && isMeasured(section)
        ? section.rank !== undefined && isMeasured(section.rank) && section.rank <= 2
        : null
  }
}
