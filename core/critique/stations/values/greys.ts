/** How far the ways of seeing without colour disagree about this picture. */
import { nameOfLinear } from '../../../colour/names'
import { linearOfHex } from '../../../colour/srgb'
import type { GreyDisagreement } from '../../../measure/value/greys'
import type { Reading } from '../../reading'
import { inPlace } from '../places'
import { steps } from '../../words'

const WHY =
  'Every grey filter weighs colours differently, and on strong colours they disagree. Value here is L*,'
  + ' which is how light the eye sees a colour; the others show what a painting program would have shown.'
const NAMES = { luma: 'luma', hsl: 'HSL lightness', hsv: 'HSV value' } as const

/** Under this many steps the choice of a grey makes no difference worth a word. */
const SEEN = 12

/** Null where the greys agree. */
export function greysReading(disagreements: readonly GreyDisagreement[]): Reading | null {
  const most = disagreements[0]
  if (!most || Math.abs(most.difference) < SEEN) return null
  const { said } = nameOfLinear(linearOfHex(most.hex)),
    way = most.difference < 0 ? 'darker' : 'lighter'
  return {
    id: 'value.greys',
    station: 'values',
    verdict: 'works',
    why: WHY,
    trains: [],
    sentence:
      `The ${said} ${inPlace(most)} reads ${steps(Math.abs(most.difference))} steps ${way} in L*`
      + ` than in ${NAMES[most.against]}.`,
    evidence: { name: 'grey', grey: most.against },
    points: [{ x: most.x, y: most.y, label: 'A' }]
  }
}
