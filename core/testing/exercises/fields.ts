/**
 * Hand-ins painted in flat fields: the painter's anchors, greys of a given L*, mixtures of a given lightness and
 * strength.
 */
import { convertValueToLuminance } from '../../colour/lab'
import { convertOklabToLinear } from '../../colour/oklab'
import type { Rgb } from '../../colour/srgb'
import { createRaster, type Raster } from '../../picture/raster'
import { painterAnchorAt, PAINTER_ANCHORS } from '../../wheel/painter'
import { fill, stripes } from '../paint'
import type { Example } from './check'

export type Stripe = readonly [colour: string | Rgb, width: number]
export const painted = (...all: readonly Stripe[]): Raster =>
  stripes(
    all.map(([c]) => c),
    all.map(([, w]) => w)
  )
export const anchor = (step: number, width: number): Stripe => [PAINTER_ANCHORS[((step % 12) + 12) % 12], width]
/** A grey of a value. */
export const grey = (value: number, width: number): Stripe => {
  const y = convertValueToLuminance(value)
  return [[y, y, y], width]
}
/** The anchor of a step at another lightness and strength: times of its own. */
export const mixed = (
  step: number,
  { light, strong }: { readonly light: number; readonly strong: number },
  width: number
): Stripe => {
  const [, a, b] = painterAnchorAt(30 * step)
  return [convertOklabToLinear([light, a * strong, b * strong]), width]
}
export const ENDS: readonly Stripe[] = [grey(8, 6), grey(96, 6)]

/** Of one colour from dark to light. */
export const tints = (step: number, lights: readonly number[], width = 16): Stripe[] =>
  lights.map(light => mixed(step, { light, strong: 0.45 }, width))
export const greyedSteps = (strengths: readonly number[], width = 14): Stripe[] =>
  strengths.map((strong, i) => mixed(i % 2 ? 2 : 8, { light: 0.45 + 0.06 * (i % 3), strong }, width))
export const darks = (a: number, b: number): Stripe[] => [
  mixed(4, { light: 0.22, strong: 0.25 }, a),
  mixed(9, { light: 0.22, strong: 0.35 }, b)
]

/** Fields in rows of equal height, each row's fields of equal width. */
export function fields(rows: readonly (readonly Stripe[])[], rowHeight = 40): Raster {
  const across = 200
  const raster = createRaster(across, rows.length * rowHeight)
  rows.forEach((row, j) => {
    const total = row.reduce((sum, [, w]) => sum + w, 0)
    let x = 0
    row.forEach(([colour, width], i) => {
      const to = i === row.length - 1 ? across : Math.round(x + (width * across) / total)
      fill(raster, colour, x, j * rowHeight, to - x, rowHeight)
      x = to
    })
  })
  return raster
}
/** The steps of a wheel, each with a share of the room. */
export const wheelOf = (n: number, widthOf: (i: number) => number, strong = 1): Raster =>
  painted(
    ...Array.from({ length: n }, (_, i): Stripe => {
      const step = (12 / n) * i
      return strong === 1
        ? anchor(step, widthOf(i))
        : mixed(step, { light: painterAnchorAt(30 * step)[0], strong }, widthOf(i))
    })
  )
export const wheels = (n: number): Example => ({
  passes: wheelOf(n, () => 20),
  fails: {
    all: wheelOf(n, i => (i === 1 ? 1 : 20)),
    amounts: wheelOf(n, i => (i === 0 ? 80 : 20)),
    strong: wheelOf(n, () => 20, 0.35)
  }
})
/** Three panels side by side of the same three colours in given amounts. */
export const panels = (all: readonly (readonly number[])[], steps: readonly number[] = [0, 4, 8]): Raster =>
  painted(...all.flatMap(amounts => amounts.map((share, i): Stripe => anchor(steps[i], Math.round(100 * share)))))
export const EVEN = [0.34, 0.33, 0.33],
  LED = [0.6, 0.3, 0.1],
  LED_TOO = [0.1, 0.3, 0.6]

/**
 * Five materials in light over their shadows. @param shadow of a material's step: lightness and how its colour turns.
 */
export function lit(shadow: (i: number) => { light: number; turn: readonly [number, number] }): Raster {
  const steps = [0, 2, 4, 8, 10]
  const material = (step: number): readonly [number, number, number] => {
    const [, a, b] = painterAnchorAt(30 * step)
    return [0.75, 0.35 * a, 0.35 * b]
  }
  const lights = steps.map((step): Stripe => [convertOklabToLinear(material(step)), 20])
  const shadows = steps.map((step, i): Stripe => {
    const [l, a, b] = material(step),
      { light, turn } = shadow(i)
    return [convertOklabToLinear([light, (light / l) * a + turn[0], (light / l) * b + turn[1]]), 20]
  })
  return fields([lights, shadows])
}
/** Four crops as fields: each of a dark and a light in its own arrangement. */
export const crop = (dark: number, light: number, x: number): Stripe[] => [grey(dark, x), grey(light, 50 - x)]
export const REFERENCE = painted(grey(15, 40), grey(50, 60), grey(85, 50))
export const sixty: Stripe[] = [anchor(8, 60), anchor(2, 8)]

export const masses = (values: readonly (readonly [value: number, width: number])[]): Raster =>
  painted(...values.map(([v, w]) => grey(v, w)))
/** Even steps from dark to light, with what is added. */
export const ladder = (n: number, bend = 1, ...more: readonly Stripe[]): Raster =>
  painted(...Array.from({ length: n }, (_, i) => grey(12 + 80 * (i / (n - 1)) ** bend, 20)), ...more)
/** Between the steps of a ladder, in a share of it. */
export const smear = (n: number): Stripe[] =>
  Array.from({ length: n - 1 }, (_, i) => grey(12 + (80 * (i + 0.5)) / (n - 1), 8))
export const ladders = (n: number): Example => ({
  passes: ladder(n),
  fails: {
    even: ladder(n, n === 9 ? 1.5 : 2),
    range: masses(Array.from({ length: n }, (_, i) => [40 + (58 * i) / (n - 1), 20] as const)),
    ...(n === 5 ? { masses: ladder(n, 1, ...smear(n)) } : {})
  }
})
