/** *Mud*: which two paints of a palette lose their colour in one another, and why. */
import { chromaOf, convertLinearToOklab } from '../../colour/oklab'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import { round3 } from '../../numeric/round'
import { angleDistance } from '../../numeric/angle'
import { positionOn } from '../../wheel/wheel'
import type { WheelName } from '../../wheel/steps'
import { mixedColour, type Paint } from '../mixing'
import type { OwnBox } from '../own'

export interface MudPair {
  /** Places among the box's own paints. */
  readonly pair: readonly [number, number]
  /** Their mixture where neither has the upper hand. */
  readonly hex: string
  /** OKLCH chroma of the mixture, and what half-way between both would be. */
  readonly chroma: number
  readonly between: number
  /** Degrees apart on the wheel. */
  readonly apart: number
  readonly words: string
}

/** A paint with less is muted already: it cannot go to mud. A mixture with less, and so little of what it might be. */
const COLOURED = 0.07,
  MUDDY = 0.05,
  KEPT = 0.45
const PROPORTIONS = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4, 8, 16]

/** @returns those that do, the worst first. */
export function mudOf({ box, own }: OwnBox, wheel: WheelName): MudPair[] {
  const labs = own.map(p => convertLinearToOklab(linearOfHex(p.masstone))),
    found: MudPair[] = []
  for (let i = 0; i < own.length; i++)
    for (let j = i + 1; j < own.length; j++) {
      const [p, q] = [chromaOf(labs[i]), chromaOf(labs[j])]
      if (Math.min(p, q) < COLOURED) continue
      const { colour, chroma } = evenly([box.paints[i], box.paints[j]], [labs[i], labs[j]]),
        between = (p + q) / 2
      if (chroma > MUDDY || chroma > KEPT * between) continue
      const positions = [i, j].map(k => positionOn(wheel, linearOfHex(own[k].masstone))),
        apart = angleDistance(positions[0] ?? 0, positions[1] ?? 0)
      found.push({
        pair: [i, j],
        hex: hexOfLinear(colour),
        chroma: round3(chroma),
        between: round3(between),
        apart: Math.round(apart),
        words: why(apart)
      })
    }
  return found.sort((p, q) => q.between - q.chroma - (p.between - p.chroma))
}

/** The proportion at which the mixture is as far from one as from the other: no paint is stronger there. */
function evenly([p, q]: readonly [Paint, Paint], labs: readonly (readonly number[])[]) {
  let best = { colour: mixedColour([{ paint: p, amount: 1 }]), chroma: 0, off: Infinity }
  for (const amount of PROPORTIONS) {
    const colour = mixedColour([
        { paint: p, amount },
        { paint: q, amount: 1 }
      ]),
      lab = convertLinearToOklab(colour),
      [a, b] = labs.map(of => Math.hypot(...lab.map((v, c) => v - of[c]))),
      off = Math.abs(a - b)
    if (off < best.off) best = { colour, chroma: chromaOf(lab), off }
  }
  return best
}

/** Degrees of the wheel from which two lie opposite, and from which they hold something of all three primaries. */
const OPPOSITE = 150,
  FAR = 90
const why = (apart: number): string =>
  apart >= OPPOSITE
    ? 'They lie opposite on the wheel: each takes out what the other sends back. Good for a grey, not for a colour.'
    : apart >= FAR
      ? 'They lie far apart on the wheel, so that between them all three primaries are in the mixture.'
      : 'Each absorbs what the other sends back: keep one of them to a touch.'
