/** Does the big picture read small? */
import type { ThumbnailRead } from '../../../measure/thumbnail'
import type { Reading } from '../../reading'
import { percent } from '../../words'

const WHY =
  'From across the room only the big masses are left. What the picture loses at the size of a stamp was carried by detail.'

/** Share of the value variance that should survive at 160 pixels. Our choice: what falls away below it is texture as strong as the masses. */
const KEPT = 0.8

export function thumbnailReading({ kept, focusHolds }: ThumbnailRead): Reading | null {
  if (kept === null) return null
  const reads = kept >= KEPT && focusHolds !== false
  const focus =
    focusHolds === null
      ? ''
      : focusHolds
        ? ' The focus is still among the first two things seen.'
        : ' The focus is no longer among the first two things seen.'
  return {
    id: 'value.thumbnail',
    station: 'values',
    verdict: reads ? 'works' : 'look',
    why: WHY,
    trains: [],
    sentence: `${kept >= KEPT ? 'The big picture reads small' : 'Detail eats the big picture'}: ${percent(kept)} of its contrast is left at the size of a stamp.${focus}`,
    figure: {
      unit: 'share',
      value: kept,
      standard: KEPT,
      low: 0,
      high: 1,
      label: `${percent(kept)} of the contrast left at 160 pixels, ${percent(KEPT)} wanted`
    },
    evidence: { name: 'squint' }
  }
}
