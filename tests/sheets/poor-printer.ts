/**
 * A printer whose greys are off: dots spread, so that middle tones come out dark, and its black is no black but warm.
 */
import { convertLinearToByte, LINEAR_OF_BYTE } from '../../core/colour/srgb'
import { printerSheet } from '../../core/exercise/worksheet/printer-sheet'
import { createRaster, type Raster } from '../../core/picture/raster'
import { PLAIN_SHOT } from './filled'
import { printed } from './painter'
import type { Shot } from './photographer'

/** Of each channel: the power that spreading dots take light to, and what the darkest ink sends back. */
const SPREAD = [1.22, 1.3, 1.42] as const,
  BLACK = [0.035, 0.028, 0.024] as const

/** @returns the same page as this printer leaves it; paper stays paper. */
export function throughPoorPrinter({ width, height, data }: Raster): Raster {
  const tables = [0, 1, 2].map(c =>
    Uint8Array.from({ length: 256 }, (_, byte) =>
      convertLinearToByte(BLACK[c]! + (1 - BLACK[c]!) * LINEAR_OF_BYTE[byte]! ** SPREAD[c]!)
    )
  )
  return { width, height, data: data.map((v, i) => (i % 4 === 3 ? v : tables[i % 4]![v]!)) }
}

/** A page on the left, one on the right, on a table, a thumb apart. */
export function beside(left: Raster, right: Raster): Raster {
  const gap = 120,
    both = createRaster(left.width + gap + right.width, left.height)
  both.data.fill(90)
  for (const [page, x] of [
    [left, 0],
    [right, left.width + gap]
  ] as const)
    for (let y = 0; y < page.height; y++)
      both.data.set(page.data.subarray(4 * y * page.width, 4 * (y + 1) * page.width), 4 * (y * both.width + x))
  return both
}

/** @returns the measure as it is to be, and the page of the poor printer. */
export async function bothPages(printer: number): Promise<[measure: Raster, own: Raster]> {
  const [measure, own] = await Promise.all(
    (['measure', 'own'] as const).map(role => printed(printerSheet({ role, paper: 'a4', printer })))
  )
  return [measure!, throughPoorPrinter(own!)]
}

/** Both pages in one photograph. */
export const BOTH_SHOT: Shot = {
  ...PLAIN_SHOT,
  width: 2800,
  height: 2000,
  fill: 0.95,
  tilt: 5,
  turn: -4,
  lean: 2,
  falloff: 1.25
}
