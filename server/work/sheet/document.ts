/**
 * The critique sheet as the PDF writer takes it: picture with marks, before and after, what was read, the words, the
 * exercise.
 */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { parseRich } from '../../../core/critique/rich'
import type { Reading } from '../../../core/critique/reading'
import { isMeasured, type Report } from '../../../core/measure/report'
import { familiesSvg, figureSvg, marksSvg, valuesSvg, type SheetMark } from './charts'
import { typeset } from './fonts'

export type Paper = 'A4' | 'LETTER'

export interface SheetCorrection extends SheetMark {
  readonly what: string
  readonly reason: string
  readonly todo: string
  /** In words; null for none. */
  readonly shown: string | null
  readonly target: string | null
}

/** Everything that is said on the sheet. */
export interface SheetWords {
  readonly title: string
  /** Who made it, in what, for which class, when it was released: one line. */
  readonly about: string
  /** What was done to the photograph; empty where nothing was. */
  readonly photographed: string
  readonly question: string
  readonly works: readonly string[]
  readonly corrections: readonly SheetCorrection[]
  readonly verdict: string
  readonly readings: readonly Reading[]
  readonly exercise: { readonly title: string; readonly trains: string; readonly due: string } | null
  readonly score: string | null
}

/** Pictures as JPEG data URLs, and what is drawn beside them. */
export interface SheetPictures {
  readonly width: number
  readonly height: number
  readonly picture: string
  /** With all trials applied; null when there is none. */
  readonly after: string | null
  /** Seen through a lens, with the corrections it shows by their place in the list. */
  readonly findings: readonly {
    readonly picture: string
    readonly label: string
    readonly corrections: readonly number[]
  }[]
  readonly report: Report
  /** Counts in equal bins of value. */
  readonly counts: readonly number[]
}

const MARGIN = 42
const PAGE: Readonly<Record<Paper, readonly [number, number]>> = { A4: [595.28, 841.89], LETTER: [612, 792] }
const QUIET = '#5e5e5e'
const WORDS = { works: 'works', look: 'look again', fix: 'to fix' } as const

/** Never parted from the first of what stands under it; nothing, where nothing does. */
const section = (title: string, [first, ...rest]: readonly Content[]): Content[] =>
  first === undefined
    ? []
    : [
        {
          stack: [typeset(title, 'Serif', { fontSize: 14, margin: [0, 12, 0, 3] }), first],
          unbreakable: true
        },
        ...rest
      ]
const small = (text: string): Content => typeset(text, 'Sans', { fontSize: 8.5, color: QUIET, margin: [0, 0, 0, 1.5] })
const said = (text: string): Content => typeset(text, 'Serif', { fontSize: 11, lineHeight: 1.15 })

/** The picture hung in a box, its marks laid over it. */
function hung(
  picture: string,
  { marks, width, height }: { readonly marks: readonly SheetMark[]; readonly width: number; readonly height: number }
): Content {
  return {
    stack: [
      { image: picture, width, height },
      ...(marks.length ? [{ svg: marksSvg(marks, width, height), relativePosition: { x: 0, y: -height } }] : [])
    ],
    unbreakable: true
  }
}
function fitted({ width, height }: SheetPictures, across: number, down: number): readonly [number, number] {
  const scale = Math.min(across / width, down / height)
  return [width * scale, height * scale]
}

function richContent(words: string): Content[] {
  return parseRich(words).map(({ kind, spans }): Content => {
    const text = spans.map(s => typeset(s.text, 'Serif', { bold: s.strong, italics: s.stressed, fontSize: 11 }))
    return kind === 'item' ? { ul: [{ text }], margin: [0, 1, 0, 1] } : { text, lineHeight: 1.15, margin: [0, 1, 0, 2] }
  })
}

function correctionContent(c: SheetCorrection): Content {
  const lines: Content[] = [
    said(c.what),
    ...(c.reason && c.reason !== c.what ? [small(c.reason)] : []),
    ...(c.todo ? [said(c.todo)] : []),
    ...(c.shown ? [small(`Shown on the picture: ${c.shown}.`)] : []),
    ...(c.target ? [small(`Reached with ${c.target}.`)] : [])
  ]
  return {
    columns: [
      typeset(c.tag, 'Sans', { bold: true, fontSize: 9, width: 24, margin: [0, 2, 0, 0] }),
      { stack: lines, width: '*' }
    ],
    margin: [0, 2, 0, 4],
    unbreakable: true
  }
}

function readingContent(r: Reading): Content {
  return {
    columns: [
      typeset(WORDS[r.verdict], 'Sans', { fontSize: 8.5, color: QUIET, width: 58, margin: [0, 2, 0, 0] }),
      {
        stack: [said(r.sentence), ...(r.figure ? [{ svg: figureSvg(r.figure), margin: [0, 1, 0, 1] } as Content] : [])],
        width: '*'
      }
    ],
    margin: [0, 2, 0, 3],
    unbreakable: true
  }
}

/** Each finding small, as its lens shows it, with its own marks alone; side by side. */
function findingsContent(words: SheetWords, pictures: SheetPictures, across: number): Content[] {
  if (pictures.findings.length === 0) return []
  const gap = 12,
    [width, height] = fitted(pictures, (across - 2 * gap) / 3, 130)
  const columns = pictures.findings.map(({ picture, label, corrections }) => {
    const marks = corrections.map(at => words.corrections[at]!)
    return {
      width,
      stack: [hung(picture, { marks, width, height }), small(`${marks.map(m => m.tag).join(', ')}: ${label}`)]
    }
  })
  return [{ columns, columnGap: gap, margin: [0, 6, 0, 2], unbreakable: true }]
}

/**
 * The values with their range and the colours on the wheel. @param laid beside an upright picture there is room for one
 * under the other.
 */
function chartsContent({ report, counts }: SheetPictures, laid: 'row' | 'column'): Content[] {
  const width = 140
  const charts: { readonly stack: Content[]; readonly width: number }[] = []
  if (isMeasured(report.value)) {
    const { darkest, lightest } = report.value,
      words = `values, ${Math.round(darkest)} to ${Math.round(lightest)} of 100`
    charts.push({ stack: [{ svg: valuesSvg(report.value, { counts, width }) }, small(words)], width: width + 20 })
  }
  if (isMeasured(report.harmony))
    charts.push({
      stack: [{ svg: familiesSvg(report.harmony, report.wheel) }, small('colours on the wheel')],
      width: 100
    })
  const margin: [number, number, number, number] = [0, 12, 0, 6]
  return laid === 'row'
    ? [{ columns: charts, margin, unbreakable: true }]
    : charts.map(({ stack }): Content => ({ stack, margin, unbreakable: true }))
}

/** @param paper its size. @returns a definition without a single outside reference. */
export function sheetDocument(words: SheetWords, pictures: SheetPictures, paper: Paper): TDocumentDefinitions {
  const across = PAGE[paper][0] - 2 * MARGIN,
    [width, height] = fitted(pictures, across, 330)
  const half = (across - 12) / 2,
    [halfWidth, halfHeight] = fitted(pictures, half, 220)
  const works = section('What works', words.works.map(said))
  const upright = width < 0.6 * across,
    charts = chartsContent(pictures, upright ? 'column' : 'row')
  const compared: Content[] = pictures.after
    ? [
        {
          stack: [
            {
              columns: [
                hung(pictures.picture, { marks: [], width: halfWidth, height: halfHeight }),
                hung(pictures.after, { marks: [], width: halfWidth, height: halfHeight })
              ],
              columnGap: 12
            },
            small('A demonstration, not a repainting: it shows the corrections above, nothing else.')
          ]
        }
      ]
    : []
  const content: Content[] = [
    typeset(words.title, 'Serif', { fontSize: 22 }),
    small(words.about),
    ...(words.photographed ? [small(words.photographed)] : []),
    ...(words.question
      ? [typeset(`“${words.question}”`, 'Serif', { italics: true, fontSize: 11, margin: [0, 4, 0, 0] })]
      : []),
    // Beside an upright picture there is room for words.
    ...(upright
      ? [
          {
            columns: [
              { width, ...(hung(pictures.picture, { marks: words.corrections, width, height }) as object) },
              { width: '*', stack: [...works, ...charts] }
            ],
            columnGap: 22,
            margin: [0, 10, 0, 4]
          } as Content
        ]
      : [
          {
            ...(hung(pictures.picture, { marks: words.corrections, width, height }) as object),
            margin: [0, 10, 0, 4]
          } as Content,
          ...works
        ]),
    ...section('To change, in this order', [
      ...words.corrections.map(correctionContent),
      ...findingsContent(words, pictures, across)
    ]),
    ...section('The next step', words.verdict ? richContent(words.verdict) : []),
    ...section('Before, and as it could be', compared),
    ...section('What else was measured', [...(upright ? [] : charts), ...words.readings.map(readingContent)]),
    ...section('Score', words.score ? [said(words.score)] : []),
    ...(words.exercise
      ? section(`Exercise: ${words.exercise.title}`, [
          said(`${words.exercise.trains}.`),
          small(`Due on ${words.exercise.due}. Work with solvents, dust and blades as their labels and your class say.`)
        ])
      : [])
  ]
  return {
    pageSize: paper,
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 14],
    info: { title: words.title, creator: 'Critica' },
    defaultStyle: { font: 'Sans', fontSize: 10 },
    content,
    footer: (page: number, pages: number): Content => ({
      columns: [
        small(words.title),
        { ...typeset(`${page} of ${pages}`, 'Sans', { fontSize: 8.5, color: QUIET, alignment: 'right' }) }
      ],
      margin: [MARGIN, 8, MARGIN, 0]
    })
  }
}
