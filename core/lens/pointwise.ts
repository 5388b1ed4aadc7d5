/** Lenses that look at one pixel at a time: each within one frame on a working raster. */
import { otsuThreshold } from '../numeric/breaks'
import { greyByte, type GreyName } from '../measure/value/greys'
import { sceneTemperature, TEMPERATURE_PER_AXIS } from '../measure/temperature'
import { VALUE_BINS, valueGroups, valueHistogram } from '../measure/value/value'
import { wordsOf, type Raster } from '../picture/raster'
import type { Seen } from './seen'
import { ALPHA, GREY_WORDS, greyOf, WORDS_PER_VALUE } from './tones'

/** Ink and paper of the two-value read: not black and white, which the eye reads as paint. */
const DARK = 26
const LIGHT = 236

export function greyLens(name: GreyName, { raster: { data }, planes: { value }, out }: Seen): void {
  const from = wordsOf(data),
    to = wordsOf(out),
    alpha = ALPHA
  if (name === 'value') {
    const grey = GREY_WORDS,
      steps = WORDS_PER_VALUE
    for (let i = 0; i < to.length; i++) to[i] = grey[(value[i] * steps + 0.5) | 0] | (from[i] & alpha)
    return
  }
  for (let i = 0; i < to.length; i++) {
    const word = from[i],
      grey = greyByte(name, word & 255, (word >> 8) & 255, (word >> 16) & 255)
    to[i] = grey | (grey << 8) | (grey << 16) | (word & alpha)
  }
}

/** Each value bin in the grey given for it. */
function paintBins(greys: Uint8Array, { raster: { data }, planes: { value }, out }: Seen): void {
  const from = wordsOf(data),
    to = wordsOf(out)
  const words = Int32Array.from(greys, grey => grey | (grey << 8) | (grey << 16))
  const perValue = VALUE_BINS / 100,
    alpha = ALPHA
  for (let i = 0; i < to.length; i++) to[i] = words[(value[i] * perValue) | 0] | (from[i] & alpha)
}

const greyOfBins = (grey: (bin: number) => number): Uint8Array =>
  Uint8Array.from({ length: VALUE_BINS + 1 }, (_, bin) => grey(bin))

export function twoValuesLens(seen: Seen): void {
  const threshold = otsuThreshold(valueHistogram(seen.planes.values).counts) ?? 0
  paintBins(
    greyOfBins(bin => (bin < threshold ? DARK : LIGHT)),
    seen
  )
}

/** @param count 2–6 groups, or null for the fewest that explain the picture. */
export function groupsLens(count: number | null, seen: Seen): void {
  const groups = valueGroups(seen.planes.values, count)
  paintBins(
    greyOfBins(bin => {
      const value = (bin * 100) / VALUE_BINS
      return greyOf(groups.findLast(g => g.from <= value)?.value ?? value)
    }),
    seen
  )
}

export function mirrorLens({ width, height, data }: Raster, out: Uint8ClampedArray): void {
  const from = wordsOf(data),
    to = wordsOf(out)
  for (let y = 0; y < height; y++)
    for (let x = 0, i = y * width, j = i + width - 1; x < width; x++, i++, j--) to[i] = from[j]
}

const LEANS = 32
/**
 * Pixel words by lean (−32 cool … 32 warm) and value (0 … 100): warm as orange, cool as blue, on the
 * picture's own values at a third of their contrast. The sign reads without hue too: warm is lighter.
 */
const LEAN_WORDS = Int32Array.from({ length: (2 * LEANS + 1) * 101 }, (_, i) => {
  const t = Math.floor(i / 101) / LEANS - 1,
    grey = greyOf(35 + (i % 101) * 0.3 + 8 * t)
  const [r, g, b] = new Uint8ClampedArray([grey + 92 * t, grey + 14 * t, grey - 92 * t])
  return r | (g << 8) | (b << 16)
})
/** T at which a colour is shown as warm or cool as it gets. */
const FULL_LEAN = 45

export function temperatureLens(relative: boolean, { raster: { data }, planes, out }: Seen): void {
  const { a, b, value } = planes
  const from = wordsOf(data),
    to = wordsOf(out),
    words = LEAN_WORDS,
    alpha = ALPHA,
    most = 2 * LEANS
  const scale = (TEMPERATURE_PER_AXIS / FULL_LEAN) * LEANS
  const middle = LEANS + 0.5 - ((relative ? sceneTemperature(planes) : 0) / FULL_LEAN) * LEANS
  for (let i = 0; i < to.length; i++) {
    const lean = (scale * (a[i] + b[i]) + middle) | 0
    to[i] = words[(lean < 0 ? 0 : lean > most ? most : lean) * 101 + ((value[i] + 0.5) | 0)] | (from[i] & alpha)
  }
}

/** OKLCH chroma that is shown white: beyond it lie only a few pigments. */
const STRONGEST = 0.26

/** Strength of colour as grey: greys dark, the strongest light, whatever their own value. */
export function strengthLens({ raster: { data }, planes: { chroma }, out }: Seen): void {
  const from = wordsOf(data),
    to = wordsOf(out),
    grey = GREY_WORDS,
    alpha = ALPHA,
    last = 100 * WORDS_PER_VALUE,
    perChroma = last / STRONGEST
  for (let i = 0; i < to.length; i++) {
    const at = (chroma[i] * perChroma + 0.5) | 0
    to[i] = grey[at > last ? last : at] | (from[i] & alpha)
  }
}
