/**
 * CIE XYZ and CIELAB for D65 (CIE 15:2018). Y and L* run 0–100 only where a name says percent or
 * value; XYZ itself is 0–1. The matrix is sRGB's primaries with the D65 white x 0.3127, y 0.3290
 * carried to full precision; it agrees with colorjs.io and culori to 1e-10.
 */
import type { Rgb } from './srgb'

export type Lab = readonly [L: number, a: number, b: number]
export type Xyz = readonly [X: number, Y: number, Z: number]

/** The white point, from x 0.3127 and y 0.3290. */
export const WHITE: Xyz = [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329]

/** The luminance weights of linear sRGB: the second row of the matrix. */
export const LUMINANCE: Rgb = [0.21263900587151027, 0.715168678767756, 0.07219231536073371]

export function convertLinearToXyz([r, g, b]: Rgb): Xyz {
  return [
    0.41239079926595934 * r + 0.357584339383878 * g + 0.1804807884018343 * b,
    LUMINANCE[0] * r + LUMINANCE[1] * g + LUMINANCE[2] * b,
    0.01933081871559182 * r + 0.11919477979462598 * g + 0.9505321522496607 * b
  ]
}

const EPSILON = 216 / 24389
const KAPPA = 24389 / 27

/** The CIELAB compression, with the exact rational constants of CIE 15:2018. */
function compress(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116
}

/** Relative luminance 0–1 → L*, 0–100. */
export function convertLuminanceToValue(Y: number): number {
  return 116 * compress(Y) - 16
}

/** L*, 0–100 → relative luminance 0–1. */
export function convertValueToLuminance(value: number): number {
  const f = (value + 16) / 116
  return value > KAPPA * EPSILON ? f * f * f : value / KAPPA
}

/** Relative luminance of linear sRGB, 0–1. */
export const luminanceOf = ([r, g, b]: Rgb): number => LUMINANCE[0] * r + LUMINANCE[1] * g + LUMINANCE[2] * b

/** Value (L*) of linear sRGB. */
export const valueOfLinear = (linear: Rgb): number => convertLuminanceToValue(luminanceOf(linear))

export function convertLinearToLab(linear: Rgb): Lab {
  const [X, Y, Z] = convertLinearToXyz(linear)
  const fx = compress(X / WHITE[0]),
    fy = compress(Y),
    fz = compress(Z / WHITE[2])
  const L = 116 * fy - 16
  if (linear[0] === linear[1] && linear[1] === linear[2]) return [L, 0, 0]
  return [L, 500 * (fx - fy), 200 * (fy - fz)]
}
