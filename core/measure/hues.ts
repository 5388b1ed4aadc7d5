/** The picture's colours on a wheel: a 1° bin for each coloured pixel, and the histograms of them. */
import { NEUTRAL_CHROMA } from '../colour/oklab'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { painterPositionOfHue } from '../wheel/painter'
import { hsvHueOf } from '../wheel/process'
import type { WheelName } from '../wheel/steps'

/** Bin of a pixel that is neutral or belongs to nobody. */
export const NO_HUE = -1

export interface HueHistogram {
  /** Bin 0–359 of each pixel, centred on whole degrees, or NO_HUE. */
  readonly bins: Int16Array
  /** Sum of chroma in each bin: the coloured weight. */
  readonly weight: Float64Array
  /** Pixels in each bin. */
  readonly pixels: Float64Array
  readonly totalWeight: number
  readonly colouredPixels: number
}

/** Position at each tenth of a degree of OKLCH hue; linear between, so only the anchors' knees are rounded. */
const PAINTER_TABLE = Float64Array.from({ length: 3602 }, (_, i) => painterPositionOfHue(i / 10))

function tableBin(table: Float64Array, hueDeg: number): number {
  const at = hueDeg * 10, i = at | 0
  let step = table[i + 1] - table[i]
  if (step > 180) step -= 360
  else if (step < -180) step += 360
  return (Math.round(table[i] + (at - i) * step) + 360) % 360
}

/** Arc tangent of 0–1 in degrees, interpolated in 2048 steps: within 1e-6° of exact, and the histogram has 1° bins. */
const ATAN_STEPS = 2048
const ATAN = Float64Array.from({ length: ATAN_STEPS + 2 }, (_, i) => (Math.atan(i / ATAN_STEPS) * 180) / Math.PI)

/** Hue of (a, b) in degrees, 0–360, by the octant and the table. */
function tableHue(a: number, b: number): number {
  const x = a < 0 ? -a : a, y = b < 0 ? -b : b
  const steep = y > x
  const at = (steep ? x / y : y / x) * ATAN_STEPS, i = at | 0
  const octant = ATAN[i] + (at - i) * (ATAN[i + 1] - ATAN[i])
  const quadrant = steep ? 90 - octant : octant
  return a < 0 ? (b < 0 ? 180 + quadrant : 180 - quadrant) : b < 0 ? 360 - quadrant : quadrant
}

export function hueHistogram(raster: Raster, planes: Planes, wheel: WheelName): HueHistogram {
  const { a, b, chroma, mask } = planes
  const bins = new Int16Array(mask.length).fill(NO_HUE)
  const weight = new Float64Array(360), pixels = new Float64Array(360)
  let totalWeight = 0, colouredPixels = 0
  for (let i = 0; i < mask.length; i++) {
    if (!mask[i] || chroma[i] < NEUTRAL_CHROMA) continue
    let bin: number
    if (wheel === 'process') {
      const p = i * 4
      bin = (Math.round(420 - hsvHueOf(raster.data[p], raster.data[p + 1], raster.data[p + 2])) + 360) % 360
    } else {
      const hue = tableHue(a[i], b[i])
      bin = wheel === 'painter' ? tableBin(PAINTER_TABLE, hue) : (Math.round(470 - hue) + 360) % 360
    }
    bins[i] = bin
    weight[bin] += chroma[i]
    pixels[bin]++
    totalWeight += chroma[i]
    colouredPixels++
  }
  return { bins, weight, pixels, totalWeight, colouredPixels }
}

