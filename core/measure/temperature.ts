/** Warm and cool: absolute, by lights and darks, and relative to the scene. */
import { chromaOf, NEUTRAL_CHROMA } from '../colour/oklab'
import { NEITHER_BELOW, temperatureOf } from '../colour/temperature'
import { round1, round3 } from '../numeric/round'
import { ringOf, spansOf, type Area } from '../picture/area'
import { percentile } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { diagonalOf, type Raster } from '../picture/raster'
import { temperaturesInKernel, type Temperatures, type TemperatureSums } from '../picture/tally'
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

/** Of a step of value: a percentile between two bins belongs to neither. */
const ALIKE = 0.1

export function measureTemperature(planes: Planes): Measured<TemperatureSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const { values, count } = planes,
    above = Math.ceil(percentile(values, 2 / 3) / values.step - ALIKE),
    below = (share: number): number => Math.floor(percentile(values, share) / values.step + ALIKE),
    [dark, darker] = [below(1 / 3), below(0.1)]
  // A bin reaches half a step to both sides of its value.
  const how = {
    perAxis: TEMPERATURE_PER_AXIS,
    neither: NEITHER_BELOW,
    bounds: {
      lights: (above - 0.5) * values.step,
      darks: (dark + 0.5) * values.step,
      darkest: (darker + 0.5) * values.step
    }
  }
  const { warm, cool, ...sums } = temperaturesInKernel(planes, how) ?? temperaturesInScript(planes, how),
    pixels = (from: number, to: number): number => values.counts.subarray(from, to + 1).reduce((p, q) => p + q, 0)
  const mean = sums.all / count,
    lights = sums.lights / pixels(above, values.counts.length),
    darks = sums.darks / pixels(0, dark),
    darkest = sums.darkest / pixels(0, darker)
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

/** What the kernel does, where there is none. */
export function temperaturesInScript(
  { a, b, value, mask }: Planes,
  { perAxis, neither, bounds }: Temperatures
): TemperatureSums {
  const sums = { warm: 0, cool: 0, all: 0, lights: 0, darks: 0, darkest: 0 }
  for (let i = 0; i < mask.length; i++) {
    if (mask[i] === 0) continue
    const t = Math.max(-100, Math.min(100, perAxis * (a[i] + b[i])))
    sums.all += t
    if (t >= neither) sums.warm++
    else if (t <= -neither) sums.cool++
    if (value[i] >= bounds.lights) sums.lights += t
    if (value[i] < bounds.darks) sums.darks += t
    if (value[i] < bounds.darkest) sums.darkest += t
  }
  return sums
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
