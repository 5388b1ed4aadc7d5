/**
 * Laying a worksheet out: markers in the corners, the code at the top, greys at the bottom, rows between. Millimetres.
 */
import { schemePositions } from '../../wheel/schemes'
import { EXERCISES, type ExerciseKey } from '../shelf'
import { exerciseSet } from '../checking'
import type { OwnExercise } from '../own/own'
import { keyWord, type Settings } from '../settings'
import { writeCode } from './code'
import { MARGIN, MARKER, sheetFrame, TEXT, wrap } from './frame'
import { rowsOf, type SheetRow } from './rows'
import { PAPER_SIZE, type Box, type Line, type Paper, type Place, type Worksheet } from './worksheet'

const BODY = { left: 12, top: 33 } as const
const GAP = 4,
  BOX = 16,
  RUN = { width: 120, height: 16 } as const
const CAPTION = 5,
  LABEL = 4.5,
  BETWEEN = 3
const WHEEL = { radius: 19, block: 54, beside: 90 } as const

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
  /** Whose printer it comes from. */
  readonly printer?: number
}

/**
 * @returns the sheet of an exercise. Rows that find no room are left out: never one that has boxes. @throws RangeError
 * when boxes do not fit.
 */
export function worksheetOf({
  exercise,
  own = null,
  settings,
  paper,
  number = 0,
  name = '',
  printer = 0
}: Sheet): Worksheet {
  const { width, height } = PAPER_SIZE[paper],
    { title, keyed, trains, steps } = exerciseSet({ exercise, own })
  const across = width - 2 * BODY.left,
    bottom = height - MARGIN - MARKER - 9
  const laid: Laid = { boxes: [], frames: [], lines: [] }
  const { codePlace, head, room, note, greys, markers } = sheetFrame(paper)
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
          name: settings.wheel,
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
  laid.lines.push(note)
  const code = { exercise, number, settings, paper, printer }
  return {
    code,
    text: writeCode(code),
    settings,
    paper,
    width,
    height,
    ...laid,
    greys,
    markers,
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
