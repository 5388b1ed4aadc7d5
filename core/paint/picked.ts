/** A colour picked off a photograph: the mean light of a small place, and what it is under a light that is known. */
import { fitToGamut } from '../colour/gamut'
import { convertLinearToOklab } from '../colour/oklab'
import { hexOfLinear, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { PAPER_LIGHT } from '../photo/strip/strip'
import type { Raster } from '../picture/raster'

/** @param reach pixels to each side. @returns linear light, the mean of what lies in the picture. */
export function lightAt(
  { width, height, data }: Raster,
  { x, y, reach }: { readonly x: number; readonly y: number; readonly reach: number }
): Rgb {
  const sum = [0, 0, 0]
  let count = 0
  for (let j = Math.max(0, y - reach); j <= Math.min(height - 1, y + reach); j++)
    for (let i = Math.max(0, x - reach); i <= Math.min(width - 1, x + reach); i++) {
      for (let c = 0; c < 3; c++) sum[c] += LINEAR_OF_BYTE[data[4 * (j * width + i) + c]]
      count++
    }
  return sum.map(v => v / (count || 1)) as unknown as Rgb
}

/** A white darker than this is none, or lies in the dark. */
const DIMMEST = 0.05

/**
 * @param white light of plain paper in the same photograph; null: the light is taken as it is.
 * @throws RangeError where what was said to be white is dark.
 */
export function pickedColour(light: Rgb, white: Rgb | null): string {
  if (white && Math.min(...white) < DIMMEST)
    throw new RangeError('This is too dark for white paper: pick a white in the same light as the swatch.')
  const own = white ? (light.map((v, c) => (PAPER_LIGHT * v) / white[c]) as unknown as Rgb) : light
  return hexOfLinear(fitToGamut(convertLinearToOklab(own)))
}
