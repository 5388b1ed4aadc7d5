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

const DEGREES = 180 / Math.PI

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
      let hue = Math.atan2(b[i], a[i]) * DEGREES
      if (hue < 0) hue += 360
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

