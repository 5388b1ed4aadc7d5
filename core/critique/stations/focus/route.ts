/** The route the eye takes over the stops it should take. */
import type { ReadingOrder } from '../../../measure/focus/reading-order'
import type { Reading } from '../../reading'
import { list } from '../../words'

const WHY =
  'A page of panels, or a picture of several incidents, is read stop by stop. A stop that nothing marks is passed by.'

export function routeReading({ taken, skipped, inOrder }: ReadingOrder): Reading {
  const numbers = (stops: readonly number[]): string => list(stops.map(s => String(s + 1)))
  const missing = skipped.length ? ` It passes by ${skipped.length === 1 ? 'stop' : 'stops'} ${numbers(skipped)}.` : ''
  return {
    id: 'focus.route',
    station: 'focus',
    verdict: skipped.length || !inOrder ? 'look' : 'works',
    why: WHY,
    trains: [],
    sentence:
      taken.length === 0
        ? 'The eye reaches none of the stops.'
        : `The eye takes the stops ${inOrder ? 'in their order' : 'in another order'}: ${numbers(taken)}.${missing}`,
    evidence: { name: 'attention' }
  }
}
