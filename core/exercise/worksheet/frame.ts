/**
 * What every printed page of ours has, wherever it is read: markers in its corners, its code, its greys. Millimetres.
 */
import { linearOfHex } from '../../colour/srgb'
import { greyOf } from './mixtures'
import { PAPER_SIZE, type Line, type Marker, type Paper, type Place, type PrintedGrey } from './worksheet'

/** What printers leave white, and the markers: eight modules wide, so each is 1.75 mm. */
export const MARGIN = 10,
  MARKER = 14
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

export interface SheetFrame {
  readonly greys: readonly PrintedGrey[]
  readonly markers: readonly Marker[]
  readonly codePlace: Place
  /** Beside the greys. */
  readonly note: Line
  /** Where the head's words begin, and how much room they have. */
  readonly head: number
  readonly room: number
}

export function sheetFrame(paper: Paper): SheetFrame {
  const { width, height } = PAPER_SIZE[paper],
    codePlace: Place = { x: width - MARGIN - MARKER - 4 - 20, y: 8, w: 20, h: 20 },
    head = MARGIN + MARKER + 5
  const note: Line = {
    x: head,
    y: height - MARGIN - 1,
    size: TEXT.label,
    text: 'Leave the greys, the corner marks and the paper between the boxes as they are: the sheet is read by them.',
    family: 'Sans',
    width: width - 2 * head
  }
  return {
    greys: printedGreys(paper),
    markers: cornerMarkers(paper),
    codePlace,
    note,
    head,
    room: codePlace.x - head - 3
  }
}
