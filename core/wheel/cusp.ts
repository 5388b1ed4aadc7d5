/** The most chromatic sRGB colour of each OKLCH hue: the perceptual wheel's full-strength colours. */
import { chromaOf, convertLinearToOklab, oklabOf, type Oklab } from '../colour/oklab'
import { hueOf, wrapDegrees } from '../numeric/angle'
import { convertSrgbToLinear, type Rgb } from '../colour/srgb'
import { convertHsvToSrgb } from './process'

/** The gamut's sharpest edge runs through the fully saturated HSV colours, 0.25° apart here. */
const EDGE = Array.from({ length: 1441 }, (_, i) => {
  const lab = convertLinearToOklab(convertHsvToSrgb(i / 4, 1, 1).map(convertSrgbToLinear) as unknown as Rgb)
  return { lightness: lab[0], chroma: chromaOf(lab), hue: hueOf(lab[1], lab[2]) }
})

const START = EDGE[0].hue
/** Hue counted from red, rising along the edge. */
const RISE = EDGE.map((e, i) => (i === 1440 ? 360 : wrapDegrees(e.hue - START)))

/** @param hueDeg OKLCH hue. @returns OKLab, within 1e-4 of the true edge. */
export function cuspOfHue(hueDeg: number): Oklab {
  const rise = wrapDegrees(hueDeg - START)
  let low = 0, high = 1440
  while (high - low > 1) {
    const mid = (low + high) >> 1
    if (RISE[mid] <= rise) low = mid
    else high = mid
  }
  const t = (rise - RISE[low]) / (RISE[high] - RISE[low] || 1)
  const from = EDGE[low], to = EDGE[high]
  return oklabOf(from.lightness + t * (to.lightness - from.lightness), from.chroma + t * (to.chroma - from.chroma), hueDeg)
}
