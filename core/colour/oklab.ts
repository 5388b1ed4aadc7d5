/**
 * OKLab and OKLCH. Björn Ottosson, "A perceptual color space for image processing", 2020: the
 * matrices are the published ones for linear sRGB. L 0–1, a and b about ±0.4, C 0–0.33 in sRGB.
 */
import { hueOf } from '../numeric/angle'
import type { Rgb } from './srgb'

export type Oklab = readonly [L: number, a: number, b: number]
export interface Oklch {
  readonly l: number
  readonly c: number
  readonly h: number | null
}

/** OKLCH chroma under which a colour is neutral and has no hue (house definition). */
export const NEUTRAL_CHROMA = 0.03

export function convertLinearToOklab([r, g, b]: Rgb): Oklab {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  const L = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s
  // An exact grey must not get a hue from rounding in the matrices.
  if (r === g && g === b) return [L, 0, 0]
  return [
    L,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
  ]
}

export function convertOklabToLinear([L, a, b]: Oklab): Rgb {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s
  ]
}

/** Chroma of an OKLab colour. */
export const chromaOf = ([, a, b]: Oklab): number => Math.hypot(a, b)

/** OKLab → OKLCH; the hue of a neutral is null, never a number made of noise. */
export function convertOklabToOklch(lab: Oklab): Oklch {
  const c = chromaOf(lab)
  return { l: lab[0], c, h: c < NEUTRAL_CHROMA ? null : hueOf(lab[1], lab[2]) }
}

/** Lightness, chroma and hue (degrees) → OKLab. */
export function oklabOf(l: number, c: number, hueDeg: number): Oklab {
  const rad = (hueDeg * Math.PI) / 180
  return [l, c * Math.cos(rad), c * Math.sin(rad)]
}
