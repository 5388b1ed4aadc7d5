/**
 * Which paints make a wanted colour: at most three of those there are and white, in whole parts. Every choice of
 * paints is tried coarsely, every other wavelength; the most promising are gone over part by part.
 */
import { differenceOf } from '../colour/difference'
import { convertLinearToLab, type Lab } from '../colour/lab'
import { convertLinearToOklab, type Oklab } from '../colour/oklab'
import type { Rgb } from '../colour/srgb'
import { mixedColour, seenOf, type Paint } from './mixing'
import { LINEAR_BY_WAVELENGTH } from './spectrum'

export interface Recipe {
  /** Places among the paints that were given; -1 is white. Parts are whole, and have nothing in common. */
  readonly parts: readonly { readonly paint: number; readonly amount: number }[]
  /** Linear. */
  readonly colour: Rgb
  /** Distance left to the wanted colour, ΔE00. */
  readonly off: number
}

/** One person's paints, one at least, and their white. */
export interface PaintBox {
  readonly paints: readonly Paint[]
  readonly white: Paint
}

export const WHITE_PAINT = -1
/** What a paint more has to bring nearer, and a part more, ΔE00: few parts are counted out, and remembered. */
const SIMPLER = 0.3,
  EACH_PART = 0.04
/** Parts of one paint, of white, and of all together, at most: more nobody counts out. */
const MOST_OF_ONE = 9,
  MOST_WHITE = 18,
  MOST_PARTS = 24
/** Proportions tried of one, two, three paints, and how much white for each part of them. */
const COARSE: readonly (readonly (readonly number[])[])[] = [
  [[1]],
  [1, 2, 4, 8].flatMap(n =>
    n === 1
      ? [[1, 1]]
      : [
          [1, n],
          [n, 1]
        ]
  ),
  [
    [1, 1, 1],
    ...[2, 5].flatMap(n => [
      [n, 1, 1],
      [1, n, 1],
      [1, 1, n],
      [n, n, 1],
      [n, 1, n],
      [1, n, n]
    ]),
    ...[
      [5, 2, 1],
      [5, 1, 2],
      [1, 5, 2],
      [2, 5, 1],
      [1, 2, 5],
      [2, 1, 5]
    ]
  ]
]
const WHITES = [0, 0.3, 1, 3, 9] as const
/** Choices of paints that are gone over part by part. */
const PROMISING = 36

/** Every other wavelength, twice as heavy. */
const EVERY = 2

interface Coarse {
  readonly absorbs: Float64Array
  readonly scatters: Float64Array
}
const coarseOf = (paint: Paint): Coarse => {
  const kept = (of: readonly number[]): Float64Array => Float64Array.from(of.filter((_, i) => i % EVERY === 0))
  return { absorbs: kept(paint.absorbs), scatters: kept(paint.scatters) }
}
const SEEN = LINEAR_BY_WAVELENGTH.filter((_, i) => i % EVERY === 0),
  /** So that what reflects everything is white with half of the wavelengths too. */
  WHOLE = [0, 1, 2].map(c => SEEN.reduce((sum, of) => sum + of[c], 0)),
  LIGHT = /* @__PURE__ */ SEEN.map(of => of.map((v, c) => v / WHOLE[c]))

/** Chosen paints in a proportion, mixed: what white is added to. */
function stirred(chosen: readonly Coarse[], proportions: readonly number[], into: Coarse): void {
  const { absorbs, scatters } = into
  absorbs.fill(0)
  scatters.fill(0)
  for (let p = 0; p < chosen.length; p++) {
    const amount = proportions[p],
      { absorbs: a, scatters: s } = chosen[p]
    for (let i = 0; i < absorbs.length; i++) {
      absorbs[i] += amount * a[i]
      scatters[i] += amount * s[i]
    }
  }
}

/** How far a coarse mixture's colour is from the wanted one, OKLab, squared. @param share parts of white to it. */
function coarselyOff(paint: Coarse, { white, share }: { white: Coarse; share: number }, wanted: Oklab): number {
  let r = 0,
    g = 0,
    b = 0
  for (let i = 0; i < LIGHT.length; i++) {
    const reflected = seenOf(
        (paint.absorbs[i] + share * white.absorbs[i]) / (paint.scatters[i] + share * white.scatters[i])
      ),
      light = LIGHT[i]
    r += reflected * light[0]
    g += reflected * light[1]
    b += reflected * light[2]
  }
  const [L, A, B] = convertLinearToOklab([Math.max(0, r), Math.max(0, g), Math.max(0, b)])
  return (L - wanted[0]) ** 2 + (A - wanted[1]) ** 2 + (B - wanted[2]) ** 2
}

/**
 * @property count recipes that are wanted. @property holding a paint that each of them holds, its place.
 * @property most paints of one recipe beside white, 1–3.
 */
export interface Wish {
  readonly count?: number
  readonly holding?: number | null
  readonly most?: number
}

/** Choices of so many at most, one at least; those alone that hold one of them, where it is asked for. */
function* choices(count: number, { holding = null, most = 3 }: Wish): Generator<number[]> {
  const held = (chosen: number[]): boolean => holding === null || chosen.includes(holding)
  for (let i = 0; i < count; i++) {
    if (held([i])) yield [i]
    if (most < 2) continue
    for (let j = i + 1; j < count; j++) {
      if (held([i, j])) yield [i, j]
      if (most < 3) continue
      for (let k = j + 1; k < count; k++) if (held([i, j, k])) yield [i, j, k]
    }
  }
}

interface Start {
  readonly paints: readonly number[]
  readonly amounts: readonly number[]
  readonly off: number
}

function promising({ paints, white }: PaintBox, wanted: Oklab, wish: Wish): Start[] {
  const coarse = paints.map(coarseOf),
    clear = coarseOf(white)
  const best: Start[] = [],
    mixture: Coarse = { absorbs: new Float64Array(LIGHT.length), scatters: new Float64Array(LIGHT.length) }
  for (const chosen of choices(paints.length, wish)) {
    const of = chosen.map(p => coarse[p])
    let off = Infinity,
      amounts: readonly number[] = []
    for (const proportions of COARSE[chosen.length - 1]) {
      const sum = proportions.reduce((s, v) => s + v, 0)
      stirred(of, proportions, mixture)
      for (const share of WHITES) {
        const found = coarselyOff(mixture, { white: clear, share: share * sum }, wanted)
        if (found < off) [off, amounts] = [found, [...proportions, share * sum]]
      }
    }
    if (best.length < PROMISING || off < best.at(-1)!.off) {
      best.push({ paints: chosen, amounts, off })
      best.sort((p, q) => p.off - q.off)
      if (best.length > PROMISING) best.pop()
    }
  }
  return best
}

const partsIn = (amounts: readonly number[]): number => amounts.reduce((s, v) => s + v, 0)
/** White comes last. */
const mostOf = (place: number, count: number): number => (place < count - 1 ? MOST_OF_ONE : MOST_WHITE)
const divisor = (a: number, b: number): number => (b ? divisor(b, a % b) : a)

/** From a coarse proportion on, one part more or less as long as it comes nearer. */
function goneOver(start: Start, paints: readonly Paint[], { white, wanted }: { white: Paint; wanted: Lab }): Recipe {
  const of = [...start.paints.map(p => paints[p]), white]
  const tried = new Map<string, { colour: Rgb; off: number }>()
  const at = (amounts: readonly number[]): { colour: Rgb; off: number } => {
    const key = amounts.join()
    let found = tried.get(key)
    if (!found) {
      const colour = mixedColour(of.map((paint, i) => ({ paint, amount: amounts[i] })))
      found = { colour, off: differenceOf(wanted, convertLinearToLab(colour)) }
      tried.set(key, found)
    }
    return found
  }
  const sum = start.amounts.reduce((s, v) => s + v, 0)
  let best: number[] = [],
    cost = Infinity
  // Coarse proportions in few parts and in more: from each its own way.
  for (const total of [4, 8, MOST_PARTS]) {
    let here = start.amounts.map((v, i) =>
      Math.min(mostOf(i, of.length), Math.max(i < of.length - 1 ? 1 : 0, Math.round((v * total) / sum)))
    )
    let own = at(here).off
    for (let moved = true; moved;) {
      moved = false
      for (const next of neighbours(here)) {
        const found = at(next).off
        if (found + EACH_PART * partsIn(next) < own + EACH_PART * partsIn(here) - 1e-9) {
          here = next
          own = found
          moved = true
        }
      }
    }
    const dear = own + EACH_PART * partsIn(here)
    if (dear < cost) [best, cost] = [here, dear]
  }
  const common = best.reduce(divisor, 0)
  return {
    parts: best.flatMap((amount, i) =>
      amount ? [{ paint: i < start.paints.length ? start.paints[i] : WHITE_PAINT, amount: amount / common }] : []
    ),
    ...at(best)
  }
}

/** One part more or less of one, or of two at once. */
function neighbours(amounts: readonly number[]): number[][] {
  const found: number[][] = []
  const fits = (next: readonly number[]): boolean =>
    next.every((v, i) => v >= (i < next.length - 1 ? 1 : 0) && v <= mostOf(i, next.length))
    && next.reduce((s, v) => s + v, 0) <= MOST_PARTS
  for (let i = 0; i < amounts.length; i++)
    for (const by of [-1, 1]) {
      const one = amounts.map((v, k) => (k === i ? v + by : v))
      if (fits(one)) found.push(one)
      for (let j = i + 1; j < amounts.length; j++)
        for (const also of [-1, 1]) {
          const two = one.map((v, k) => (k === j ? v + also : v))
          if (fits(two)) found.push(two)
        }
    }
  return found
}

/**
 * @param wanted linear. @returns the best first, no two of the same paints; of
 * two that come as near, the simpler one first.
 */
export function recipesFor(wanted: Rgb, box: PaintBox, wish: Wish = {}): Recipe[] {
  const lab = convertLinearToLab(wanted)
  return promising(box, convertLinearToOklab(wanted), wish)
    .map(start => goneOver(start, box.paints, { white: box.white, wanted: lab }))
    .sort((p, q) => p.off + SIMPLER * p.parts.length - (q.off + SIMPLER * q.parts.length))
    .slice(0, wish.count ?? 3)
}
