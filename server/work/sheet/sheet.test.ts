/** The sheet read back from its PDF: its words, its order, its paper. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { nothingKnown } from '../../../core/critique/piece/known'
import { measurePiece } from '../../../core/critique/piece/measure'
import { readingsOfPiece } from '../../../core/critique/stations/readings'
import { DEFAULT_STANDARDS } from '../../../core/critique/standards'
import { planesOf } from '../../../core/picture/planes'
import { createRaster } from '../../../core/picture/raster'
import { fill } from '../../../core/testing/paint'
import { copyFonts } from './fonts'
import { makeSheet, type SheetRequest } from './sheet'

const fonts = mkdtempSync(join(tmpdir(), 'critica-fonts-'))
beforeAll(() => copyFonts(fonts))
afterAll(() => rmSync(fonts, { recursive: true }))

const raster = fill(fill(createRaster(320, 240), '#5a7898'), '#c89a50', 100, 60, 90, 90)
const known = nothingKnown('painter'),
  measures = measurePiece({
    pixels: { raster, planes: planesOf(raster) },
    source: { format: 'png', width: 320, height: 240 },
    known
  })
const box = { kind: 'rectangle', x: 0.3, y: 0.25, w: 0.3, h: 0.4 } as const
const request: SheetRequest = {
  report: measures.report,
  paper: 'A4',
  trials: [
    { trial: { outside: false, feather: 0.01, strength: 1, operations: [{ kind: 'value', by: 15 }] }, area: box }
  ],
  findings: [{ lens: { name: 'grey' }, label: 'grey, L*', corrections: [0] }],
  words: {
    title: 'Łódka przy moście',
    about: 'Ada Lund · gouache',
    photographed: 'The photograph was straightened.',
    question: 'Does it read?',
    works: ['The big shapes are simple.'],
    corrections: [
      {
        tag: 'V1',
        area: box,
        mark: null,
        what: 'Merges with what is around it',
        reason: 'Two steps apart.',
        todo: 'Lift it by fifteen.',
        shown: '15 steps lighter',
        target: 'at least 15 value steps from what is around it'
      },
      { tag: 'E2', area: null, mark: null, what: 'Edges are alike', reason: '', todo: '', shown: null, target: null }
    ],
    verdict: 'First the **lights**, then *edges*.\n- one\n- two',
    readings: readingsOfPiece(measures, known, DEFAULT_STANDARDS).slice(0, 4),
    exercise: { title: 'Opposites', trains: 'Two hues that face each other', due: '3 December' },
    score: 'Seven of nine'
  }
}

async function read(pdf: Buffer): Promise<{ text: string; width: number; height: number; fonts: string[] }> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const pages = await Promise.all(Array.from({ length: document.numPages }, (_, i) => document.getPage(i + 1)))
  const texts = await Promise.all(
    pages.map(async page => (await page.getTextContent()).items.map(item => ('str' in item ? item.str : '')).join(' '))
  )
  const [, , width, height] = pages[0]!.view
  return {
    text: texts.join(' ').replace(/\s+/g, ' '),
    width: width!,
    height: height!,
    fonts: [...new Set(pdf.toString('latin1').match(/\/BaseFont \/[\w+-]+/g) ?? [])]
  }
}

it('says everything in its order, with letters beyond the latin set, on A4 and on Letter', async () => {
  const a4 = await read(await makeSheet(request, raster, fonts)),
    letter = await read(await makeSheet({ ...request, paper: 'LETTER' }, raster, fonts))
  // ISO 216 A4 is 210 × 297 mm, ANSI Letter 8.5 × 11 in, at 72 points an inch.
  expect([a4.width, a4.height, letter.width, letter.height].map(Math.round)).toEqual([595, 842, 612, 792])
  const order = [
    'dka przy mo',
    'Ada Lund',
    'Does it read?',
    'What works',
    'big shapes',
    'To change',
    'Merges with',
    'Lift it by fifteen',
    'Shown on the picture: 15 steps lighter',
    'Reached with at least 15',
    'E2',
    'V1: grey',
    'The next step',
    'lights',
    'Before, and as it could be',
    'What else was measured',
    request.words.readings[0]!.sentence.slice(0, 20),
    'Score',
    'Exercise: Opposites',
    '3 December'
  ]
  const places = order.map(words => a4.text.indexOf(words))
  expect(order.filter((_, i) => places[i] === -1)).toEqual([])
  expect(places).toEqual([...places].sort((p, q) => p - q))
  expect(a4.text).toMatch(/Ł\s*ó\s*dka/)
  // Shipped typefaces, none of the reader's own.
  expect(a4.fonts.every(name => /InstrumentSans|Newsreader/.test(name))).toBe(true)
})

it('keeps within its margins, an upright picture as well as a wide one', async () => {
  for (const of of [raster, createRaster(256, 320)]) {
    const works = [
      'The jump from the dark wall to the sunlit steps reads from across the room, and holds the eye there.'
    ]
    const pdf = await makeSheet({ ...request, words: { ...request.words, works } }, of, fonts),
      document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
    for (let page = 1; page <= document.numPages; page++) {
      const { items } = await (await document.getPage(page)).getTextContent()
      const ends = items.flatMap(item => ('str' in item ? [(item.transform[4] as number) + item.width] : []))
      expect(Math.max(...ends), `page ${page}`).toBeLessThanOrEqual(595.3 - 42 + 1)
    }
  }
})

const HEADINGS = /^(Whatworks|Tochange|Thenextstep|Before,and|Whatelse|Score|Exercise:)/

it('parts no heading from what stands under it, wherever the page ends', async () => {
  for (let lines = 0; lines < 16; lines++) {
    const works = Array.from({ length: 3 * lines }, () => 'The big shapes hold together.')
    const pdf = await makeSheet({ ...request, words: { ...request.words, works } }, raster, fonts)
    const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
    for (let page = 1; page <= document.numPages; page++) {
      const { items } = await (await document.getPage(page)).getTextContent()
      const placed = items
        .flatMap(item => ('str' in item && item.str.trim() ? [{ text: item.str, y: item.transform[5] as number }] : []))
        // The footer stands within the margin.
        .filter(({ y }) => y > 50)
      const lowest = Math.min(...placed.map(({ y }) => y)),
        line = placed.filter(({ y }) => Math.abs(y - lowest) < 2).map(({ text }) => text)
      expect(line.join('').replace(/\s/g, ''), `${lines}, page ${page}`).not.toMatch(HEADINGS)
    }
  }
})
