/** A printer's own greys, off a photograph of the two pages it is known by. */
import { convertLinearToLab, luminanceOf } from '../../colour/lab'
import { differenceOf } from '../../colour/difference'
import type { Rgb } from '../../colour/srgb'
import type { Raster } from '../../picture/raster'
import { readPrinterCode, type PrinterCode } from '../worksheet/code'
import { sheetFrame } from '../worksheet/frame'
import { printerSheet, type PrinterGreys } from '../worksheet/printer-sheet'
import type { PrintedGrey } from '../worksheet/worksheet'
import { findSheets } from './find'
import { lightOn, seeGreys, toneOf, type Light } from './light'
import { readPrintedCode } from './printed-code'
import type { Seen } from './sampling'
import type { Seeing } from './seeing'

/** @property printer whose it is. @property off ΔE00 of the grey that is furthest from what it is to be. */
export type PrinterOutcome =
  | { readonly kind: 'read'; readonly printer: number; readonly greys: PrinterGreys; readonly off: number }
  | { readonly kind: 'unread'; readonly reason: string }

interface Page {
  readonly code: PrinterCode
  readonly at: Seen
  readonly light: Light | null
  readonly greys: readonly PrintedGrey[]
}

const alike = (v: number): Rgb => [v, v, v]
const MISSING = {
  measure: 'The measure is not seen: the page from the good printer has to lie beside your own.',
  own: 'The page from your own printer is not seen: it has to lie beside the measure.'
} as const
const ORDER = 'Your greys are not in order from dark to light: is the cartridge empty, or the page wet?'

function pagesIn(photo: Raster, seeing: Seeing): Page[] {
  return findSheets(photo, seeing).flatMap(({ map, paper }) => {
    const at: Seen = { photo, map },
      code = readPrintedCode(at, sheetFrame(paper).codePlace, { seeing, parse: readPrinterCode })
    if (!code) return []
    const sheet = printerSheet(code)
    return [{ code, at, light: lightOn(at, sheet), greys: sheet.greys }]
  })
}

export function readPrinter(photo: Raster, seeing: Seeing): PrinterOutcome {
  const pages = pagesIn(photo, seeing),
    unread = (reason: string): PrinterOutcome => ({ kind: 'unread', reason })
  const page = (role: PrinterCode['role']): Page | undefined => pages.find(p => p.code.role === role)
  const measure = page('measure'),
    own = page('own')
  if (!measure && !own) return unread('Neither page is found: all eight corner marks must be seen, and lie flat.')
  if (!measure) return unread(MISSING.measure)
  if (!own) return unread(MISSING.own)
  const known = measure.greys.map(grey => ({ ...grey, wanted: alike(grey.linear) }))
  const fitted = measure.light && toneOf(measure.at, known, measure.light),
    seen = own.light && seeGreys(own.at, own.greys, own.light)
  if (!fitted || !seen) return unread('The greys cannot be read: are they covered, or in a shadow?')
  const greys = seen.map(fitted.tone)
  if (greys.some((g, i) => i > 0 && luminanceOf(g) <= luminanceOf(greys[i - 1]))) return unread(ORDER)
  const off = greys.map((g, i) => differenceOf(convertLinearToLab(g), convertLinearToLab(alike(own.greys[i].linear))))
  return { kind: 'read', printer: own.code.printer, greys, off: Math.max(...off) }
}
