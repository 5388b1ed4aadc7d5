/** Lenses that keep what is meant in its own colour and sink the rest: never colour alone. */
import { hueHistogram } from '../measure/harmony/hues'
import { splitFamilies } from '../measure/harmony/families'
import { insideScheme } from '../measure/harmony/scheme'
import { VIVID_ABOVE } from '../measure/harmony/vivid'
import { flatBlackMask } from '../measure/value/flat-black'
import { NEAR_WHITE } from '../measure/value/value'
import { fitToGamut } from '../colour/gamut'
import { convertLinearToByte } from '../colour/srgb'
import type { Planes } from '../picture/planes'
import { wordsOf, type Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import type { SectorScheme } from '../wheel/schemes'
import { anchorAt } from '../wheel/wheel'
import type { Seen } from './seen'
import { ALPHA, SUNK_WORDS, WORDS_PER_VALUE } from './tones'

export function flatBlackLens({ data }: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const from = wordsOf(data),
    to = wordsOf(out),
    flat = flatBlackMask(planes),
    { value } = planes,
    sunk = SUNK_WORDS,
    alpha = ALPHA,
    steps = WORDS_PER_VALUE
  for (let i = 0; i < to.length; i++) {
    const word = from[i]
    to[i] = flat[i] ? word : sunk[(value[i] * steps + 0.5) | 0] | (word & alpha)
  }
}

export function nearWhiteLens({ data }: Raster, { value, chroma }: Planes, out: Uint8ClampedArray): void {
  const from = wordsOf(data),
    to = wordsOf(out),
    sunk = SUNK_WORDS,
    alpha = ALPHA,
    steps = WORDS_PER_VALUE,
    bound = NEAR_WHITE
  for (let i = 0; i < to.length; i++) {
    const word = from[i],
      v = value[i]
    to[i] = v > bound.value && chroma[i] < bound.chroma ? word : sunk[(v * steps + 0.5) | 0] | (word & alpha)
  }
}

/** What is stronger than a muted colour is. */
export function vividLens({ data }: Raster, { value, chroma }: Planes, out: Uint8ClampedArray): void {
  const from = wordsOf(data),
    to = wordsOf(out),
    sunk = SUNK_WORDS,
    alpha = ALPHA,
    steps = WORDS_PER_VALUE,
    bound = VIVID_ABOVE
  for (let i = 0; i < to.length; i++) {
    const word = from[i]
    to[i] = chroma[i] > bound ? word : sunk[(value[i] * steps + 0.5) | 0] | (word & alpha)
  }
}

interface OffScheme {
  readonly wheel: WheelName
  readonly scheme: SectorScheme
  readonly rotation: number
}

/** What leaves the scheme, in its own colour. */
export function offSchemeLens({ wheel, scheme, rotation }: OffScheme, { raster, planes, out }: Seen): void {
  const { bins } = hueHistogram(raster, planes, wheel),
    inside = insideScheme(scheme, rotation),
    { value } = planes
  const from = wordsOf(raster.data),
    to = wordsOf(out),
    sunk = SUNK_WORDS,
    alpha = ALPHA,
    steps = WORDS_PER_VALUE
  for (let i = 0; i < to.length; i++) {
    const word = from[i],
      bin = bins[i]
    to[i] = bin >= 0 && inside[bin] === 0 ? word : sunk[(value[i] * steps + 0.5) | 0] | (word & alpha)
  }
}

/** Each colour family flat, in the full-strength colour of its place on the wheel. */
export function familiesLens(wheel: WheelName, { raster, planes, out }: Seen): void {
  const { bins, weight } = hueHistogram(raster, planes, wheel)
  const { peaks, familyOfBin } = splitFamilies(weight)
  const flat = peaks
    .map(position => fitToGamut(anchorAt(wheel, position)).map(convertLinearToByte))
    .map(([r, g, b]) => r | (g << 8) | (b << 16))
  const wordOfBin = Int32Array.from(familyOfBin, family => flat[family] ?? 0),
    { value } = planes
  const from = wordsOf(raster.data),
    to = wordsOf(out),
    sunk = SUNK_WORDS,
    alpha = ALPHA,
    steps = WORDS_PER_VALUE
  for (let i = 0; i < to.length; i++) {
    const bin = bins[i]
    to[i] = (bin >= 0 ? wordOfBin[bin] : sunk[(value[i] * steps + 0.5) | 0]) | (from[i] & alpha)
  }
}
