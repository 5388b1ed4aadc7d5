/** What a worksheet's printed code says: which sheet it is. Names nobody: whose it is stands behind the number. */
import { WHEEL_NAMES, type WheelName } from '../../wheel/steps'
import { EXERCISE_KEYS, type ExerciseKey } from '../shelf'
import { TOLERANCES, type Settings } from '../settings'
import type { Paper } from './worksheet'

/** Raised when places change: an older sheet then says that it is one. */
export const SHEET_VERSION = 1

/** @property number of what was set; 0 for a sheet of nobody's. */
export interface SheetCode {
  readonly exercise: ExerciseKey
  readonly number: number
  readonly settings: Pick<Settings, 'wheel' | 'hue' | 'tolerance'>
  readonly paper: Paper
}

const WHEEL_LETTER: Readonly<Record<WheelName, string>> = { painter: 'p', process: 'c', perceptual: 'e' }

/** As it is printed: short, so that its squares are large. */
export const writeCode = ({ exercise, number, settings: { wheel, hue, tolerance }, paper }: SheetCode): string =>
  [`CR${SHEET_VERSION}`, exercise, WHEEL_LETTER[wheel], hue ?? 'x', tolerance[0], paper[0], number].join('.')

/** @returns null for anything that is no code of ours, or of a version that this one does not read. */
export function readCode(text: string): SheetCode | null {
  const [version, exercise, wheelLetter, hue, tolerance, paper, number, ...more] = text.split('.')
  const key = EXERCISE_KEYS.find(k => k === exercise),
    wheel = WHEEL_NAMES.find(w => WHEEL_LETTER[w] === wheelLetter),
    held = TOLERANCES.find(t => t[0] === tolerance)
  const degrees = hue === 'x' ? null : Number(hue),
    which = Number(number)
  if (version !== `CR${SHEET_VERSION}` || !key || !wheel || !held || more.length > 0) return null
  if (degrees !== null && !(Number.isInteger(degrees) && degrees >= 0 && degrees < 360)) return null
  if ((paper !== 'a' && paper !== 'l') || !Number.isSafeInteger(which) || which < 0) return null
  return {
    exercise: key,
    number: which,
    settings: { wheel, hue: degrees, tolerance: held },
    paper: paper === 'a' ? 'a4' : 'letter'
  }
}
