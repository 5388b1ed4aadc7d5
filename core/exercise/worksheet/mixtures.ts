/**
 * The colours that boxes ask for: full strengths of a wheel, mixed in linear light as paint is let down, at values in
 * even steps.
 */
import { convertValueToLuminance, luminanceOf, valueOfLinear } from '../../colour/lab'
import { chromaOf, convertOklabToLinear } from '../../colour/oklab'
import { fitToGamut } from '../../colour/gamut'
import { hexOfLinear, type Rgb } from '../../colour/srgb'
import { anchorAt, colourAt } from '../../wheel/wheel'
import type { WheelName } from '../../wheel/steps'

const WHITE: Rgb = [1, 1, 1],
  BLACK: Rgb = [0.008, 0.008, 0.008],
  MIDDLE = 0.184
const GREY: Rgb = [MIDDLE, MIDDLE, MIDDLE]

/** The full strength of a position, linear. */
export const strongAt = (wheel: WheelName, position: number): Rgb => fitToGamut(anchorAt(wheel, position))

const mix = (p: Rgb, q: Rgb, share: number): Rgb => p.map((v, i) => v + (q[i] - v) * share) as unknown as Rgb
/** Of a mixture of both that has a luminance: how much of the second. Luminance is linear in the share. */
const shareFor = (p: Rgb, q: Rgb, luminance: number): number =>
  (luminance - luminanceOf(p)) / (luminanceOf(q) - luminanceOf(p))

/**
 * From the full strength toward white or black in even steps of value; the first is the full strength. @param end L*.
 */
interface LetDown {
  readonly toward: Rgb
  readonly end: number
  readonly steps: number
}
function letDown(strong: Rgb, { toward, end, steps }: LetDown): string[] {
  const start = valueOfLinear(strong)
  return Array.from({ length: steps }, (_, i) => {
    const value = start + ((end - start) * i) / (steps - 1)
    return hexOfLinear(mix(strong, toward, shareFor(strong, toward, convertValueToLuminance(value))))
  })
}
const TINT_END = 93,
  SHADE_END = 14
export const tints = (wheel: WheelName, position: number, steps: number): string[] =>
  letDown(strongAt(wheel, position), { toward: WHITE, end: TINT_END, steps })
export const shades = (wheel: WheelName, position: number, steps: number): string[] =>
  letDown(strongAt(wheel, position), { toward: BLACK, end: SHADE_END, steps })
/** Toward a middle grey in even shares. */
export const tones = (wheel: WheelName, position: number, steps: number): string[] => {
  const strong = strongAt(wheel, position)
  return Array.from({ length: steps }, (_, i) => hexOfLinear(mix(strong, GREY, (0.9 * i) / (steps - 1))))
}

/** Even steps of value, dark to light, as greys: L*. */
export const LADDER_ENDS = { dark: 15, light: 95 } as const
export const ladderValues = (steps: number): number[] =>
  Array.from({ length: steps }, (_, i) => LADDER_ENDS.dark + ((LADDER_ENDS.light - LADDER_ENDS.dark) * i) / (steps - 1))
export const greyOf = (value: number): string => {
  const light = convertValueToLuminance(value)
  return hexOfLinear([light, light, light])
}

/** A colour taken to grey and through it to its opposite, at one value. @param steps odd: the middle one is grey. */
export function throughGrey(wheel: WheelName, position: number, steps: number): string[] {
  const opposite = (position + 180) % 360,
    half = (steps - 1) / 2
  const [key, other] = [position, opposite].map(p => anchorAt(wheel, p)),
    lightness = (key[0] + other[0]) / 2
  return Array.from({ length: steps }, (_, i) => {
    const side = i <= half ? key : other,
      strength = (Math.abs(i - half) / half) * 0.8 * chromaOf(side)
    return hexOfLinear(colourAt(wheel, { positionDeg: i <= half ? position : opposite, lightness, chroma: strength }))
  })
}

/** A dark that leans to a hue. */
export const darkOf = (wheel: WheelName, position: number): string =>
  hexOfLinear(colourAt(wheel, { positionDeg: position, lightness: 0.3, chroma: 0.045 }))
export const darkGrey = (): string => hexOfLinear(convertOklabToLinear([0.3, 0, 0]))
