/**
 * The picture as the planes every measure reads: value (L*), OKLab and chroma, one number a pixel.
 *
 * Table-driven: a 256-entry linear table, and a cube root interpolated in 4096 steps on
 * [1/64, 1]. Below 1/64 the same table serves through ∛x = ∛(64x) ÷ 4, and below 1/4096 (nearly
 * black) the exact root is taken, so the error stays under 3e-6 everywhere.
 */
import { LUMINANCE } from '../colour/lab'
import { LINEAR_OF_BYTE } from '../colour/srgb'
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
}

const STEPS = 4096
const CUBE_ROOT = Float64Array.from({ length: STEPS + 2 }, (_, i) => Math.cbrt(i / STEPS))

function cubeRoot(x: number): number {
  let scale = 1
  let t = x
  if (x < 1 / 64) {
    if (x < 1 / 4096) return Math.cbrt(x)
    t = x * 64
    scale = 0.25
  }
  const at = t * STEPS, i = at | 0
  return scale * (CUBE_ROOT[i] + (at - i) * (CUBE_ROOT[i + 1] - CUBE_ROOT[i]))
}

const EPSILON = 216 / 24389
const KAPPA = 24389 / 27

// Each channel's share of each sum, ready multiplied: nine look-ups replace nine products and the decoding.
const scaled = (factor: number): Float64Array => LINEAR_OF_BYTE.map(linear => linear * factor)
const YR = scaled(LUMINANCE[0]), YG = scaled(LUMINANCE[1]), YB = scaled(LUMINANCE[2])
const LR = scaled(0.4122214708), LG = scaled(0.5363325363), LB = scaled(0.0514459929)
const MR = scaled(0.2119034982), MG = scaled(0.6806995451), MB = scaled(0.1073969566)
const SR = scaled(0.0883024619), SG = scaled(0.2817188376), SB = scaled(0.6299787005)

/** Fills `value` with L* for each pixel of RGBA `data`. Arrays are caller-given and of equal pixel count. */
export function fillValue(data: Uint8ClampedArray, value: Float32Array): void {
  for (let i = 0, p = 0; i < value.length; i++, p += 4) {
    const Y = YR[data[p]] + YG[data[p + 1]] + YB[data[p + 2]]
    value[i] = Y > EPSILON ? 116 * cubeRoot(Y) - 16 : Y * KAPPA
  }
}

/** Fills OKLab planes. An exact grey gets exact zeros, so that noise never becomes a hue. */
export function fillOklab(data: Uint8ClampedArray, lightness: Float32Array, a: Float32Array, b: Float32Array): void {
  for (let i = 0, p = 0; i < lightness.length; i++, p += 4) {
    const R = data[p], G = data[p + 1], B = data[p + 2]
    const l = cubeRoot(LR[R] + LG[G] + LB[B])
    if (R === G && G === B) {
      lightness[i] = l
      a[i] = b[i] = 0
      continue
    }
    const m = cubeRoot(MR[R] + MG[G] + MB[B])
    const s = cubeRoot(SR[R] + SG[G] + SB[B])
    lightness[i] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s
    a[i] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s
    b[i] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
  }
}

/** All planes of a raster. */
export function planesOf(raster: Raster): Planes {
  const { width, height, data } = raster
  const size = width * height
  const value = new Float32Array(size), lightness = new Float32Array(size)
  const a = new Float32Array(size), b = new Float32Array(size), chroma = new Float32Array(size)
  fillValue(data, value)
  fillOklab(data, lightness, a, b)
  const mask = new Uint8Array(size)
  let count = 0
  for (let i = 0, p = 3; i < size; i++, p += 4) {
    chroma[i] = Math.sqrt(a[i] * a[i] + b[i] * b[i])
    if (data[p] >= MEASURED_ALPHA) {
      mask[i] = 1
      count++
    }
  }
  return { width, height, count, mask, value, lightness, a, b, chroma }
}
