/**
 * The picture as the planes every measure reads: value (L*), OKLab and chroma, one number a pixel.
 *
 * Table-driven: a 256-entry linear table, and a cube root interpolated in 6144 steps on
 * [1/64, 1]. Below 1/64 the same table serves through ∛x = ∛(64x) ÷ 4, and below 1/4096 (nearly
 * black) the exact root is taken, so the error stays under 3e-6 everywhere.
 */
import { LUMINANCE } from '../colour/lab'
import { LINEAR_OF_BYTE } from '../colour/srgb'
import { distributionOf, valueDistribution, type Distribution } from './distribution'
import { MEASURED_ALPHA, type Raster } from './raster'

export interface Planes {
  readonly width: number
  readonly height: number
  /** Pixels measured: those of half alpha and more. */
  readonly count: number
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

const STEPS = 6144
const CUBE_ROOT = Float64Array.from({ length: STEPS + 2 }, (_, i) => Math.cbrt(i / STEPS))

/** Below this the table's steps are too wide for the root's bend. */
const ROOT_FROM = 1 / 64

/** The root by the same table, for colours of which a part is dark. */
function darkRoot(x: number): number {
  let scale = 1
  let t = x
  if (x < ROOT_FROM) {
    if (x < 1 / 4096) return Math.cbrt(x)
    t = x * 64
    scale = 0.25
  }
  const at = t * STEPS, i = at | 0
  return scale * (CUBE_ROOT[i] + (at - i) * (CUBE_ROOT[i + 1] - CUBE_ROOT[i]))
}

const EPSILON = 216 / 24389
const KAPPA = 24389 / 27

const [YR, YG, YB] = LUMINANCE

/**
 * Fills L* (0–100) and OKLab for each pixel of RGBA `data`; arrays are caller-given and of equal pixel
 * count. One pass: the bytes are decoded once, and nine products are cheaper than nine look-ups. An
 * exact grey gets exact zeros, so that noise never becomes a hue.
 */
export function fillColour(data: Uint8ClampedArray, value: Float32Array, lightness: Float32Array, a: Float32Array, b: Float32Array): void {
  for (let i = 0, p = 0, n = value.length; i < n; i++, p += 4) {
    const R = LINEAR_OF_BYTE[data[p]], G = LINEAR_OF_BYTE[data[p + 1]], B = LINEAR_OF_BYTE[data[p + 2]]
    const Y = YR * R + YG * G + YB * B
    const x = 0.4122214708 * R + 0.5363325363 * G + 0.0514459929 * B
    const y = 0.2119034982 * R + 0.6806995451 * G + 0.1073969566 * B
    const z = 0.0883024619 * R + 0.2817188376 * G + 0.6299787005 * B
    let l: number, m: number, s: number
    // The table look-up is written out four times: called, it is half as slow again.
    if (Y >= ROOT_FROM && x >= ROOT_FROM && y >= ROOT_FROM && z >= ROOT_FROM) {
      const Ya = Y * STEPS, Yi = Ya | 0, Yr = CUBE_ROOT[Yi]
      value[i] = 116 * (Yr + (Ya - Yi) * (CUBE_ROOT[Yi + 1] - Yr)) - 16
      const xa = x * STEPS, xi = xa | 0, xr = CUBE_ROOT[xi]
      l = xr + (xa - xi) * (CUBE_ROOT[xi + 1] - xr)
      const ya = y * STEPS, yi = ya | 0, yr = CUBE_ROOT[yi]
      m = yr + (ya - yi) * (CUBE_ROOT[yi + 1] - yr)
      const za = z * STEPS, zi = za | 0, zr = CUBE_ROOT[zi]
      s = zr + (za - zi) * (CUBE_ROOT[zi + 1] - zr)
    } else {
      value[i] = Y > EPSILON ? 116 * darkRoot(Y) - 16 : Y * KAPPA
      l = darkRoot(x)
      m = darkRoot(y)
      s = darkRoot(z)
    }
    lightness[i] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s
    if (R === G && G === B) {
      a[i] = 0
      b[i] = 0
    } else {
      a[i] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s
      b[i] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
    }
  }
}

/** All planes of a raster. */
export function planesOf(raster: Raster): Planes {
  const { width, height, data } = raster
  const size = width * height
  const value = new Float32Array(size), lightness = new Float32Array(size)
  const a = new Float32Array(size), b = new Float32Array(size), chroma = new Float32Array(size)
  fillColour(data, value, lightness, a, b)
  const mask = new Uint8Array(size)
  let count = 0
  for (let i = 0, p = 3; i < size; i++, p += 4) {
    const x = a[i], y = b[i]
    chroma[i] = Math.sqrt(x * x + y * y)
    const measured = data[p] >= MEASURED_ALPHA ? 1 : 0
    mask[i] = measured
    count += measured
  }
  return { width, height, count, mask, value, lightness, a, b, chroma, values: valueDistribution(value, mask), chromas: distributionOf(chroma, mask, 0, CHROMA_LIMIT, CHROMA_LIMIT * 10_000) }
}
