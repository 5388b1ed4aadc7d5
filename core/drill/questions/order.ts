/** Five put in order by value, with hue in the way. */
import { between } from '../../numeric/random'
import { colourOf, NEUTRAL_GROUND, shuffled, valueOf, type MakeQuestion } from '../question'

export const ORDERED = 5

export const orderQuestion: MakeQuestion = (random, { difference }) => {
  const span = (ORDERED - 1) * difference,
    darkest = between(random, 22, Math.max(23, 88 - span)),
    turn = between(random, 0, 360),
    hexes = shuffled(
      random,
      Array.from({ length: ORDERED }, (_, k) => k)
    ).map((k, i) => ({ k, hex: colourOf(darkest + k * difference, 0.075, turn + 72 * i + between(random, -20, 20)) })),
    values = hexes.map(({ hex }) => valueOf(hex)),
    order = [...values.keys()].sort((p, q) => values[q] - values[p]),
    steps = order.slice(1).map((i, k) => values[order[k]] - values[i])
  return {
    ask: 'Choose them from the lightest to the darkest.',
    ground: NEUTRAL_GROUND,
    patches: hexes.map(({ hex }, i) => ({
      x: 0.08 + i * 0.172,
      y: 0.32,
      w: 0.15,
      h: 0.36,
      hex,
      within: null,
      choice: i
    })),
    words: null,
    right: order,
    // The narrowest step is what it fails at.
    difference: Math.max(0.1, Math.min(...steps)),
    flash: null
  }
}
