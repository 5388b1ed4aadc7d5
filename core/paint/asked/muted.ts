/** *Muted on purpose*: a hue taken to grey through its opposite in even steps, its value standing still. */
import { atValue } from '../../colour/hold'
import { chromaOf, convertLinearToOklab, convertOklabToLinear } from '../../colour/oklab'
import { valueOfLinear } from '../../colour/lab'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import type { OwnBox } from '../own'
import { recipesFor, WHITE_PAINT } from '../recipes'
import { toldRecipes, type ToldRecipe } from '../told'

export const MUTED_STEPS = 5
/** A dark paint shows its hue in a tint alone: the value that is held, at least. */
const HELD_FROM = 35

export interface Muted {
  /** L* that every step keeps. */
  readonly value: number
  /** From the hue to its grey. */
  readonly steps: readonly (ToldRecipe & { readonly wanted: string; readonly chroma: number })[]
}

/** Ways to its grey that are gone, and what a paint more has to bring nearer in the mean of the steps, ΔE00. */
const WAYS = 8,
  SIMPLER = 0.6

/**
 * One way for all steps: the paints that take it to grey are those that mute it. @param place of the paint among the
 * box's own.
 */
export function mutedOf(place: number, own: OwnBox): Muted {
  const paint = convertLinearToOklab(linearOfHex(own.own[place].masstone)),
    alone = only(own, [place])
  // What the paint itself gives at that value is the first step: no stronger one is asked for than there is.
  const aim = atValue(paint, Math.max(HELD_FROM, valueOfLinear(convertOklabToLinear(paint)))),
    start = toldRecipes(aim, alone.own, { count: 1 })[0],
    first = convertLinearToOklab(linearOfHex(start.hex)),
    value = valueOfLinear(linearOfHex(start.hex))
  const wanted = Array.from({ length: MUTED_STEPS }, (_, k) => {
    const left = 1 - k / (MUTED_STEPS - 1)
    return atValue([first[0], first[1] * left, first[2] * left], value)
  })
  const ways = recipesFor(wanted[MUTED_STEPS - 1], own.box, { count: WAYS, holding: place }).map(({ parts }) => {
    const chosen = parts.map(p => p.paint).filter(p => p !== WHITE_PAINT),
      way = only(own, chosen),
      steps = wanted.map((of, k) =>
        k ? toldRecipes(of, way.own, { count: 1, holding: way.placeOf(place) })[0] : start
      )
    return { steps, cost: steps.reduce((sum, s) => sum + s.deltaE, 0) / MUTED_STEPS + SIMPLER * chosen.length }
  })
  const best = ways.sort((p, q) => p.cost - q.cost)[0]
  return {
    value,
    steps: best.steps.map((step, k) => ({
      ...step,
      wanted: k ? hexOfLinear(wanted[k]) : start.hex,
      chroma: chromaOf(convertLinearToOklab(linearOfHex(step.hex)))
    }))
  }
}

/** A box of some of its paints. */
function only({ box, own, white }: OwnBox, places: readonly number[]) {
  return {
    own: {
      box: { paints: places.map(p => box.paints[p]), white: box.white },
      own: places.map(p => own[p]),
      white
    },
    placeOf: (place: number): number => places.indexOf(place)
  }
}
