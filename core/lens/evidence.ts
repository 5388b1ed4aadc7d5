/** Lenses that keep what is meant in its own colour and sink the rest: never colour alone. */
import { hueHistogram } from '../measure/hues'
import { splitFamilies } from '../measure/families'
import { insideScheme } from '../measure/scheme'
import { nearBlackMask, nearWhiteMask } from '../measure/value'
import { fitToGamut } from '../colour/gamut'
import { convertLinearToByte } from '../colour/srgb'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import type { SectorScheme } from '../wheel/schemes'
import { anchorAt } from '../wheel/wheel'
import { ALPHA, sunkGrey, sunkWordOf, wordsOf } from './tones'

/** Keeps the pixels where `meant` is 1. */
function keep({ data }: Raster, { value }: Planes, out: Uint8ClampedArray, meant: Uint8Array): void {
  const from = wordsOf(data), to = wordsOf(out)
  for (let i = 0; i < to.length; i++) to[i] = meant[i] ? from[i] : sunkWordOf(value[i]) | (from[i] & ALPHA)
}

export const nearBlackLens = (raster: Raster, planes: Planes, out: Uint8ClampedArray): void => keep(raster, planes, out, nearBlackMask(planes))
export const nearWhiteLens = (raster: Raster, planes: Planes, out: Uint8ClampedArray): void => keep(raster, planes, out, nearWhiteMask(planes))

/** What leaves the scheme, in its own colour. */
export function offSchemeLens(wheel: WheelName, scheme: SectorScheme, rotation: number, raster: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const { bins } = hueHistogram(raster, planes, wheel), inside = insideScheme(scheme, rotation)
  const meant = new Uint8Array(bins.length)
  for (let i = 0; i < bins.length; i++) meant[i] = bins[i] >= 0 && inside[bins[i]] === 0 ? 1 : 0
  keep(raster, planes, out, meant)
}

/** Each colour family flat, in the full-strength colour of its place on the wheel. */
export function familiesLens(wheel: WheelName, raster: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const { bins, weight } = hueHistogram(raster, planes, wheel)
  const { peaks, familyOfBin } = splitFamilies(weight)
  const flat = peaks.map(position => fitToGamut(anchorAt(wheel, position)).map(convertLinearToByte))
  for (let i = 0, p = 0; i < bins.length; i++, p += 4) {
    const colour = bins[i] >= 0 ? flat[familyOfBin[bins[i]]] : undefined
    if (colour) {
      out[p] = colour[0]
      out[p + 1] = colour[1]
      out[p + 2] = colour[2]
    } else out[p] = out[p + 1] = out[p + 2] = sunkGrey(planes.value[i])
    out[p + 3] = raster.data[p + 3]
  }
}
