/** *The wheel from my paints*: how near to each of twelve steps two paints and white come. */
import { angleDistance } from '../../numeric/angle'
import { chromaOf, convertLinearToOklab, convertOklabToLinear } from '../../colour/oklab'
import { hexOfLinear, linearOfHex, type Rgb } from '../../colour/srgb'
import { PAINTER_STEPS, PROCESS_STEPS, type StepName, type WheelName } from '../../wheel/steps'
import { anchorAt, positionOn } from '../../wheel/wheel'
import { mixedColour } from '../mixing'
import type { OwnBox } from '../own'

export interface ReachedStep {
  readonly step: StepName
  /** Of the wheel itself. */
  readonly anchor: string
  /** The strongest of this step that these paints give; null where none of them comes near its hue. */
  readonly hex: string | null
  readonly parts: readonly { readonly name: string; readonly parts: number }[]
  /** Of the wheel's own chroma, 0–1 and over. */
  readonly share: number
  readonly reached: boolean
}

/** Degrees within which a mixture is of a step; of its chroma, what has to be there. */
const NEAR = 8,
  ENOUGH = 0.6
const PROPORTIONS = [
  [1, 9],
  [1, 6],
  [1, 4],
  [1, 3],
  [1, 2],
  [2, 3],
  [1, 1],
  [3, 2],
  [2, 1],
  [3, 1],
  [4, 1],
  [6, 1],
  [9, 1]
] as const

interface Candidate {
  readonly colour: Rgb
  readonly chroma: number
  readonly position: number
  readonly parts: readonly { readonly name: string; readonly parts: number }[]
}

export function wheelOfPaints({ box, own }: OwnBox, wheel: WheelName): ReachedStep[] {
  const all: Candidate[] = []
  const add = (colour: Rgb, parts: Candidate['parts']): void => {
    const position = positionOn(wheel, colour)
    if (position !== null) all.push({ colour, position, parts, chroma: chromaOf(convertLinearToOklab(colour)) })
  }
  own.forEach((paint, i) => {
    add(linearOfHex(paint.masstone), [{ name: paint.name, parts: 1 }])
    for (let j = i + 1; j < own.length; j++)
      for (const [p, q] of PROPORTIONS)
        add(
          mixedColour([
            { paint: box.paints[i], amount: p },
            { paint: box.paints[j], amount: q }
          ]),
          [
            { name: paint.name, parts: p },
            { name: own[j].name, parts: q }
          ]
        )
  })
  const steps = wheel === 'process' ? PROCESS_STEPS : PAINTER_STEPS
  return steps.map((step, k) => {
    const anchor = anchorAt(wheel, 30 * k),
      near = all.filter(c => angleDistance(c.position, 30 * k) <= NEAR).sort((p, q) => q.chroma - p.chroma)[0],
      share = near ? near.chroma / chromaOf(anchor) : 0
    return {
      step,
      anchor: hexOfLinear(convertOklabToLinear(anchor)),
      hex: near ? hexOfLinear(near.colour) : null,
      parts: near?.parts ?? [],
      share,
      reached: share >= ENOUGH
    }
  })
}
