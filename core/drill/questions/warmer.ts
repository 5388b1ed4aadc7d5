/** Which of two is warmer, alone and against a surround that pulls the other way. */
import { between } from '../../numeric/random'
import { angleDistance, hueOf } from '../../numeric/angle'
import { colourOf, NEUTRAL_GROUND, oklabOfHex, pairOf, type MakeQuestion } from '../question'

export const WARMER_SETTINGS = ['alone', 'against a surround'] as const
/** OKLCH hue of the warm pole. */
const WARM = 45
const COOL_AROUND = 225

const hueOfHex = (hex: string): number => {
  const [, a, b] = oklabOfHex(hex)
  return hueOf(a, b)
}

export const warmerQuestion: MakeQuestion = (random, { difference, setting }) => {
  const side = random() < 0.5 ? 1 : -1,
    cooler = between(random, Math.max(45, difference), 150),
    value = between(random, 42, 70),
    hexes = [cooler - difference, cooler].map(away => colourOf(value, 0.085, WARM + side * away)),
    pulled = setting === 'alone' ? [null, null] : [colourOf(value, 0.12, WARM), colourOf(value, 0.12, COOL_AROUND)],
    first = random() < 0.5,
    pick = <T>([warm, cool]: readonly T[]): [T, T] => (first ? [warm, cool] : [cool, warm])
  return {
    ask: 'Which of the two is warmer?',
    ground: NEUTRAL_GROUND,
    patches: pairOf(pick(hexes), pick(pulled)).map(patch => ({ ...patch, y: 0.3, h: 0.4 })),
    words: null,
    right: [first ? 0 : 1],
    difference: angleDistance(hueOfHex(hexes[0]), hueOfHex(hexes[1])),
    flash: null
  }
}
