/** Which of two lies opposite on the wheel in use. */
import { between } from '../../numeric/random'
import { angleDistance, wrapDegrees } from '../../numeric/angle'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import { colourAt, positionOn } from '../../wheel/wheel'
import { NEUTRAL_GROUND, pairOf, type MakeQuestion } from '../question'

export const oppositeQuestion: MakeQuestion = (random, { difference, wheel }) => {
  const position = between(random, 0, 360),
    lightness = between(random, 0.5, 0.74),
    at = (positionDeg: number): string =>
      hexOfLinear(colourAt(wheel, { positionDeg: wrapDegrees(positionDeg), lightness, chroma: 0.1 })),
    opposite = position + 180,
    other = opposite + (random() < 0.5 ? difference : -difference),
    pair = [at(opposite), at(other)] as const,
    first = random() < 0.5,
    [right, wrong] = pair.map(hex => positionOn(wheel, linearOfHex(hex)) ?? 0)
  return {
    ask: 'Which lies opposite this colour on the wheel?',
    ground: NEUTRAL_GROUND,
    patches: [
      { x: 0.4, y: 0.12, w: 0.2, h: 0.28, hex: at(position), within: null, choice: null },
      ...pairOf(first ? [pair[0], pair[1]] : [pair[1], pair[0]])
    ],
    words: null,
    right: [first ? 0 : 1],
    difference: Math.max(0.5, angleDistance(wrong, opposite) - angleDistance(right, opposite)),
    flash: null
  }
}
