/** Warm and cool: absolute, by lights and darks, and relative to the scene (measures §5). */
import { NEITHER_BELOW } from '../colour/temperature'
import { round1, round3 } from '../numeric/round'
import { percentile, valueDistribution } from '../picture/distribution'
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

/** Mean of a plane over measured pixels whose value lies within bounds; null when there is none. */
function meanWhere(plane: Float32Array, { value, mask }: Planes, low: number, high: number): number {
  let sum = 0, n = 0
  for (let i = 0; i < plane.length; i++) {
    if (!mask[i] || value[i] < low || value[i] > high) continue
    sum += plane[i]
    n++
  }
  return n === 0 ? 0 : sum / n
}

/** Mean temperature of the whole picture: what relative temperature is measured against. */
export const sceneTemperature = (planes: Planes, plane: Float32Array): number => meanWhere(plane, planes, -1, 101)

export function measureTemperature(planes: Planes, plane: Float32Array = temperaturePlane(planes)): Measured<TemperatureSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  let warm = 0, cool = 0
  for (let i = 0; i < plane.length; i++) {
    if (!planes.mask[i]) continue
    if (plane[i] >= NEITHER_BELOW) warm++
    else if (plane[i] <= -NEITHER_BELOW) cool++
  }
  const d = valueDistribution(planes.value, planes.mask)
  // The distribution is rounded to 0.01 L*: half of that keeps the boundary pixels in.
  const slack = 0.006
  const darks = meanWhere(plane, planes, -1, percentile(d, 1 / 3) + slack)
  const lights = meanWhere(plane, planes, percentile(d, 2 / 3) - slack, 101)
  return {
    mean: round1(sceneTemperature(planes, plane)),
    warm: round3(warm / planes.count),
    cool: round3(cool / planes.count),
    neither: round3(1 - (warm + cool) / planes.count),
    lights: round1(lights),
    darks: round1(darks),
    lightMinusDark: round1(lights - darks),
    darkest: round1(meanWhere(plane, planes, -1, percentile(d, 0.1) + slack))
  }
}
