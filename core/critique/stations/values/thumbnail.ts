/** Does the big picture read small? */
import type { ThumbnailRead } from '../../../measure/value/thumbnail'
import type { Reading } from '../../reading'
import { percent } from '../../words'

const WHY =
  'From across the room only the big masses are left.'
  + ' What the picture loses at the size of a stamp was carried by detail.'

/**
 * Share of the value variance left at 160 pixels: under the first, detail eats the picture; from the second on, it
 * reads well.
 */
const EATEN = 0.6,
  READS = 0.9

/** Null where there is nothing to say either way. */
export function thumbnailReading({ kept, focusHolds }: ThumbnailRead): Reading | null {
  if (kept === null || (kept >= EATEN && focusHolds !== false && !(kept >= READS && focusHolds))) return null
  const eaten = kept < EATEN,
    reads = !eaten && focusHolds === true
  const sentence = reads
    ? 'The big picture reads small, and the focus with it:'
      + ` ${percent(kept)} of its contrast is left at the size of a stamp.`
    : eaten
      ? `Detail eats the big picture: ${percent(kept)} of its contrast is left at the size of a stamp.`
        + (focusHolds === false ? ' The focus is lost with it.' : '')
      : 'At the size of a stamp the focus is no longer among the first two things seen.'
  return {
    id: 'value.thumbnail',
    station: 'values',
    verdict: reads ? 'works' : 'look',
    why: WHY,
    trains: ['two-values'],
    sentence,
    figure: {
      unit: 'share',
      value: kept,
      standard: EATEN,
      low: 0,
      high: 1,
      label: `${percent(kept)} of the contrast left at 160 pixels, ${percent(EATEN)} wanted`
    },
    evidence: { name: 'squint' },
    ...(reads ? {} : { weight: eaten ? 0.4 : 0.3 })
  }
}
