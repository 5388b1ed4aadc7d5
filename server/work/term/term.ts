/** A learner's term as a sheet: the pieces small, and what is said of them in words. */
import { format } from 'date-fns'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import sharp from 'sharp'
import { writePdf } from '../pdf'
import { typeset } from '../sheet/fonts'

export interface TermRequest {
  readonly name: string
  /** ISO; null without a piece. */
  readonly from: string | null
  readonly to: string | null
  readonly pieces: readonly { readonly title: string; readonly at: string; readonly picture: Uint8Array | null }[]
  /** A sentence each. */
  readonly readings: readonly string[]
  readonly corrections: readonly string[]
  readonly exercises: readonly string[]
}

const ACROSS = 4,
  WIDTH = 118,
  HEIGHT = 90
const QUIET = '#5e5e5e'
const day = (iso: string): string => format(new Date(iso), 'd MMMM yyyy')

/** pdfmake takes no WebP. */
async function pictureOf({ title, at, picture }: TermRequest['pieces'][number]): Promise<Content> {
  const jpeg = picture && (await sharp(picture).flatten({ background: '#777777' }).jpeg({ quality: 86 }).toBuffer())
  return {
    stack: [
      jpeg
        ? { image: `data:image/jpeg;base64,${jpeg.toString('base64')}`, fit: [WIDTH, HEIGHT] }
        : { text: '', margin: [0, 0, 0, HEIGHT] },
      typeset(title, 'Serif', { fontSize: 10, margin: [0, 3, 0, 0] }),
      typeset(day(at), 'Sans', { fontSize: 8, color: QUIET })
    ],
    margin: [0, 0, 0, 10]
  }
}

const section = (title: string, lines: readonly string[]): Content[] =>
  lines.length === 0
    ? []
    : [
        typeset(title, 'Serif', { fontSize: 14, margin: [0, 10, 0, 4] }),
        ...lines.map(line => typeset(line, 'Serif', { fontSize: 10.5, margin: [0, 0, 0, 3] }))
      ]

export async function termDocument(request: TermRequest): Promise<TDocumentDefinitions> {
  const { name, from, to, pieces } = request,
    pictures = await Promise.all(pieces.map(pictureOf))
  const rows = Array.from({ length: Math.ceil(pictures.length / ACROSS) }, (_, r): Content[] =>
    Array.from({ length: ACROSS }, (_, c) => pictures[r * ACROSS + c] ?? { text: '' })
  )
  return {
    pageSize: 'A4',
    pageMargins: 44,
    info: { title: `Term · ${name}` },
    defaultStyle: { font: 'Sans', fontSize: 10 },
    content: [
      typeset(name, 'Serif', { fontSize: 22 }),
      typeset(from && to ? `${day(from)} to ${day(to)}` : 'Nothing was handed in yet.', 'Sans', {
        fontSize: 9,
        color: QUIET,
        margin: [0, 2, 0, 12]
      }),
      ...(rows.length
        ? [{ table: { widths: Array.from({ length: ACROSS }, () => '*'), body: rows }, layout: 'noBorders' } as Content]
        : []),
      ...section('Corrections', request.corrections),
      ...section('What was read', request.readings),
      ...section('Exercises', request.exercises)
    ]
  }
}

/** @param fonts folder of the font files. */
export const makeTermSheet = async (request: TermRequest, fonts: string): Promise<Buffer> =>
  writePdf(await termDocument(request), fonts)
