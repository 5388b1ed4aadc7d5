/** A picture as a few masses of value: what is left with half-closed eyes, each pixel in one of them. */
import { convertLuminanceToValue, luminanceOf } from '../colour/lab'
import { LINEAR_OF_BYTE } from '../colour/srgb'
import { naturalBreaks } from '../numeric/breaks'
import { blurPlane } from '../picture/blur'
import type { Raster } from '../picture/raster'

/**
 * @property value L*, the mean of what is in it. @property share of the picture, 0–1. @property light its mean, linear.
 */
export interface ValueMass {
  readonly value: number
  readonly share: number
  readonly light: readonly [number, number, number]
}

/** @property labels by rows: which of the masses each pixel is in, from the darkest. */
export interface MassMap {
  readonly width: number
  readonly height: number
  readonly labels: Uint8Array
  readonly masses: readonly ValueMass[]
}

/** Of the diagonal: what is smaller belongs to what is around it. */
const SQUINT = 0.012
const BINS = 256

/**
 * @param raster small, some hundred pixels wide. @param count of masses, 2–6; fewer where there are not so many values.
 */
export function massesOf(raster: Raster, count: number): MassMap {
  const { width, height, data } = raster,
    size = width * height,
    light = [0, 1, 2].map(c => Float32Array.from({ length: size }, (_, i) => LINEAR_OF_BYTE[data[4 * i + c]])),
    scratch = new Float32Array(size),
    sigma = SQUINT * Math.hypot(width, height)
  const values = Float32Array.from({ length: size }, (_, i) =>
      convertLuminanceToValue(luminanceOf([light[0][i], light[1][i], light[2][i]]))
    ),
    squinted = values.slice(),
    counts = new Float64Array(BINS)
  blurPlane(squinted, { width, height, sigma, scratch })
  const binOf = (value: number): number => Math.min(BINS - 1, Math.max(0, Math.floor((value * BINS) / 100)))
  for (const value of squinted) counts[binOf(value)]++
  const options = naturalBreaks(
      counts,
      Float64Array.from({ length: BINS }, (_, i) => ((i + 0.5) * 100) / BINS),
      count
    ),
    starts = options.at(-1)?.starts ?? [0],
    classOf = Uint8Array.from({ length: BINS }, (_, bin) => starts.filter(s => s <= bin).length - 1)
  const labels = joined(
    Uint8Array.from(values, value => classOf[binOf(value)]),
    { width, height, count: starts.length, sigma }
  )
  return { width, height, labels, masses: massesWithin({ labels, count: starts.length }, light) }
}

/**
 * Each pixel goes to the mass that most around it are in: the values themselves blurred, every edge would have a rim of
 * the middle one.
 */
function joined(
  labels: Uint8Array,
  { width, height, count, sigma }: { width: number; height: number; count: number; sigma: number }
): Uint8Array {
  const out = new Uint8Array(labels.length),
    most = new Float32Array(labels.length).fill(-1),
    scratch = new Float32Array(labels.length)
  for (let label = 0; label < count; label++) {
    const inside = Float32Array.from(labels, l => (l === label ? 1 : 0))
    blurPlane(inside, { width, height, sigma, scratch })
    for (let i = 0; i < out.length; i++)
      if (inside[i] > most[i]) {
        most[i] = inside[i]
        out[i] = label
      }
  }
  return out
}

/** What lies in each label. @param light three planes, linear. */
function massesWithin(
  { labels, count }: { labels: Uint8Array; count: number },
  light: readonly Float32Array[]
): ValueMass[] {
  const sums = Array.from({ length: count }, () => [0, 0, 0, 0])
  for (let i = 0; i < labels.length; i++) {
    const sum = sums[labels[i]]
    for (let c = 0; c < 3; c++) sum[c] += light[c][i]
    sum[3]++
  }
  return sums.map(([r, g, b, n]) => {
    const mean = [r, g, b].map(v => v / (n || 1)) as unknown as [number, number, number]
    return { value: convertLuminanceToValue(luminanceOf(mean)), share: n / labels.length, light: mean }
  })
}
