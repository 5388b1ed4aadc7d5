/** Which scheme five colours are of, the greyer the harder. */
import { between } from '../../numeric/random'
import { differenceOf } from '../../colour/difference'
import { convertLinearToLab } from '../../colour/lab'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import { wrapDegrees } from '../../numeric/angle'
import { colourAt } from '../../wheel/wheel'
import { greyAt, NEUTRAL_GROUND, reaching, valueOf, type MakeQuestion } from '../question'

const NAMED = [
  { words: 'neighbours', at: [-40, -20, 0, 20, 40] },
  { words: 'two opposites', at: [0, 6, -6, 180, 186] },
  { words: 'an opposite, split', at: [0, 8, 150, 210, 205] },
  { words: 'three evenly around', at: [0, 8, 120, 240, 246] }
] as const

const fromGrey = (hex: string): number =>
  differenceOf(convertLinearToLab(linearOfHex(hex)), convertLinearToLab(linearOfHex(greyAt(valueOf(hex)))))

export const schemeQuestion: MakeQuestion = (random, { difference, wheel }) => {
  const right = Math.floor(random() * NAMED.length),
    turn = between(random, 0, 360)
  const hexes = NAMED[right].at.map(by => {
    const lightness = between(random, 0.5, 0.78),
      positionDeg = wrapDegrees(turn + by + between(random, -5, 5)),
      of = (chroma: number): string => hexOfLinear(colourAt(wheel, { positionDeg, lightness, chroma }))
    return of(reaching(chroma => fromGrey(of(chroma)), difference, [0, 0.2]))
  })
  return {
    ask: 'Which scheme are these of?',
    ground: NEUTRAL_GROUND,
    patches: hexes.map((hex, i) => ({ x: 0.1 + i * 0.16, y: 0.25, w: 0.16, h: 0.5, hex, within: null, choice: null })),
    words: NAMED.map(n => n.words),
    right: [right],
    difference: hexes.reduce((sum, hex) => sum + fromGrey(hex), 0) / hexes.length,
    flash: null
  }
}
