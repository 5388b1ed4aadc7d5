/**
 * A poor printer is known from one photograph of two pages, and its sheets are then read nearly as well as good ones.
 */
import { beforeAll, describe, expect, it } from 'vitest'
import { convertLinearToLab } from '../../colour/lab'
import { differenceOf } from '../../colour/difference'
import { linearOfHex, type Rgb } from '../../colour/srgb'
import { seededRandom } from '../../numeric/random'
import { createRaster, type Raster } from '../../picture/raster'
import { SEEING } from '../../../shared/printed-marks'
import { PLAIN_SHOT } from '../../../tests/sheets/filled'
import { paint, printed, type Fill } from '../../../tests/sheets/painter'
import { photograph, type Shot } from '../../../tests/sheets/photographer'
import { beside, BOTH_SHOT, bothPages, throughPoorPrinter } from '../../../tests/sheets/poor-printer'
import { decoded, fillsFor } from '../../../tests/sheets/scenes'
import { PLAIN_SETTINGS } from '../settings'
import { worksheetOf } from '../worksheet/layout'
import { printerSheet } from '../worksheet/printer-sheet'
import type { Worksheet } from '../worksheet/worksheet'
import { readPrinter, type PrinterOutcome } from './printer'
import { PRINTER_DOUBT } from './doubts'
import { readSheets, type SheetRead } from './read'

const PRINTER = 7
const shot = async (flat: Raster, seed: number, how: Shot = PLAIN_SHOT): Promise<Raster> =>
  decoded((await photograph(flat, how, seededRandom(seed))).jpeg)

let measure: Raster, own: Raster, known: Extract<PrinterOutcome, { kind: 'read' }>
beforeAll(async () => {
  ;[measure, own] = await bothPages(PRINTER)
  const outcome = readPrinter(await shot(beside(measure, own), 5, BOTH_SHOT), SEEING)
  if (outcome.kind !== 'read') throw new Error(outcome.reason)
  known = outcome
}, 90_000)

it('finds what the greys really are', () => {
  expect(known.printer).toBe(PRINTER)
  expect(known.off).toBeGreaterThan(5)
  const sheet = printerSheet({ role: 'own', paper: 'a4', printer: PRINTER })
  const apart = sheet.greys.map((grey, i) => {
    const x = Math.round(10 * (grey.x + grey.w / 2)),
      y = Math.round(10 * (grey.y + grey.h / 2)),
      p = 4 * (y * own.width + x)
    const hex = `#${[0, 1, 2].map(c => own.data[p + c]!.toString(16).padStart(2, '0')).join('')}`
    return differenceOf(convertLinearToLab(linearOfHex(hex)), convertLinearToLab(known.greys[i]!))
  })
  expect(Math.max(...apart)).toBeLessThan(3)
})

describe('a sheet of that printer', () => {
  let sheet: Worksheet, fills: Map<string, Fill>, photo: Raster
  beforeAll(async () => {
    const random = seededRandom(11)
    sheet = worksheetOf({
      exercise: 'opposites',
      settings: { ...PLAIN_SETTINGS, hue: 210 },
      paper: 'a4',
      number: 3,
      printer: PRINTER
    })
    fills = fillsFor(sheet, random)
    photo = await shot(paint(throughPoorPrinter(await printed(sheet)), { boxes: sheet.boxes, fills }, random), 6)
  }, 60_000)

  function read(printers: Parameters<typeof readSheets>[2]): SheetRead {
    const [first] = readSheets(photo, SEEING, printers)
    if (first?.kind !== 'read') throw new Error(first ? first.reason : 'no sheet')
    return first.sheet
  }
  const off = ({ boxes }: SheetRead): number => {
    const all = boxes.flatMap(({ name, measured }) => {
      const fill = fills.get(name)!
      return 'from' in fill
        ? []
        : [differenceOf(convertLinearToLab(fill as Rgb), convertLinearToLab(linearOfHex(measured)))]
    })
    return all.reduce((p, q) => p + q, 0) / all.length
  }

  it('says that its greys are off, and is read by its own once they are known', () => {
    const before = read({}),
      after = read({ printers: { [PRINTER]: known.greys } })
    console.log(`mean ΔE00 of a poor printer's sheet: ${off(before).toFixed(2)}, calibrated ${off(after).toFixed(2)}`)
    expect(before.doubts).toContain(PRINTER_DOUBT)
    expect(after.doubts).not.toContain(PRINTER_DOUBT)
    expect(off(before)).toBeGreaterThan(3)
    expect(off(after)).toBeLessThan(2)
    expect(off(read({ printers: { [PRINTER + 1]: known.greys } }))).toBe(off(before))
  })
})

it.each([
  ['one page alone', () => beside(measure, createRaster(2100, 2970)), 'The page from your own printer is not seen'],
  ['the same page twice', () => beside(own, own), 'The measure is not seen'],
  ['no page', () => createRaster(2100, 2970), 'Neither page is found']
])(
  'says what is missing: %s',
  async (_, flat, says) => {
    expect(readPrinter(await shot(flat(), 8, BOTH_SHOT), SEEING)).toMatchObject({
      kind: 'unread',
      reason: expect.stringContaining(says)
    })
  },
  60_000
)
