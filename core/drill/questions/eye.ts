/** Where the eye goes first: six alike but one, seen for a blink. */
import { between } from '../../numeric/random'
import { differenceOf } from '../../colour/difference'
import { convertLinearToLab } from '../../colour/lab'
import { linearOfHex } from '../../colour/srgb'
import { colourOf, NEUTRAL_GROUND, reaching, type MakeQuestion } from '../question'

const PLACES = 6,
  BLINK_MS = 250
const far = (p: string, q: string): number =>
  differenceOf(convertLinearToLab(linearOfHex(p)), convertLinearToLab(linearOfHex(q)))

export const eyeQuestion: MakeQuestion = (random, { difference }) => {
  const value = between(random, 40, 66),
    hue = between(random, 0, 360),
    usual = colourOf(value, 0.06, hue)
  // Odd in value, in chroma or in hue, of those that can be so far off: each as far as is asked for.
  const all = [
      (by: number) => colourOf(value + 34 * by, 0.06, hue),
      (by: number) => colourOf(value, 0.06 + 0.14 * by, hue),
      (by: number) => colourOf(value, 0.06, hue + 180 * by)
    ],
    some = all.filter((of, i) => i === 0 || far(usual, of(1)) >= difference),
    odd = some[Math.floor(random() * some.length)]
  const hex = odd(reaching(by => far(usual, odd(by)), difference, [0, 1])),
    right = Math.floor(random() * PLACES)
  return {
    ask: 'Where did the eye go first?',
    ground: NEUTRAL_GROUND,
    patches: Array.from({ length: PLACES }, (_, i) => ({
      x: 0.16 + (i % 3) * 0.26,
      y: i < 3 ? 0.14 : 0.58,
      w: 0.14,
      h: 0.26,
      hex: i === right ? hex : usual,
      within: null,
      choice: i
    })),
    words: null,
    right: [right],
    difference: Math.max(0.1, far(usual, hex)),
    flash: BLINK_MS
  }
}
