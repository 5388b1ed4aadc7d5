/** What comes of paints mixed in parts, and the steps between two of them. */
import { hexOfLinear, linearOfHex } from '../colour/srgb'
import { mixedColour, whitePaint, type Part } from './mixing'
import { isWhite, paintBy, USUAL_WHITE, type OwnPaint } from './own'

export interface OwnPart {
  readonly paint: Pick<OwnPaint, 'masstone' | 'tint'>
  /** 0 or more, of any unit. */
  readonly amount: number
}

/** Up to so many in one mixture: more go to mud, and nobody finds the colour again. */
export const MOST_IN_MIXTURE = 4

function partsOf(parts: readonly OwnPart[], white: string): Part[] {
  const by = whitePaint(linearOfHex(white))
  return parts.map(({ paint, amount }) => ({
    paint: isWhite(paint) ? whitePaint(linearOfHex(paint.masstone)) : paintBy(paint, by),
    amount
  }))
}

/** @param white hex of the white that tints were made with. @returns hex; null where nothing is in it. */
export function mixtureOf(parts: readonly OwnPart[], white: string = USUAL_WHITE.masstone): string | null {
  const some = parts.filter(p => p.amount > 0)
  return some.length ? hexOfLinear(mixedColour(partsOf(some, white))) : null
}

/** One step of a strip. @property parts of the first and the second. */
export interface Step {
  readonly parts: readonly [number, number]
  readonly hex: string
}

/**
 * From the first to the rest in so many steps, parts of the brush: 8 : 0, 7 : 1 … 0 : 8.
 * @param rest one or more, in their own proportion to one another.
 */
export function stepsBetween(
  [first, ...rest]: readonly OwnPart[],
  count: number,
  white: string = USUAL_WHITE.masstone
): Step[] {
  const [own, ...others] = partsOf([first, ...rest], white),
    all = others.reduce((sum, p) => sum + p.amount, 0)
  return Array.from({ length: count }, (_, k) => {
    const parts = [count - 1 - k, k] as const
    return {
      parts,
      hex: hexOfLinear(
        mixedColour([{ ...own, amount: parts[0] }, ...others.map(p => ({ ...p, amount: (parts[1] * p.amount) / all }))])
      )
    }
  })
}
