/**
 * Hue, tint, shade, tone or neutral: what a full-strength colour was mixed with.
 *
 * In linear light a mixture is a · anchor + w · white + (1 − a − w) · black. Least squares over the
 * three channels gives the amount of anchor a and of white w; the grey it was mixed with then has
 * luminance w / (1 − a), and its OKLab lightness tells white (tint), black (shade) and between
 * (tone) apart as the eye does.
 */
import type { Rgb } from './srgb'
import { chromaOf, convertLinearToOklab, convertOklabToLinear, NEUTRAL_CHROMA, type Oklab } from './oklab'

export type Kind = 'hue' | 'tint' | 'shade' | 'tone' | 'neutral'

/**
 * Amount of anchor (in linear light) from which a colour still counts as the plain hue: 0.7 of the light of a red is
 * still that red. Our choice.
 */
const HUE_AMOUNT = 0.7
/** Lightness of the admixed grey: black is 0, white 1, mid grey #777777 0.57. Our choice: half way between, about. */
const SHADE_BELOW = 0.4
const TINT_ABOVE = 0.82

/** @param linear the colour. @param anchor the full-strength colour at its wheel position, OKLab. */
export function kindOf(linear: Rgb, anchor: Oklab): Kind {
  if (chromaOf(convertLinearToOklab(linear)) < NEUTRAL_CHROMA) return 'neutral'
  const p = convertOklabToLinear(anchor)
  const pp = dot(p, p),
    pw = p[0] + p[1] + p[2]
  const cp = dot(linear, p),
    cw = linear[0] + linear[1] + linear[2]
  const det = pp * 3 - pw * pw
  const amount = Math.min(1, Math.max(0, (cp * 3 - cw * pw) / det))
  if (amount >= HUE_AMOUNT) return 'hue'
  const white = Math.max(0, (cw - amount * pw) / 3)
  const grey = Math.cbrt(Math.min(1, white / (1 - amount)))
  return grey < SHADE_BELOW ? 'shade' : grey > TINT_ABOVE ? 'tint' : 'tone'
}

const dot = (a: Rgb, b: Rgb): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
