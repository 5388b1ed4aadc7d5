/** How far the ways of seeing without colour disagree about this picture. */
import { describeColour } from '../../../wheel/describe'
import type { GreyDisagreement } from '../../../measure/greys'
import type { Reading } from '../../reading'
import { placeWords } from '../places'
import { steps, stepWords } from '../../words'

const WHY =
  'Every grey filter weighs colours differently, and on strong colours they disagree. Value here is L*, which is how light the eye sees a colour; the others show what a painting program would have shown.'
const NAMES = { luma: 'luma', hsl: 'HSL lightness', hsv: 'HSV value' } as const

/** Under this many steps nobody sees the difference. */
const SEEN = 6

export function greysReading(disagreements: readonly GreyDisagreement[]): Reading {
  const most = disagreements[0]
  const base = { id: 'value.greys', station: 'values', verdict: 'works', why: WHY, trains: [] } as const
  if (!most || Math.abs(most.difference) < SEEN)
    return {
      ...base,
      sentence: 'All greys agree on this picture: no colour in it is strong enough to part them.',
      evidence: { name: 'grey' }
    }
  const { step, kind } = describeColour(most.hex, 'painter')
  return {
    ...base,
    sentence: `The ${step ? `${stepWords(step)}${kind === 'hue' ? '' : ` ${kind}`}` : 'grey'} in ${placeWords(most)} reads ${steps(Math.abs(most.difference))} ${most.difference < 0 ? 'darker' : 'lighter'} in L* than in ${NAMES[most.against]}.`,
    evidence: { name: 'grey', grey: most.against },
    points: [{ x: most.x, y: most.y, label: 'A' }]
  }
}
