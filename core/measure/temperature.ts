/** Warm and cool: absolute, by lights and darks, and relative to the scene (measures §5). */
import { NEITHER_BELOW } from '../colour/temperature'
import { round1, round3 } from '../numeric/round'
import { percentile } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { notMeasurable, type Measured, type TemperatureSection } from './report'

/** T is C · cos(h − 45°) ÷ 0.20 × 100, and C · cos(h − 45°) is the projection (a + b) ÷ √2: this much T for each of a and b. */
export const TEMPERATURE_PER_AXIS = (100 / 0.2) * Math.SQRT1_2

/** Mean temperature of the whole picture: what relative temperature is measured against. */
export function sceneTemperature({ a, b, mask, count }: Planes): number {
  let sum = 0
  for (let i = 0; i < mask.length; i++) {
    if (!mask[i]) continue
    const t = TEMPERATURE_PER_AXIS * (a[i] + b[i])
    sum += t > 100 ? 100 : t < -100 ? -100 : t
  }
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
    const full = TEMPERATURE_PER_AXIS * (a[i] + b[i]), v = value[i]
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
