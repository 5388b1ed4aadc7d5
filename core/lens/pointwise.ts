/** Lenses that look at one pixel at a time: each within one frame on a working raster. */
import { otsuThreshold } from '../numeric/breaks'
import { greyByte, type GreyName } from '../measure/greys'
import { sceneTemperature, temperaturePlane } from '../measure/temperature'
import { VALUE_BINS, valueGroups, valueHistogram } from '../measure/value'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { greyOf } from './tones'

/** Ink and paper of the two-value read: not black and white, which the eye reads as paint. */
const DARK = 26
const LIGHT = 236

export function greyLens(name: GreyName, { data }: Raster, { value }: Planes, out: Uint8ClampedArray): void {
  for (let i = 0, p = 0; i < value.length; i++, p += 4) {
    out[p] = out[p + 1] = out[p + 2] = name === 'value' ? greyOf(value[i]) : greyByte(name, data[p], data[p + 1], data[p + 2])
    out[p + 3] = data[p + 3]
  }
}

export function twoValuesLens({ data }: Raster, { value, values }: Planes, out: Uint8ClampedArray): void {
  const threshold = otsuThreshold(valueHistogram(values).counts)
  const cut = ((threshold ?? 0) * 100) / VALUE_BINS
  for (let i = 0, p = 0; i < value.length; i++, p += 4) {
    out[p] = out[p + 1] = out[p + 2] = value[i] < cut ? DARK : LIGHT
    out[p + 3] = data[p + 3]
  }
}

/** @param count 2–6 groups, or null for the fewest that explain the picture. */
export function groupsLens(count: number | null, { data }: Raster, { value, values }: Planes, out: Uint8ClampedArray): void {
  const groups = valueGroups(values, count)
  const greys = Uint8Array.from({ length: VALUE_BINS + 1 }, (_, bin) => {
    const group = groups.findLast(g => g.from <= (bin * 100) / VALUE_BINS)
    return greyOf(group ? group.value : (bin * 100) / VALUE_BINS)
  })
  for (let i = 0, p = 0; i < value.length; i++, p += 4) {
    out[p] = out[p + 1] = out[p + 2] = greys[Math.min(VALUE_BINS, (value[i] * VALUE_BINS) / 100) | 0]
    out[p + 3] = data[p + 3]
  }
}

export function mirrorLens({ width, height, data }: Raster, out: Uint8ClampedArray): void {
  const from = new Uint32Array(data.buffer, data.byteOffset, width * height), to = new Uint32Array(out.buffer, out.byteOffset, width * height)
  for (let y = 0; y < height; y++) for (let x = 0, i = y * width, j = i + width - 1; x < width; x++, i++, j--) to[i] = from[j]
}

/** Warm as orange, cool as blue, on the picture's own values at half their contrast: the sign reads without hue too, warm lighter. */
export function temperatureLens(relative: boolean, { data }: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const plane = temperaturePlane(planes)
  const scene = relative ? sceneTemperature(planes, plane) : 0
  for (let i = 0, p = 0; i < plane.length; i++, p += 4) {
    const t = Math.max(-1, Math.min(1, (plane[i] - scene) / 45))
    const grey = greyOf(35 + planes.value[i] * 0.3 + 8 * t)
    out[p] = grey + 92 * t
    out[p + 1] = grey + 14 * t
    out[p + 2] = grey - 92 * t
    out[p + 3] = data[p + 3]
  }
}

