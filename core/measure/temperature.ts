/** Warm and cool: absolute, by lights and darks, and relative to the scene (measures §5). */
import { NEITHER_BELOW } from '../colour/temperature'
import { round1, round3 } from '../numeric/round'
import { percentile } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { notMeasurable, type Measured, type TemperatureSection } from './report'

const SCALE = 100 / 0.2
const COS45 = Math.SQRT1_2

/** T of each pixel into a caller-given plane: `temperatureOf`, table-free because it is two products. */
export function fillTemperature({ a, b }: Planes, out: Float32Array): void {
  for (let i = 0; i < out.length; i++) {
    const t = SCALE * COS45 * (a[i] + b[i])
    out[i] = t > 100 ? 100 : t < -100 ? -100 : t
  }
}

export function temperaturePlane(planes: Planes): Float32Array {
  const plane = new Float32Array(planes.a.length)
  fillTemperature(planes, plane)
  return plane
}

/** Mean temperature of the whole picture: what relative temperature is measured against. */
export function sceneTemperature({ mask, count }: Planes, plane: Float32Array): number {
  let sum = 0
  for (let i = 0; i < plane.length; i++) if (mask[i]) sum += plane[i]
  return count === 0 ? 0 : sum / count
}

export function measureTemperature(planes: Planes): Measured<TemperatureSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const { a, b, value, mask, values, count } = planes
  // The distribution is rounded to 0.01 L*: half of that keeps the boundary pixels in.
  const slack = 0.006
  const dark = percentile(values, 1 / 3) + slack, light = percentile(values, 2 / 3) - slack, darkest = percentile(values, 0.1) + slack
  let warm = 0, cool = 0, all = 0, darkSum = 0, darks = 0, lightSum = 0, lights = 0, deepSum = 0, deep = 0
  for (let i = 0; i < value.length; i++) {
    if (!mask[i]) continue
    const full = SCALE * COS45 * (a[i] + b[i]), v = value[i]
    const t = full > 100 ? 100 : full < -100 ? -100 : full
    all += t
    if (t >= NEITHER_BELOW) warm++
    else if (t <= -NEITHER_BELOW) cool++
    if (v >= light) {
      lightSum += t
      lights++
    }
    if (v <= dark) {
      darkSum += t
      darks++
      if (v <= darkest) {
        deepSum += t
        deep++
      }
    }
  }
  return {
    mean: round1(all / count),
    warm: round3(warm / count),
    cool: round3(cool / count),
    neither: round3(1 - (warm + cool) / count),
    lights: round1(lightSum / lights),
    darks: round1(darkSum / darks),
    lightMinusDark: round1(lightSum / lights - darkSum / darks),
    darkest: round1(deepSum / deep)
  }
}
