/**
 * Worksheets as a document: a page each, and for the instructor a key with every box's wanted colour. Plans as a page.
 */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { nameOfLinear } from '../../../core/colour/names'
import { convertLinearToLab } from '../../../core/colour/lab'
import { linearOfHex } from '../../../core/colour/srgb'
import { worksheetOf } from '../../../core/exercise/worksheet/layout'
import { printerSheet } from '../../../core/exercise/worksheet/printer-sheet'
import { worksheetSvg } from '../../../core/exercise/worksheet/svg'
import { PAPER_SIZE, type Box, type Paper, type Worksheet } from '../../../core/exercise/worksheet/worksheet'
import { swatchSheet, type SheetSwatch } from '../../../core/paint/sheet'
import { stripPageSvg } from '../../../core/photo/strip/svg'
import { planSvg, type PlanPage } from '../../../core/exercise/plan/sheet'
import { positionOn, stepAt } from '../../../core/wheel/wheel'
import type { WheelName } from '../../../core/wheel/steps'
import { writePdf } from '../pdf'
import { PRINTING } from '../../../shared/printed-marks'
import { typeset } from '../sheet/fonts'

export type WorksheetAsked = Parameters<typeof worksheetOf>[0]
/** @property answers the instructor's key instead of sheets to fill. */
export interface WorksheetsRequest {
  readonly sheets: readonly WorksheetAsked[]
  readonly answers: boolean
}

const POINTS = 72 / 25.4
const PAGE: Readonly<Record<Paper, 'A4' | 'LETTER'>> = { a4: 'A4', letter: 'LETTER' }
const QUIET = '#5e5e5e'

const plainPage = (paper: Paper, title: string) => ({
  pageSize: PAGE[paper],
  pageMargins: 0,
  info: { title },
  defaultStyle: { font: 'Sans', fontSize: 9 }
})

/** @param width millimetres of the drawing, which is the page. */
const page = (svg: string, width: number, first: boolean): Content => ({
  svg,
  width: width * POINTS,
  absolutePosition: { x: 0, y: 0 },
  ...(first ? {} : { pageBreak: 'before' as const })
})

/** What a box is to be, in figures and in words. */
function wantedOf({ label, row, wanted: { hex } }: Box, wheel: WheelName): string[] {
  const linear = linearOfHex(hex),
    position = positionOn(wheel, linear)
  return [
    `${row + 1}`,
    label,
    `${Math.round(convertLinearToLab(linear)[0])}`,
    position === null ? 'none' : `${Math.round(position)}°, ${stepAt(wheel, position)}`,
    nameOfLinear(linear).said
  ]
}

function keyTable(sheet: Worksheet): Content {
  const cell = (text: string, color = '#222222'): Content => typeset(text, 'Sans', { fontSize: 8.5, color })
  const head = ['row', 'box', 'L*', `hue on the ${sheet.settings.wheel} wheel`, 'in words'].map(t => cell(t, QUIET))
  return {
    pageBreak: 'before',
    margin: [42, 42, 42, 42],
    stack: [
      typeset('What each box is to be', 'Serif', { fontSize: 15, margin: [0, 0, 0, 8] }),
      {
        table: {
          headerRows: 1,
          widths: [24, 110, 30, 150, '*'],
          body: [head, ...sheet.boxes.map(box => wantedOf(box, sheet.settings.wheel).map(t => cell(t)))]
        },
        layout: 'lightHorizontalLines'
      }
    ]
  }
}

/** @returns the document as pdfmake takes it. */
export function worksheetsDocument({ sheets, answers }: WorksheetsRequest): TDocumentDefinitions {
  const laid = sheets.map(worksheetOf)
  return {
    ...plainPage(laid[0]!.paper, laid.length === 1 ? laid[0]!.lines[0]!.text : 'Worksheets'),
    content: laid.flatMap((sheet, i) => [
      page(worksheetSvg(sheet, PRINTING, answers), sheet.width, i === 0),
      ...(answers && sheet.boxes.length ? [keyTable(sheet)] : [])
    ])
  }
}

/** @param fonts folder of the font files. */
export const printPlan = (asked: PlanPage, fonts: string): Promise<Buffer> =>
  writePdf(
    {
      ...plainPage(asked.paper, `${asked.title}: the plan`),
      content: [page(planSvg(asked), PAPER_SIZE[asked.paper].width, true)]
    },
    fonts
  )

/** @property printer whose, by their number. */
export interface PrinterPages {
  readonly paper: Paper
  readonly printer: number
}
/** @param fonts folder of the font files. */
export const printPrinter = ({ paper, printer }: PrinterPages, fonts: string): Promise<Buffer> =>
  writePdf(
    {
      ...plainPage(paper, 'A printer’s greys'),
      content: (['measure', 'own'] as const).map((role, i) =>
        page(worksheetSvg(printerSheet({ role, paper, printer }), PRINTING), PAPER_SIZE[paper].width, i === 0)
      )
    },
    fonts
  )

export interface SwatchPage {
  readonly paper: Paper
  readonly swatches: readonly SheetSwatch[]
}
/** @param fonts folder of the font files. */
export const printSwatches = ({ paper, swatches }: SwatchPage, fonts: string): Promise<Buffer> =>
  writePdf(
    {
      ...plainPage(paper, 'Swatches'),
      content: [page(worksheetSvg(swatchSheet(paper, swatches), PRINTING), PAPER_SIZE[paper].width, true)]
    },
    fonts
  )

/** @param fonts folder of the font files. */
export const printStrip = (paper: Paper, fonts: string): Promise<Buffer> =>
  writePdf(
    {
      ...plainPage(paper, 'A strip of greys and colours'),
      content: [page(stripPageSvg(paper, PRINTING), PAPER_SIZE[paper].width, true)]
    },
    fonts
  )

/** @param fonts folder of the font files. */
export const printWorksheets = (request: WorksheetsRequest, fonts: string): Promise<Buffer> =>
  writePdf(worksheetsDocument(request), fonts)
