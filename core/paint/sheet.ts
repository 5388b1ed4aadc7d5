/**
 * The swatch sheet: kept colours as they are printed, each with a box beside it to paint what it was mixed from; and
 * what a photograph of the painted sheet says they gave.
 */
import { hexOfLinear } from '../colour/srgb'
import type { Raster } from '../picture/raster'
import { seeBox } from '../exercise/reader/boxes'
import { findSheets } from '../exercise/reader/find'
import { lightOn, toneOf } from '../exercise/reader/light'
import { readPrintedCode } from '../exercise/reader/printed-code'
import type { Seeing } from '../exercise/reader/seeing'
import { sheetFrame, TEXT, wrap } from '../exercise/worksheet/frame'
import {
  PAPERS,
  PAPER_SIZE,
  type Box,
  type Line,
  type Paper,
  type Patch,
  type PrintedSheet
} from '../exercise/worksheet/worksheet'

/** On one sheet: more makes its code too fine for a telephone. */
export const MOST_ON_SHEET = 12
const COLUMNS = 3,
  ROW = 48,
  FIRST_ROW = 44,
  SIDE = 25,
  LINES = 3

/** @property hex of what the mixture is reckoned to give. @property words under it. */
export interface SheetSwatch {
  readonly id: number
  readonly hex: string
  readonly words: string
}

const VERSION = 'CS1'
const PAPER_LETTER: Readonly<Record<Paper, string>> = { a4: 'a', letter: 'l' }

const writeCode = (paper: Paper, ids: readonly number[]): string =>
  [VERSION, PAPER_LETTER[paper], ...ids.map(id => id.toString(36))].join('.')

/** @returns null for any other code. */
export function readSwatchCode(text: string): { readonly paper: Paper; readonly ids: readonly number[] } | null {
  const [version, letter, ...rest] = text.split('.'),
    paper = PAPERS.find(p => PAPER_LETTER[p] === letter)
  if (version !== VERSION || !paper || !rest.length || rest.length > MOST_ON_SHEET) return null
  if (!rest.every(r => /^[0-9a-z]{1,7}$/.test(r))) return null
  return { paper, ids: rest.map(r => Number.parseInt(r, 36)) }
}

const TITLE = 'Swatches'
const HOW =
  'Mix each as it says, paint it into the empty box beside, let it dry, and photograph the sheet flat in even light.'

function placesOf(paper: Paper, count: number): { readonly x: number; readonly y: number; readonly each: number }[] {
  const { head } = sheetFrame(paper),
    each = (PAPER_SIZE[paper].width - 2 * head) / COLUMNS
  return Array.from({ length: count }, (_, i) => ({
    x: head + (i % COLUMNS) * each,
    y: FIRST_ROW + Math.floor(i / COLUMNS) * ROW,
    each
  }))
}

const boxAt = (id: number, { x, y }: { x: number; y: number }, hex: string): Box => ({
  name: `${id}`,
  label: '',
  row: 0,
  x: x + SIDE,
  y,
  w: SIDE,
  h: SIDE,
  wanted: { kind: 'colour', hex }
})

/** @throws RangeError for none, or more than fit. */
export function swatchSheet(paper: Paper, swatches: readonly SheetSwatch[]): PrintedSheet {
  if (!swatches.length || swatches.length > MOST_ON_SHEET)
    throw new RangeError(`A sheet holds between one swatch and ${MOST_ON_SHEET}.`)
  const { width, height } = PAPER_SIZE[paper],
    { head, room, note, ...frame } = sheetFrame(paper),
    places = placesOf(paper, swatches.length),
    lines: Line[] = [{ x: head, y: 15.5, size: TEXT.title, text: TITLE, family: 'Serif', width: room }]
  wrap(HOW, room, TEXT.words).forEach((text, i) =>
    lines.push({ x: head, y: 22 + 4.2 * i, size: TEXT.words, text, family: 'Sans', width: room })
  )
  swatches.forEach(({ words }, i) => {
    const { x, y, each } = places[i]
    wrap(words, each - 4, TEXT.label)
      .slice(0, LINES)
      .forEach((text, k) =>
        lines.push({ x, y: y + SIDE + 4.5 + 3.6 * k, size: TEXT.label, text, family: 'Sans', width: each - 4 })
      )
  })
  lines.push(note)
  return {
    ...frame,
    text: writeCode(
      paper,
      swatches.map(s => s.id)
    ),
    paper,
    width,
    height,
    boxes: swatches.map(({ id, hex }, i) => boxAt(id, places[i], hex)),
    patches: swatches.map(({ hex }, i): Patch => ({ x: places[i].x, y: places[i].y, w: SIDE, h: SIDE, hex })),
    frames: [],
    lines,
    wheel: null
  }
}

export type SwatchOutcome =
  | { readonly kind: 'read'; readonly swatches: readonly { readonly id: number; readonly hex: string }[] }
  | { readonly kind: 'unread'; readonly reason: string }

/** Light that lies unevenly by more, in logarithms, or boxes that shine: a colour of them is none. */
const SHINES = 0.2

/** @param photo all its pixels. @returns what was painted; boxes that are empty or shine are left out. */
export function readSwatches(photo: Raster, seeing: Seeing): SwatchOutcome {
  const sheets = findSheets(photo, seeing),
    unread = (reason: string): SwatchOutcome => ({ kind: 'unread', reason })
  if (!sheets.length)
    return unread('No swatch sheet is found: all four corner marks must be seen, and it must lie flat.')
  const swatches: { id: number; hex: string }[] = []
  let known = false
  for (const { map, paper } of sheets) {
    const at = { photo, map },
      code = readPrintedCode(at, sheetFrame(paper).codePlace, { seeing, parse: readSwatchCode })
    if (!code) continue
    known = true
    const sheet = swatchSheet(
        paper,
        code.ids.map(id => ({ id, hex: '#777777', words: '' }))
      ),
      light = lightOn(at, sheet),
      tone =
        light
        && toneOf(
          at,
          sheet.greys.map(g => ({ ...g, wanted: [g.linear, g.linear, g.linear] as const })),
          light
        )
    if (!light || !tone) return unread('The greys of the sheet cannot be read: are they covered, or in a shadow?')
    for (const box of sheet.boxes) {
      const { colour, clipped } = seeBox(at, box, { light, tone: tone.tone })
      if (colour && clipped < SHINES) swatches.push({ id: Number(box.name), hex: hexOfLinear(colour) })
    }
  }
  if (!known) return unread('The square code cannot be read: it is covered, blurred, or of another kind of sheet.')
  return swatches.length ? { kind: 'read', swatches } : unread('No box of this sheet is painted, or all of them shine.')
}
