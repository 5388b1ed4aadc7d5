/** Bringing a colour into the sRGB gamut without moving its hue or lightness. */
import type { Oklab } from './oklab'
import { convertOklabToLinear } from './oklab'
import type { Rgb } from './srgb'

/** Half an 8-bit step at the dark end: what rounding to bytes absorbs anyway. */
const TOLERANCE = 1.5e-4

/** Whether linear sRGB lies in the gamut, to within half an 8-bit step. */
export function inGamut([r, g, b]: Rgb): boolean {
  const low = -TOLERANCE,
    high = 1 + TOLERANCE
  return r >= low && g >= low && b >= low && r <= high && g <= high && b <= high
}

/**
 * Reduces chroma, at constant OKLab lightness and hue, until the colour is in the sRGB gamut;
 * channels are never clipped one by one, because that turns the hue.
 * @param lab lightness is limited to 0–1. @returns linear sRGB in the gamut.
 */
export function fitToGamut(lab: Oklab): Rgb {
  const L = Math.min(1, Math.max(0, lab[0]))
  const full = convertOklabToLinear([L, lab[1], lab[2]])
  if (inGamut(full)) return clip(full)
  let low = 0,
    high = 1
  for (let i = 0; i < 26; i++) {
    const mid = (low + high) / 2
    if (inGamut(convertOklabToLinear([L, lab[1] * mid, lab[2] * mid]))) low = mid
    else high = mid
  }
  return clip(convertOklabToLinear([L, lab[1] * low, lab[2] * low]))
}

/** Removes only the rounding left by `inGamut`'s tolerance. */
function clip(linear: Rgb): Rgb {
  return linear.map(c => Math.min(1, Math.max(0, c))) as unknown as Rgb
}
