/** Which of two greys has a colour's value: on grey, on white, inside a strong colour. */
import { between } from '../../numeric/random'
import { colourOf, greyAt, NEUTRAL_GROUND, pairOf, valueOf, type MakeQuestion } from '../question'

export const VALUE_SETTINGS = ['on grey', 'on white', 'inside a colour'] as const

export const valueQuestion: MakeQuestion = (random, { difference, setting }) => {
  const hue = between(random, 0, 360),
    value = between(random, 32, 74),
    up = value + difference > 96 ? false : value - difference < 6 ? true : random() < 0.5
  const hex = colourOf(value, 0.09, hue),
    own = valueOf(hex),
    greys = [greyAt(own), greyAt(own + (up ? difference : -difference))] as const,
    first = random() < 0.5,
    // A colour about it that pulls it the wrong way: a light one where the wrong grey is darker.
    around = { 'on white': '#ffffff', 'inside a colour': colourOf(up ? 38 : 72, 0.14, hue + 180) }[setting] ?? null
  return {
    ask: 'Which grey has the value of this colour?',
    ground: NEUTRAL_GROUND,
    patches: [
      { x: 0.4, y: 0.12, w: 0.2, h: 0.28, hex, within: around, choice: null },
      ...pairOf(first ? [greys[0], greys[1]] : [greys[1], greys[0]])
    ],
    words: null,
    right: [first ? 0 : 1],
    difference: Math.abs(valueOf(greys[1]) - own) - Math.abs(valueOf(greys[0]) - own),
    flash: null
  }
}
