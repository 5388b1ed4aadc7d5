/**
 * The cyan–magenta–yellow wheel, which also serves light: positions are HSV hue turned so that
 * yellow is at the top. HSV: Alvy Ray Smith, "Color Gamut Transform Pairs", SIGGRAPH 1978.
 */
import { wrapDegrees } from '../numeric/angle'
import { chromaOf, convertLinearToOklab, type Oklab } from '../colour/oklab'
import { convertLinearToSrgb, convertSrgbToLinear, type Rgb } from '../colour/srgb'

/** HSV hue in degrees of encoded or byte components; 0 for an exact grey, which has none. */
export function hsvHueOf(r: number, g: number, b: number): number {
  const max = Math.max(r, g, b),
    spread = max - Math.min(r, g, b)
  if (spread === 0) return 0
  if (max === r) return wrapDegrees((60 * (g - b)) / spread)
  if (max === g) return 60 * (2 + (b - r) / spread)
  return 60 * (4 + (r - g) / spread)
}

/** Encoded components of an HSV colour, saturation and value 0–1. */
export function convertHsvToSrgb(hueDeg: number, s: number, v: number): Rgb {
  const channel = (n: number): number => {
    const k = (n + hueDeg / 60) % 6
    return v - v * s * Math.max(0, Math.min(k, 4 - k, 1))
  }
  return [channel(5), channel(3), channel(1)]
}

export const processPositionOfLinear = (linear: Rgb): number => {
  const [r, g, b] = linear.map(convertLinearToSrgb)
  return wrapDegrees(60 - hsvHueOf(r, g, b))
}

/** Position → HSV hue; the same turn serves both ways. */
export const processHueOfPosition = (positionDeg: number): number => wrapDegrees(60 - positionDeg)

const linearOfHsv = (hueDeg: number, s: number, v: number): Rgb =>
  convertHsvToSrgb(hueDeg, s, v).map(convertSrgbToLinear) as unknown as Rgb

/** The full-strength colour at a position. */
export const processAnchorAt = (positionDeg: number): Oklab =>
  convertLinearToOklab(linearOfHsv(processHueOfPosition(positionDeg), 1, 1))

/**
 * The in-gamut colour of one HSV hue with a wanted OKLab lightness, and the wanted chroma or the
 * most that the gamut has at that lightness. Lightness rises with HSV value and chroma with
 * saturation, so two nested bisections reach it.
 */
export function processColourAt(positionDeg: number, lightness: number, chroma: number): Rgb {
  const hue = processHueOfPosition(positionDeg)
  const atSaturation = (s: number): Rgb | null => {
    if (convertLinearToOklab(linearOfHsv(hue, s, 1))[0] < lightness) return null // not that light in gamut
    let low = 0,
      high = 1
    for (let i = 0; i < 40; i++) {
      const v = (low + high) / 2
      if (convertLinearToOklab(linearOfHsv(hue, s, v))[0] < lightness) low = v
      else high = v
    }
    return linearOfHsv(hue, s, (low + high) / 2)
  }
  let low = 0,
    high = 1
  for (let i = 0; i < 40; i++) {
    const s = (low + high) / 2
    const colour = atSaturation(s)
    if (colour && chromaOf(convertLinearToOklab(colour)) <= chroma) low = s
    else high = s
  }
  return atSaturation(low) ?? linearOfHsv(hue, 0, 1)
}
