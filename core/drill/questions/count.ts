/** How many values there are among twelve patches. */
import { between } from '../../numeric/random'
import { greyAt, shuffled, valueOf, type MakeQuestion } from '../question'

const COUNTS = [3, 4, 5, 6] as const
const PATCHES = 12

export const countQuestion: MakeQuestion = (random, { difference }) => {
  const right = Math.floor(random() * COUNTS.length),
    count = COUNTS[right],
    span = (count - 1) * difference,
    darkest = between(random, 15, Math.max(16, 90 - span)),
    greys = Array.from({ length: count }, (_, k) => greyAt(darkest + k * difference)),
    all = shuffled(
      random,
      Array.from({ length: PATCHES }, (_, i) => greys[i % count])
    ),
    values = greys.map(valueOf)
  return {
    ask: 'How many values are there?',
    ground: greyAt(darkest + span / 2),
    patches: all.map((hex, i) => ({
      x: 0.2 + (i % 4) * 0.15,
      y: 0.14 + Math.floor(i / 4) * 0.24,
      w: 0.15,
      h: 0.24,
      hex,
      within: null,
      choice: null
    })),
    words: COUNTS.map(String),
    right: [right],
    difference: Math.max(0.1, Math.min(...values.slice(1).map((v, k) => v - values[k]))),
    flash: null
  }
}
