/**
 * `npm run --silent worksheet -- EXERCISE --out FILE.pdf|FILE.svg [--paper a4|letter] [--wheel …] [--hue DEG]`: writes
 * a worksheet and prints its code and boxes as one JSON line.
 */
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { EXERCISE_KEYS, PLAIN_SETTINGS } from '../core/exercise'
import { worksheetOf } from '../core/exercise/worksheet/layout'
import { worksheetSvg } from '../core/exercise/worksheet/svg'
import { PAPERS } from '../core/exercise/worksheet/worksheet'
import { round1 } from '../core/numeric/round'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { copyFonts } from '../server/work/sheet/fonts'
import { PRINTING } from '../shared/printed-marks'
import { printWorksheets, type WorksheetAsked } from '../server/work/worksheet/print'
import { command, oneOf, readArguments, UsageError } from './arguments'

const OPTIONS = {
  out: { type: 'string' },
  paper: { type: 'string' },
  wheel: { type: 'string' },
  hue: { type: 'string' }
} as const

/** Whole degrees of the wheel. @throws UsageError. */
function readHue(text: string | undefined): number | null {
  if (text === undefined) return null
  const degrees = text.trim() === '' ? NaN : Number(text)
  if (!Number.isFinite(degrees)) throw new UsageError(`--hue is a number of degrees on the wheel, not "${text}"`)
  return ((Math.round(degrees) % 360) + 360) % 360
}

async function pdfOf(asked: WorksheetAsked): Promise<Buffer> {
  const fonts = await mkdtemp(join(tmpdir(), 'critica-fonts-'))
  try {
    copyFonts(fonts)
    return await printWorksheets({ sheets: [asked], answers: false }, fonts)
  } finally {
    await rm(fonts, { recursive: true })
  }
}

await command(async () => {
  const { values, positionals } = readArguments(process.argv.slice(2), OPTIONS, 'exercise')
  const [name, ...more] = positionals,
    exercise = EXERCISE_KEYS.find(k => k === name)
  if (!exercise) throw new UsageError(`"${name}" is no exercise; there are ${EXERCISE_KEYS.join(', ')}`)
  if (more.length > 0) throw new UsageError('one exercise at a time')
  const { out } = values
  if (!out || !/\.(pdf|svg)$/i.test(out)) throw new UsageError('--out names a file that ends in .pdf or .svg')
  const asked: WorksheetAsked = {
    exercise,
    settings: { ...PLAIN_SETTINGS, wheel: oneOf('wheel', values.wheel, WHEEL_NAMES), hue: readHue(values.hue) },
    paper: oneOf('paper', values.paper, PAPERS)
  }
  const sheet = worksheetOf(asked)
  try {
    await writeFile(out, /\.svg$/i.test(out) ? worksheetSvg(sheet, PRINTING) : await pdfOf(asked))
  } catch (error) {
    throw new UsageError(`${out} cannot be written: ${(error as Error).message.split('\n')[0]}`)
  }
  const boxes = sheet.boxes.map(({ name, x, y, w, h, wanted }) => ({
    name,
    place: [x, y, w, h].map(round1),
    wanted: wanted.kind === 'value' ? round1(wanted.value) : wanted.hex
  }))
  process.stdout.write(`${JSON.stringify({ file: out, code: sheet.text, boxes })}\n`)
  return 0
})
