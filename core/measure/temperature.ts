/** Warm and cool: absolute, by lights and darks, and relative to the scene. */
import { chromaOf, NEUTRAL_CHROMA } from '../colour/oklab'
import { NEITHER_BELOW, temperatureOf } from '../colour/temperature'
import { round1, round3 } from '../numeric/round'
import { ringOf, spansOf, type Area } from '../picture/area'
import { percentile } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { diagonalOf, type Raster } from '../picture/raster'
import { meanOf, RING_SHARE } from './value/separation'
import { notMeasurable, type Measured, type TemperatureSection } from './report'

/**
 * T is C · cos(h − 45°) ÷ 0.20 × 100, and C · cos(h − 45°) is the projection (a + b) ÷ √2: this much T for each of a
 * and b.
 */
export const TEMPERATURE_PER_AXIS = (100 / 0.2) * Math.SQRT1_2

/** Mean temperature of the whole picture: what relative temperature is measured against. */
export function sceneTemperature(planes: Planes): number {
  const known = scenes.get(planes)
  if (known !== undefined) return known
  const scene = meanTemperature(planes)
  scenes.set(planes, scene)
  return scene
}

/** Kept as long as the planes they are of: the lens and every area ask for the same one. */
const scenes = new WeakMap<Planes, number>()

function meanTemperature({ a, b, mask, count }: Planes): number {
  const perAxis = TEMPERATURE_PER_AXIS
  let sum = 0
  for (let i = 0; i < mask.length; i++) {
    const t = perAxis * (a[i] + b[i])
    sum += mask[i] * (t > 100 ? 100 : t < -100 ? -100 : t)
  }
  return count === 0 ? 0 : sum / count
}

export function measureTemperature(planes: Planes): Measured<TemperatureSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const { a, b, value, mask, values, count } = planes
  // Temperatures are summed by the bins of value, from which the lights and the darks are read.
  const sums = new Float64Array(values.counts.length),
    perStep = 1 / values.step
  const perAxis = TEMPERATURE_PER_AXIS,
    neither = NEITHER_BELOW
  let warm = 0,
    cool = 0
  for (let i = 0; i < value.length; i++) {
    const measured = mask[i],
      full = perAxis * (a[i] + b[i])
    const t = full > 100 ? 100 : full < -100 ? -100 : full
    warm += t >= neither ? measured : 0
    cool += t <= -neither ? measured : 0
    sums[(value[i] * perStep + 0.5) | 0] += measured * t
  }
  const meanBetween = (low: number, high: number): number => {
    let sum = 0,
      n = 0
    for (
      let bin = Math.max(0, Math.ceil(low * perStep - 0.1)),
        last = Math.min(sums.length - 1, Math.floor(high * perStep + 0.1));
      bin <= last;
      bin++
    ) {
      sum += sums[bin]
      n += values.counts[bin]
    }
    return sum / n
  }
  const mean = meanBetween(0, 101),
    lights = meanBetween(percentile(values, 2 / 3), 101)
  const darks = meanBetween(0, percentile(values, 1 / 3)),
    darkest = meanBetween(0, percentile(values, 0.1))
  return {
    mean: round1(mean),
    warm: round3(warm / count),
    cool: round3(cool / count),
    neither: round3(1 - (warm + cool) / count),
    lights: round1(lights),
    darks: round1(darks),
    lightMinusDark: round1(lights - darks),
    darkest: round1(darkest)
  }
}

/** An area's temperature where it stands. */
export interface AreaTemperature {
  readonly own: number
  readonly scene: number
  readonly ring: number
  /** The area is a grey, whose temperature is only the scene's doing. */
  readonly neutral: boolean
}

/** Temperature of a marked area against the scene and against the ring around it. Null where either holds no pixel. */
export function areaTemperature(area: Area, planes: Planes, raster: Raster): AreaTemperature | null {
  const spans = spansOf(area, planes)
  const inside = meanOf(spans, planes, raster),
    around = meanOf(ringOf(spans, RING_SHARE * diagonalOf(planes)), planes, raster)
  return (
    inside
    && around && {
      own: temperatureOf(inside.oklab),
      scene: sceneTemperature(planes),
      ring: temperatureOf(around.oklab),
      neutral: chromaOf(inside.oklab) < NEUTRAL_CHROMA
    }
  )
}
