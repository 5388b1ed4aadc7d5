/** What a worksheet's printed code says: which sheet it is. Names nobody: whose it is stands behind the number. */
import { WHEEL_NAMES, type WheelName } from '../../wheel/steps'
import { EXERCISE_KEYS, type ExerciseKey } from '../shelf'
import { TOLERANCES, type Settings } from '../settings'
import { PAPERS, type Paper } from './worksheet'

/** Raised when places change: an older sheet then says that it is one. */
export const SHEET_VERSION = 1

/**
 * @property number of what was set; 0 for a sheet of nobody's. @property printer whose printer it came from, by their
 * number; 0 where nobody says.
 */
export interface SheetCode {
  readonly exercise: ExerciseKey
  readonly number: number
  readonly settings: Pick<Settings, 'wheel' | 'hue' | 'tolerance'>
  readonly paper: Paper
  readonly printer: number
}

const WHEEL_LETTER: Readonly<Record<WheelName, string>> = { painter: 'p', process: 'c', perceptual: 'e' }

const PAPER_LETTER: Readonly<Record<Paper, string>> = { a4: 'a', letter: 'l' }
const paperOf = (letter: string | undefined): Paper | null => PAPERS.find(p => PAPER_LETTER[p] === letter) ?? null
/** @returns null for what is no whole number from 0 on. */
const wholeOf = (text: string | undefined): number | null => (text && /^\d{1,12}$/.test(text) ? Number(text) : null)

/** As it is printed: short, so that its squares are large. */
export function writeCode({ exercise, number, settings, paper, printer }: SheetCode): string {
  const { wheel, hue, tolerance } = settings
  const parts = [exercise, WHEEL_LETTER[wheel], hue ?? 'x', tolerance[0], PAPER_LETTER[paper], number]
  return [`CR${SHEET_VERSION}`, ...parts, ...(printer ? [printer] : [])].join('.')
}

/** @returns null for anything that is no code of ours, or of a version that this one does not read. */
export function readCode(text: string): SheetCode | null {
  const [version, exercise, wheelLetter, hue, tolerance, paperLetter, which, by = '0', ...more] = text.split('.')
  const key = EXERCISE_KEYS.find(k => k === exercise),
    wheel = WHEEL_NAMES.find(w => WHEEL_LETTER[w] === wheelLetter),
    held = TOLERANCES.find(t => t[0] === tolerance)
  const degrees = hue === 'x' ? null : wholeOf(hue),
    number = wholeOf(which),
    printer = wholeOf(by),
    paper = paperOf(paperLetter)
  if (version !== `CR${SHEET_VERSION}` || !key || !wheel || !held || more.length > 0) return null
  if (hue !== 'x' && (degrees === null || degrees >= 360)) return null
  if (!paper || number === null || printer === null) return null
  return { exercise: key, number, settings: { wheel, hue: degrees, tolerance: held }, paper, printer }
}

/**
 * Of a page that a printer is calibrated by. @property role `measure` comes from a good printer, `own` from the one
 * that is to be known.
 */
export interface PrinterCode {
  readonly role: 'measure' | 'own'
  readonly paper: Paper
  /** Whose printer. */
  readonly printer: number
}

export const writePrinterCode = ({ role, paper, printer }: PrinterCode): string =>
  [`CP${SHEET_VERSION}`, role[0], PAPER_LETTER[paper], printer].join('.')

/** @returns null for any other code. */
export function readPrinterCode(text: string): PrinterCode | null {
  const [version, letter, paperLetter, by, ...more] = text.split('.'),
    role = (['measure', 'own'] as const).find(r => r[0] === letter),
    paper = paperOf(paperLetter),
    printer = wholeOf(by)
  if (version !== `CP${SHEET_VERSION}` || more.length > 0 || !role || !paper || printer === null) return null
  return { role, paper, printer }
}
