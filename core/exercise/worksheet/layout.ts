/**
 * Laying a worksheet out: markers in the corners, the code at the top, greys at the bottom, rows between. Millimetres.
 */
import { linearOfHex } from '../../colour/srgb'
import { schemePositions } from '../../wheel/schemes'
import { EXERCISES, type ExerciseKey } from '../shelf'
import { exerciseSet } from '../checking'
import type { OwnExercise } from '../own/own'
import { keyWord, type Settings } from '../settings'
import { greyOf } from './mixtures'
import { rowsOf, type SheetRow } from './rows'
import {
  PAPER_SIZE,
  type Box,
  type Line,
  type Marker,
  type Paper,
  type Place,
  type PrintedGrey,
  type Worksheet
} from './worksheet'

/** What printers leave white, and the markers: eight modules wide, so each is 1.75 mm. */
const MARGIN = 10,
  MARKER = 14
const BODY = { left: 12, top: 33 } as const
const GAP = 4,
  BOX = 16,
  RUN = { width: 120, height: 16 } as const
const CAPTION = 5,
  LABEL = 4.5,
  BETWEEN = 3
const WHEEL = { radius: 19, block: 54, beside: 90 } as const
/** Millimetres a letter takes at one point: mean of the shipped sans. */
const LETTER = 0.178
/** Points. Nothing is set smaller. */
export const TEXT = { title: 16, words: 9, label: 8 } as const

/** L* of the printed greys; the paper is the white above them. */
const GREYS = [12, 24, 36, 48, 60, 72, 84, 92] as const

/** Breaks a text into lines of at most so many millimetres. */
export function wrap(text: string, width: number, size: number): string[] {
  const most = Math.floor(width / (LETTER * size)),
    lines: string[] = ['']
  for (const word of text.split(' ')) {
    const last = lines.at(-1)!
    if (last && last.length + 1 + word.length > most) lines.push(word)
    else lines[lines.length - 1] = last ? `${last} ${word}` : word
  }
  return lines
}

interface Laid {
  readonly boxes: Box[]
  readonly frames: Place[]
  readonly lines: Line[]
}

/** @property index of the row. @property top, width where it has room. */
interface Room {
  readonly index: number
  readonly top: number
  readonly width: number
}

/** @returns height taken. */
function layRow(row: SheetRow, { index, top, width }: Room, { boxes, frames, lines }: Laid): number {
  const { left } = BODY
  let y = top
  if (row.caption) {
    lines.push({ x: left, y: y + 3.4, size: TEXT.words, text: capital(row.caption), family: 'Sans', width })
    y += CAPTION
  }
  const label = ({ x, w }: { readonly x: number; readonly w: number }, below: number, text: string): void => {
    // Two lines where one is too wide for its box and the gap beside it.
    const parts = wrap(text, w + GAP - 1, TEXT.label)
    parts.forEach((part, i) =>
      lines.push({
        x: x + w / 2,
        y: below + 3.2 + 3.1 * i,
        size: TEXT.label,
        text: part,
        family: 'Sans',
        width: w + GAP,
        middle: true
      })
    )
    deepest = Math.max(deepest, parts.length)
  }
  let deepest = 1
  switch (row.kind) {
    case 'boxes': {
      const shared = row.boxes.some(b => b.share !== undefined)
      let x = left
      row.boxes.forEach((asked, i) => {
        const w = shared ? Math.max(15, (width - 2 * GAP * 2) * asked.share!) : BOX
        boxes.push({
          name: `${index + 1}.${i + 1} ${asked.label}`,
          label: asked.label,
          row: index,
          wanted: asked.wanted,
          x,
          y,
          w,
          h: BOX
        })
        label({ x, w }, y + BOX, asked.label)
        x += w + GAP
      })
      return y + BOX + LABEL + 3.1 * (deepest - 1) + BETWEEN - top
    }
    case 'run':
      boxes.push({
        name: `${index + 1}.1 ${row.label}`,
        label: row.label,
        row: index,
        wanted: row.wanted,
        x: left,
        y,
        w: RUN.width,
        h: RUN.height
      })
      return y + RUN.height + BETWEEN + 2 - top
    case 'frames': {
      const w = (width - (row.count - 1) * 6) / row.count,
        h = Math.min(w * 0.72, 58)
      for (let i = 0; i < row.count; i++) frames.push({ x: left + i * (w + 6), y, w, h })
      return y + h + BETWEEN - top
    }
    case 'ring': {
      const radius = 66,
        centre = { x: left + width / 2, y: y + radius + BOX / 2 + 2 }
      row.boxes.forEach((asked, i) => {
        const turn = (asked.at * Math.PI) / 180
        const x = centre.x + radius * Math.sin(turn) - BOX / 2,
          at = centre.y - radius * Math.cos(turn) - BOX / 2
        boxes.push({
          name: `${index + 1}.${i + 1} ${asked.label}`,
          label: asked.label,
          row: index,
          wanted: asked.wanted,
          x,
          y: at,
          w: BOX,
          h: BOX
        })
        label({ x, w: BOX }, at + BOX, asked.label)
      })
      return centre.y + radius + BOX - top
    }
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

export function cornerMarkers(paper: Paper): Marker[] {
  const { width, height } = PAPER_SIZE[paper],
    right = width - MARGIN - MARKER,
    bottom = height - MARGIN - MARKER
  const corners = [
    [MARGIN, MARGIN],
    [right, MARGIN],
    [right, bottom],
    [MARGIN, bottom]
  ]
  return corners.map(([x, y], i) => ({
    x,
    y,
    w: MARKER,
    h: MARKER,
    corner: i as Marker['corner'],
    // The paper stands in the markers: places are known before the code is read.
    id: i + (paper === 'a4' ? 0 : 4)
  }))
}

function printedGreys(paper: Paper): PrintedGrey[] {
  const { width, height } = PAPER_SIZE[paper],
    left = MARGIN + MARKER + 5,
    each = (width - 2 * left) / GREYS.length
  return GREYS.map((value, i) => ({
    x: left + i * each,
    y: height - MARGIN - MARKER,
    w: each,
    h: 10,
    linear: linearOfHex(greyOf(value))[0]
  }))
}

interface Sheet {
  readonly exercise: ExerciseKey
  /** Whose words stand on it; the places are those of the exercise that it began as. */
  readonly own?: OwnExercise | null
  readonly settings: Settings
  readonly paper: Paper
  /** Of what was set; 0 for a sheet of nobody's. */
  readonly number?: number
  /** For whom it is printed. */
  readonly name?: string
}

/**
 * @returns the sheet of an exercise. Rows that find no room are left out: never one that has boxes. @throws RangeError
 * when boxes do not fit.
 */
export function worksheetOf({ exercise, own = null, settings, paper, number = 0, name = '' }: Sheet): Worksheet {
  const { width, height } = PAPER_SIZE[paper],
    { title, keyed, trains, steps } = exerciseSet({ exercise, own })
  const across = width - 2 * BODY.left,
    bottom = height - MARGIN - MARKER - 9
  const laid: Laid = { boxes: [], frames: [], lines: [] }
  const codePlace: Place = { x: width - MARGIN - MARKER - 4 - 20, y: 8, w: 20, h: 20 }
  const head = MARGIN + MARKER + 5,
    room = codePlace.x - head - 3
  const key = keyed ? keyWord(settings) : null
  laid.lines.push({ x: head, y: 15.5, size: TEXT.title, text: title, family: 'Serif', width: room })
  const whose = [name, key && `key colour ${key}`, `${settings.wheel} wheel`].filter(Boolean).join(' · ')
  laid.lines.push({ x: head, y: 21, size: TEXT.words, text: whose, family: 'Sans', width: room })
  if (!name) laid.lines.push({ x: head, y: 26.5, size: TEXT.words, text: 'Name', family: 'Sans', width: room })
  let y: number = BODY.top
  const text = (lines: readonly string[], [x, from]: readonly [number, number], w: number): number => {
    let at = from
    lines.forEach((line, i) =>
      wrap(line, w, TEXT.words).forEach((part, j) => {
        laid.lines.push({
          x,
          y: (at += j === 0 && i > 0 ? 4.9 : 3.9),
          size: TEXT.words,
          text: part,
          family: 'Sans',
          width: w
        })
      })
    )
    return at
  }
  const words = [`${trains}.`, ...steps.map((s, i) => `${i + 1}. ${s}`)]
  const rows = rowsOf(exercise, settings),
    isRing = rows.some(r => r.kind === 'ring')
  const wheel =
    keyed && !isRing
      ? {
          x: BODY.left + WHEEL.beside / 2 - 3,
          y: y + WHEEL.block / 2,
          radius: WHEEL.radius,
          at: schemeAt(exercise, settings)
        }
      : null
  if (wheel) {
    text(words, [BODY.left + WHEEL.beside, y], across - WHEEL.beside)
    y += WHEEL.block + 2
  } else y = text(words, [BODY.left, y], across) + 5
  for (const [i, row] of rows.entries()) {
    const before = { boxes: laid.boxes.length, frames: laid.frames.length, lines: laid.lines.length }
    const taken = layRow(row, { index: i, top: y, width: across }, laid)
    if (y + taken > bottom + BETWEEN) {
      if (row.kind !== 'frames') throw new RangeError(`the boxes of "${exercise}" do not fit on ${paper}`)
      laid.frames.length = before.frames
      laid.lines.length = before.lines
      break
    }
    y += taken
  }
  laid.lines.push({
    x: head,
    y: height - MARGIN - 1,
    size: TEXT.label,
    text: 'Leave the greys, the corner marks and the paper between the boxes as they are: the sheet is read by them.',
    family: 'Sans',
    width: width - 2 * head
  })
  return {
    code: { exercise, number, settings, paper },
    settings,
    paper,
    width,
    height,
    ...laid,
    greys: printedGreys(paper),
    markers: cornerMarkers(paper),
    codePlace,
    wheel
  }
}

/** What the labelled wheel points at: the key colour, and the scheme's others. */
function schemeAt(exercise: ExerciseKey, { hue }: Settings): number[] {
  const { plan } = EXERCISES[exercise]
  if (hue === null) return []
  return plan ? schemePositions(plan, hue) : [hue]
}
