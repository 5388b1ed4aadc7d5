/**
 * Fills a printed worksheet as a learner would: colours a little off, edges ragged, paper showing through, strokes
 * uneven.
 */
import sharp from 'sharp'
import { convertLinearToOklab } from '../../core/colour/oklab'
import { convertLinearToByte, linearOfHex, type Rgb } from '../../core/colour/srgb'
import { fitToGamut } from '../../core/colour/gamut'
import { gaussian, type Random } from '../../core/numeric/random'
import type { Raster } from '../../core/picture/raster'
import { PRINTING } from '../../shared/printed-marks'
import { worksheetSvg } from '../../core/exercise/worksheet/svg'
import type { Box, PrintedSheet } from '../../core/exercise/worksheet/worksheet'

/** Pixels a millimetre of the printed sheet. */
export const PRINT = 10

/** The sheet as a good printer leaves it. @param svg as it was sent; drawn anew without. */
export async function printed(sheet: PrintedSheet, svg = worksheetSvg(sheet, PRINTING)): Promise<Raster> {
  const { data, info } = await sharp(Buffer.from(svg), { density: 300 })
    .resize(Math.round(sheet.width * PRINT), Math.round(sheet.height * PRINT), { fit: 'fill' })
    .flatten({ background: '#ffffff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
}

/** A colour near what is wanted: @param off standard deviations as shares of what a teacher lets pass. */
export function nearly(hex: string, off: number, random: Random): Rgb {
  const [l, a, b] = convertLinearToOklab(linearOfHex(hex))
  const turn = 0.2 * off * gaussian(random),
    strength = 1 + 0.12 * off * gaussian(random)
  return fitToGamut([
    Math.min(0.98, Math.max(0.1, l + 0.035 * off * gaussian(random))),
    strength * (a * Math.cos(turn) - b * Math.sin(turn)),
    strength * (a * Math.sin(turn) + b * Math.cos(turn))
  ])
}

/** What a box is painted with: one colour, or from one to another. */
export type Fill = Rgb | { readonly from: Rgb; readonly to: Rgb }

function colourAt(fill: Fill, t: number): Rgb {
  if (!('from' in fill)) return fill
  const [p, q] = [fill.from, fill.to].map(convertLinearToOklab)
  return fitToGamut([0, 1, 2].map(i => p[i] + (q[i] - p[i]) * t) as unknown as Rgb)
}

/** @returns the sheet with its boxes painted; the printed one is left. */
export function paint(
  print: Raster,
  { boxes, fills }: { readonly boxes: readonly Box[]; readonly fills: ReadonlyMap<string, Fill> },
  random: Random
): Raster {
  const { width } = print,
    data = new Uint8ClampedArray(print.data)
  for (const { name, x, y, w, h } of boxes) {
    const fill = fills.get(name)
    if (!fill) continue
    const miss = (): number => 0.3 + 0.8 * random()
    const [left, top, right, bottom] = [x + miss(), y + miss(), x + w - miss(), y + h - miss()].map(v => v * PRINT)
    // Strokes lie across; here and there one is thin, and the paper shows through.
    let stroke = 0,
      thin = false
    for (let py = Math.round(top); py < bottom; py++) {
      if (py % 9 === 0) {
        stroke = 0.03 * gaussian(random)
        thin = random() < 0.07
      }
      const ragged = 3 * gaussian(random)
      for (let px = Math.round(left + ragged); px < right + ragged; px++) {
        if (thin && random() < 0.75) continue
        const colour = colourAt(fill, Math.min(1, Math.max(0, (px / PRINT - x) / w))),
          i = 4 * (py * width + px)
        for (let c = 0; c < 3; c++)
          data[i + c] = convertLinearToByte(Math.max(0, colour[c] * (1 + stroke + 0.02 * gaussian(random))))
      }
    }
  }
  return { ...print, data }
}
