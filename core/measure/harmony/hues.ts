/** The picture's colours on a wheel: a 1° bin for each coloured pixel, and the histograms of them. */
import { NEUTRAL_CHROMA } from '../../colour/oklab'
import { hueOf, wrapDegrees } from '../../numeric/angle'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import { HUE_BINS, huesInKernel, TENTHS, type HueCount, type HueSums } from '../../picture/tally'
import { painterPositionOfHue } from '../../wheel/painter'
import { hsvHueOf } from '../../wheel/process'
import type { WheelName } from '../../wheel/steps'
import { VIVID_ABOVE, VIVID_BOUNDS, VIVID_FROM } from './vivid'

/** Bin of a pixel that is neutral or belongs to nobody. */
export const NO_HUE = -1

export interface HueHistogram {
  /** Bin 0–359 of each pixel, centred on whole degrees, or NO_HUE. */
  readonly bins: Int16Array
  /** Sum of chroma in each bin: the coloured weight. */
  readonly weight: Float64Array
  /** Sums of L* and of OKLab's colour axes in each bin, three numbers a bin. */
  readonly sums: Float64Array
  /** How many of each tenth of L* are in each bin, {@link TENTHS} numbers a bin. */
  readonly tenths: Uint32Array
  /** Pixels in each bin. */
  readonly pixels: Uint32Array
  readonly totalWeight: number
  readonly colouredPixels: number
  /** Pixels that are vivid for their hue, though under the bound of every hue. */
  readonly vividForHue: number
}

/** Steps of the smaller axis over the larger in an octant: 0.014° at the widest, and bins have edges a degree apart. */
const RATIO_STEPS = 4096

/**
 * Bin by octant and ratio, which saves the arc tangent of every pixel. The octant is 1 for a < 0, 2 for
 * b < 0, 4 for |b| > |a|, summed.
 */
function binsOf(position: (hueDeg: number) => number): Uint16Array {
  return Uint16Array.from({ length: 8 * (RATIO_STEPS + 1) }, (_, i) => {
    const octant = Math.floor(i / (RATIO_STEPS + 1)),
      ratio = ((i % (RATIO_STEPS + 1)) + 0.5) / RATIO_STEPS
    const [x, y] = octant & 4 ? [ratio, 1] : [1, ratio]
    return Math.round(position(hueOf(octant & 1 ? -x : x, octant & 2 ? -y : y))) % 360
  })
}

const BINS = { painter: binsOf(painterPositionOfHue), perceptual: binsOf(hue => wrapDegrees(110 - hue)) } as const

function tableBin(table: Uint16Array, a: number, b: number): number {
  const x = a < 0 ? -a : a,
    y = b < 0 ? -b : b
  const steep = y > x,
    octant = (a < 0 ? 1 : 0) + (b < 0 ? 2 : 0) + (steep ? 4 : 0)
  return table[octant * 4097 + (((steep ? x / y : y / x) * 4096) | 0)]
}

/**
 * Histograms already made, kept as long as the planes they are of: the report, the lenses and the wheel read the same
 * one.
 */
const made = new WeakMap<Planes, Map<WheelName, HueHistogram>>()

/** The histogram of a picture on a wheel. @param raster the raster of the planes. */
export function hueHistogram(raster: Raster, planes: Planes, wheel: WheelName): HueHistogram {
  const known = made.get(planes) ?? new Map<WheelName, HueHistogram>()
  const found = known.get(wheel) ?? countHues(raster, planes, wheel)
  made.set(planes, known.set(wheel, found))
  return found
}

function countHues(raster: Raster, planes: Planes, wheel: WheelName): HueHistogram {
  const { data } = raster,
    processBinAt = (i: number): number => processBin(data[4 * i], data[4 * i + 1], data[4 * i + 2])
  const how = {
    neutral: NEUTRAL_CHROMA,
    bounds: VIVID_BOUNDS[wheel],
    over: VIVID_FROM,
    upTo: VIVID_ABOVE,
    ...(wheel === 'process' ? { binAt: processBinAt } : { table: BINS[wheel] })
  }
  const { bins, strong, sums, tenths } = huesInKernel(planes, how) ?? huesInScript(planes, how),
    weight = Float64Array.from({ length: HUE_BINS }, (_, bin) => sums[4 * bin]),
    pixels = Uint32Array.from({ length: HUE_BINS }, (_, bin) =>
      tenths.subarray(bin * TENTHS, (bin + 1) * TENTHS).reduce((p, q) => p + q, 0)
    )
  return {
    bins,
    weight,
    pixels,
    sums: sums.filter((_, i) => i % 4 > 0),
    tenths,
    totalWeight: weight.reduce((p, q) => p + q, 0),
    colouredPixels: pixels.reduce((p, q) => p + q, 0),
    vividForHue: strong
  }
}

/** What the kernel does, where there is none. */
export function huesInScript({ a, b, value, chroma, mask }: Planes, how: HueCount): HueSums {
  const { neutral, bounds, over, upTo } = how,
    binAt = 'table' in how ? (i: number) => tableBin(how.table, a[i], b[i]) : how.binAt
  const bins = new Int16Array(mask.length).fill(NO_HUE),
    sums = new Float64Array(4 * HUE_BINS),
    tenths = new Uint32Array(HUE_BINS * TENTHS)
  let strong = 0
  for (let i = 0; i < mask.length; i++) {
    const c = chroma[i]
    if (c < neutral || mask[i] === 0) continue
    const bin = binAt(i)
    bins[i] = bin
    for (const [n, of] of [c, value[i], a[i], b[i]].entries()) sums[4 * bin + n] += of
    tenths[bin * TENTHS + Math.floor(value[i] * 10 + 0.5)]++
    if (c > over && c <= upTo && c > bounds[bin]) strong++
  }
  return { bins, sums, tenths, strong }
}

function processBin(red: number, green: number, blue: number): number {
  const position = Math.floor(420.5 - hsvHueOf(red, green, blue))
  return position >= 360 ? position - 360 : position
}
