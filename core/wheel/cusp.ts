/** The most chromatic sRGB colour of each OKLCH hue: the perceptual wheel's full-strength colours. */
import { chromaOf, convertLinearToOklab, oklabOf, type Oklab } from '../colour/oklab'
import { hueOf, wrapDegrees } from '../numeric/angle'
import { convertSrgbToLinear, type Rgb } from '../colour/srgb'
import { convertHsvToSrgb } from './process'

interface Edge {
  readonly lightness: number[]
  readonly chroma: number[]
  /** Hue at red. */ readonly start: number
  /** Hue counted from red, rising along the edge. */ readonly rise: number[]
}

/**
 * The gamut's sharpest edge runs through the fully saturated HSV colours, 0.25° apart here. Made when a cusp is first
 * asked for.
 */
let edge: Edge | null = null
function edgeOfGamut(): Edge {
  const labs = Array.from({ length: 1441 }, (_, i) =>
    convertLinearToOklab(convertHsvToSrgb(i / 4, 1, 1).map(convertSrgbToLinear) as unknown as Rgb)
  )
  const hues = labs.map(([, a, b]) => hueOf(a, b)),
    start = hues[0]
  return {
    lightness: labs.map(lab => lab[0]),
    chroma: labs.map(chromaOf),
    start,
    rise: hues.map((hue, i) => (i === 1440 ? 360 : wrapDegrees(hue - start)))
  }
}

/** @param hueDeg OKLCH hue. @returns OKLab, within 1e-4 of the true edge. */
export function cuspOfHue(hueDeg: number): Oklab {
  const { lightness, chroma, start, rise } = (edge ??= edgeOfGamut())
  const wanted = wrapDegrees(hueDeg - start)
  let low = 0,
    high = 1440
  while (high - low > 1) {
    const mid = (low + high) >> 1
    if (rise[mid] <= wanted) low = mid
    else high = mid
  }
  const t = (wanted - rise[low]) / (rise[high] - rise[low] || 1)
  return oklabOf(
    lightness[low] + t * (lightness[high] - lightness[low]),
    chroma[low] + t * (chroma[high] - chroma[low]),
    hueDeg
  )
}
