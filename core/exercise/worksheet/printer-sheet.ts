/**
 * The two pages that a printer is known by: the same greys, once from a good printer and once from one's own,
 * photographed side by side. What a camera makes of the first tells what the second are.
 */
import type { Rgb } from '../../colour/srgb'
import { writePrinterCode, type PrinterCode } from './code'
import { sheetFrame, TEXT, wrap } from './frame'
import { PAPER_SIZE, type Line, type PrintedSheet } from './worksheet'

/** Light that a printer's greys send back, of the paper's, from the darkest: linear, a channel each. */
export type PrinterGreys = readonly Rgb[]

const WORDS: Readonly<Record<PrinterCode['role'], { readonly title: string; readonly steps: readonly string[] }>> = {
  measure: {
    title: 'The measure',
    steps: [
      'Have this page printed by a good printer, in colour, on plain white paper: a copy shop, or the school’s best.',
      'It says what greys are to be. Print it once, and keep it flat.'
    ]
  },
  own: {
    title: 'Your own printer',
    steps: [
      'Print this page on the printer that your worksheets come from, as you always print them, at full size.',
      'Lay both pages side by side in even light, and photograph them together, all eight corner marks in the picture.',
      'Bring the photograph to the page where you found these two. From then on your sheets are read by your own greys.'
    ]
  }
}

export function printerSheet(code: PrinterCode): PrintedSheet {
  const { paper, role } = code,
    { width, height } = PAPER_SIZE[paper],
    { head, room, note, ...frame } = sheetFrame(paper),
    { title, steps } = WORDS[role]
  const lines: Line[] = [{ x: head, y: 15.5, size: TEXT.title, text: title, family: 'Serif', width: room }]
  let y = 42
  for (const [i, step] of steps.entries()) {
    for (const text of wrap(`${i + 1}. ${step}`, width - 2 * head, TEXT.words + 2)) {
      lines.push({ x: head, y, size: TEXT.words + 2, text, family: 'Sans', width: width - 2 * head })
      y += 5
    }
    y += 2
  }
  return { ...frame, text: writePrinterCode(code), paper, width, height, boxes: [], frames: [], lines, wheel: null }
}
