/** The picture as the planes every measure reads: value (L*), OKLab and chroma, one number a pixel. */
import { distributionOf, valueDistribution, type Distribution } from './distribution'
import { fillColour } from './fill-colour'
import { MEASURED_ALPHA, wordsOf, type Raster } from './raster'

export interface Planes {
  readonly width: number
  readonly height: number
  /** Pixels measured: those of half alpha and more. */
  readonly count: number
  /** The raster's bytes: r, g, b, alpha. */
  readonly pixels: Uint8ClampedArray
  /** 1 where a pixel is measured, 0 where it belongs to nobody. */
  readonly mask: Uint8Array
  /** L*, 0–100. */
  readonly value: Float32Array
  /** OKLab lightness 0–1, and its two colour axes. */
  readonly lightness: Float32Array
  readonly a: Float32Array
  readonly b: Float32Array
  /** OKLCH chroma. */
  readonly chroma: Float32Array
  /** Distribution of value over the measured pixels: half the measures read it. */
  readonly values: Distribution
  /** Distribution of chroma, likewise, in steps of 0.0001. */
  readonly chromas: Distribution
}

/** No sRGB colour has more OKLCH chroma. */
const CHROMA_LIMIT = 0.4

/** All planes of a raster. */
export function planesOf(raster: Raster): Planes {
  const { width, height, data } = raster
  const size = width * height
  const value = new Float32Array(size),
    lightness = new Float32Array(size)
  const a = new Float32Array(size),
    b = new Float32Array(size)
  const chroma = new Float32Array(size),
    mask = new Uint8Array(size)
  fillColour(data, { value, lightness, a, b, chroma })
  fillMask(wordsOf(data), mask)
  const values = valueDistribution(value, mask)
  return {
    width,
    height,
    count: values.total,
    pixels: data,
    mask,
    value,
    lightness,
    a,
    b,
    chroma,
    values,
    chromas: distributionOf(chroma, mask, { low: 0, high: CHROMA_LIMIT, bins: CHROMA_LIMIT * 10_000 })
  }
}

function fillMask(words: Int32Array, mask: Uint8Array): void {
  const least = MEASURED_ALPHA
  for (let i = 0; i < mask.length; i++) mask[i] = words[i] >>> 24 >= least ? 1 : 0
}
