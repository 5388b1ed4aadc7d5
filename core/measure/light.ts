/**
 * One light for all materials. Reflectance cancels in the channel-wise ratio
 * shadow ÷ lit of linear light, so one light gives one ratio for every material.
 */
import { medianOf } from '../numeric/median'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab, luminanceOf, valueOfLinear } from '../colour/lab'
import { chromaOf, convertLinearToOklab, convertOklabToOklch } from '../colour/oklab'
import { hexOfLinear, type Rgb } from '../colour/srgb'
import { temperatureOf } from '../colour/temperature'
import { turnBetween } from '../numeric/angle'
import { round1, round3 } from '../numeric/round'
import { distributionOf, percentile, type Distribution } from '../picture/distribution'
import { eachPixel, spansOf, type Area } from '../picture/area'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { NEAR_BLACK } from './value/value'
import { notMeasurable, type LightSection, type MaterialLight, type Measured } from './report'
import { meanOf } from './value/separation'

export interface ShadowPair {
  readonly name: string
  readonly lit: Area
  readonly shadow: Area
}

/** House defaults: ΔE00 over which a material leaves the light, from three materials; hue kept within degrees. */
export const LIGHT_STANDARD = { leaves: 8, materials: 3, onlyDarker: 5 } as const

/** Light under which a channel carries no ratio: about half an 8-bit step. */
const FLOOR = 1.5e-4

const logRatio = (shadow: number, lit: number): number => Math.log(Math.max(FLOOR, shadow) / Math.max(FLOOR, lit))

/** The ratio shadow ÷ lit on which the materials agree, per linear channel: the median of their log ratios. */
export function consensusOf(pairs: readonly { readonly lit: Rgb; readonly shadow: Rgb }[]): Rgb {
  return [0, 1, 2].map(c => Math.exp(medianOf(pairs.map(p => logRatio(p.shadow[c], p.lit[c]))))) as unknown as Rgb
}

export const expectedShadow = (lit: Rgb, consensus: Rgb): Rgb => lit.map((c, i) => c * consensus[i]) as unknown as Rgb

interface Sample {
  readonly linear: Rgb
  readonly values: Distribution
  readonly crushed: number
}

function sample(area: Area, planes: Planes, raster: Raster): Sample | null {
  const spans = spansOf(area, planes)
  const mean = meanOf(spans, planes, raster)
  if (!mean) return null
  const values = new Float32Array(mean.pixels),
    all = new Uint8Array(mean.pixels).fill(1)
  let n = 0,
    black = 0
  eachPixel(spans, i => {
    if (!planes.mask[i]) return
    values[n++] = planes.value[i]
    if (planes.value[i] < NEAR_BLACK.value && planes.chroma[i] < NEAR_BLACK.chroma) black++
  })
  return {
    linear: mean.linear,
    values: distributionOf(values, all, { low: 0, high: 100.01, bins: 10001 }),
    crushed: black / n
  }
}

function judge({
  name,
  lit,
  shadow,
  consensus,
  materials
}: {
  name: string
  lit: Sample
  shadow: Sample
  consensus: Rgb
  materials: number
}): MaterialLight {
  const expected = expectedShadow(lit.linear, consensus)
  const deviation = differenceOf(convertLinearToLab(shadow.linear), convertLinearToLab(expected))
  const litLab = convertLinearToOklab(lit.linear),
    shadowLab = convertLinearToOklab(shadow.linear)
  const litHue = convertOklabToOklch(litLab).h,
    shadowHue = convertOklabToOklch(shadowLab).h
  const turn = litHue === null || shadowHue === null ? null : turnBetween(litHue, shadowHue)
  const deltaValue = valueOfLinear(shadow.linear) - valueOfLinear(lit.linear)
  return {
    name,
    lit: hexOfLinear(lit.linear),
    shadow: hexOfLinear(shadow.linear),
    expected: hexOfLinear(expected),
    deviation: round1(deviation),
    stops: round3(Math.log2(Math.max(FLOOR, luminanceOf(shadow.linear)) / Math.max(FLOOR, luminanceOf(expected)))),
    leaves: materials >= LIGHT_STANDARD.materials && deviation > LIGHT_STANDARD.leaves,
    deltaValue: round1(deltaValue),
    hueShift: turn === null ? notMeasurable('a neutral has no hue') : round1(turn),
    chromaKept:
      chromaOf(litLab) < 1e-6
        ? notMeasurable('the lit sample has no chroma')
        : round3(chromaOf(shadowLab) / chromaOf(litLab)),
    onlyDarker: turn !== null && Math.abs(turn) <= LIGHT_STANDARD.onlyDarker && deltaValue < 0,
    // The 5th and 95th percentiles stand for "darkest" and "lightest tone": one stray pixel is no tone.
    overlap: round1(Math.max(0, percentile(shadow.values, 0.95) - percentile(lit.values, 0.05)))
  }
}

/** @param pairs at least one. A pair that holds no pixel is named and left out of the consensus. */
export function measureLight(pairs: readonly ShadowPair[], planes: Planes, raster: Raster): Measured<LightSection> {
  const sampled = pairs.map(({ name, lit, shadow }) => ({
    name,
    lit: sample(lit, planes, raster),
    shadow: sample(shadow, planes, raster)
  }))
  const whole = sampled.filter(
    (p): p is { name: string; lit: Sample; shadow: Sample } => p.lit !== null && p.shadow !== null
  )
  if (whole.length === 0) return notMeasurable('no pair of samples holds a pixel of the picture')
  const consensus = consensusOf(whole.map(p => ({ lit: p.lit.linear, shadow: p.shadow.linear })))
  return {
    consensus: consensus.map(round3) as [number, number, number],
    materials: sampled.map(p =>
      p.lit && p.shadow
        ? judge({ name: p.name, lit: p.lit, shadow: p.shadow, consensus, materials: whole.length })
        : notMeasurable(`"${p.name}" holds no pixel of the picture`)
    )
  }
}

export type TurnToward = 'warm' | 'cool' | 'neither'

/** Whether a shadow turned toward the warm or the cool pole. */
export function turnOfShadow(lit: Rgb, shadow: Rgb): TurnToward {
  const difference = temperatureOf(convertLinearToOklab(shadow)) - temperatureOf(convertLinearToOklab(lit))
  return Math.abs(difference) < 5 ? 'neither' : difference > 0 ? 'warm' : 'cool'
}

/**
 * The shadows' own colour against the surroundings they should carry: OKLCH hues of the consensus
 * ratio and of the named surroundings, and how far apart. Null where either has no hue.
 */
export function ambientOf(
  consensus: Rgb,
  surroundings: Rgb
): { ratioHue: number; surroundHue: number; apart: number; carried: boolean } | null {
  const peak = Math.max(...consensus)
  const ratio = convertOklabToOklch(convertLinearToOklab(consensus.map(c => c / peak) as unknown as Rgb)).h
  const sky = convertOklabToOklch(convertLinearToOklab(surroundings)).h
  if (ratio === null || sky === null) return null
  const apart = Math.abs(turnBetween(ratio, sky))
  return { ratioHue: ratio, surroundHue: sky, apart, carried: apart <= 45 }
}
