/** Slips for a room without e-mail: one a learner, cut apart and handed out; each opens one account, once. */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { writePdf } from '../pdf'
import { typeset } from '../sheet/fonts'

/** @property slips with `address` in full, and `until` as a day in words. */
export interface SlipsRequest {
  readonly className: string
  readonly slips: readonly {
    readonly name: string
    readonly login: string
    readonly address: string
    readonly until: string
  }[]
}

const ACROSS = 2,
  DOWN = 4
const MARGIN = 36,
  HEIGHT = (841.89 - 2 * MARGIN) / DOWN,
  PADDING = 12
const QUIET = '#5e5e5e'

function slipContent(className: string, { name, login, address, until }: SlipsRequest['slips'][number]): Content {
  const line = (text: string, fontSize: number, color = '#222222'): Content =>
    typeset(text, 'Sans', { fontSize, color, margin: [0, 0, 0, 3] })
  return {
    columns: [
      {
        width: '*',
        stack: [
          typeset(name, 'Serif', { fontSize: 15, margin: [0, 0, 0, 2] }),
          line(className, 9, QUIET),
          line('Open the square with a phone, or type the address. Choose a password, and you are in.', 9),
          line(`Later you sign in as ${login}`, 9),
          line(address, 6.5, QUIET),
          line(`Yours alone; it opens once, until ${until}.`, 7.5, QUIET)
        ]
      },
      { width: 92, qr: address, fit: 88, margin: [4, 2, 0, 0] }
    ],
    columnGap: 6
  }
}

/** @returns the document as pdfmake takes it: eight slips a page, with lines to cut along. */
export function slipsDocument({ className, slips }: SlipsRequest): TDocumentDefinitions {
  const rows = Array.from({ length: Math.ceil(slips.length / ACROSS) }, (_, r) =>
    Array.from({ length: ACROSS }, (_, c): Content => {
      const slip = slips[r * ACROSS + c]
      return slip ? slipContent(className, slip) : { text: '' }
    })
  )
  return {
    pageSize: 'A4',
    pageMargins: MARGIN,
    info: { title: `Slips · ${className}` },
    defaultStyle: { font: 'Sans', fontSize: 9 },
    content: [
      {
        table: { widths: ['*', '*'], heights: HEIGHT - PADDING - 1, body: rows, dontBreakRows: true },
        layout: {
          hLineWidth: i => (i > 0 && i < rows.length ? 0.5 : 0),
          vLineWidth: i => (i > 0 && i < ACROSS ? 0.5 : 0),
          hLineColor: () => '#aaaaaa',
          vLineColor: () => '#aaaaaa',
          hLineStyle: () => ({ dash: { length: 3 } }),
          vLineStyle: () => ({ dash: { length: 3 } }),
          paddingLeft: i => (i === 0 ? 0 : 14),
          paddingRight: i => (i === 0 ? 14 : 0),
          paddingTop: () => PADDING,
          paddingBottom: () => 0
        }
      }
    ]
  }
}

/** @param fonts folder of the font files. */
export const makeSlips = (request: SlipsRequest, fonts: string): Promise<Buffer> =>
  writePdf(slipsDocument(request), fonts)
