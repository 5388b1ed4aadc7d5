/**
 * `npm run --silent straighten -- PHOTO`: one JSON line: where the sheet lies in the photograph, how sure that is, its
 * proportions, the lamp's colour, how the light falls off, what is to be doubted; with `--out` the sheet, as PNG.
 */
import { readFile } from 'node:fs/promises'
import sharp from 'sharp'
import type { Point } from '../core/numeric/homography'
import { middleOf } from '../core/numeric/quad'
import { roundTo } from '../core/numeric/round'
import { correctPhoto } from '../core/photo/correct'
import type { PhotoSteps } from '../core/photo/steps'
import { findSheet } from '../core/photo/find/find'
import { findStrip } from '../core/photo/strip/find'
import { SEEING } from '../shared/printed-marks'
import { decodeFull } from '../server/work/layers/layers'
import { command, readArguments, UsageError } from './arguments'

/** @throws UsageError unless it is so many numbers from 0 to 1. */
function fractions(option: string, text: string, count: number): number[] {
  const numbers = text.split(',').map(Number)
  if (numbers.length !== count || numbers.some(v => !(v >= 0 && v <= 1)) || text.split(',').some(t => !t.trim()))
    throw new UsageError(`--${option} is ${count} numbers from 0 to 1 with commas between, not "${text}"`)
  return numbers
}
const pairs = (numbers: readonly number[]): Point[] =>
  Array.from({ length: numbers.length / 2 }, (_, i) => ({ x: numbers[2 * i]!, y: numbers[2 * i + 1]! }))

const said = (error: unknown): string => {
  const { code, message } = error as NodeJS.ErrnoException
  if (error instanceof RangeError) return message
  if (code === 'ENOENT') return 'There is no such file.'
  return code === 'EISDIR'
    ? 'This is a folder, not a picture.'
    : `It cannot be opened as a picture: ${message.split('\n')[0]}`
}

await command(async () => {
  const { values, positionals } = readArguments(
    process.argv.slice(2),
    { corners: { type: 'string' }, white: { type: 'string' }, out: { type: 'string' } },
    'photograph'
  )
  const [file, ...more] = positionals
  if (more.length) throw new UsageError('name one photograph')
  if (values.out !== undefined && !/\.png$/i.test(values.out)) throw new UsageError('--out is a file that ends in .png')
  const set = values.corners === undefined ? null : pairs(fractions('corners', values.corners, 8)),
    white = values.white === undefined ? null : pairs(fractions('white', values.white, 2))[0]!
  const write = (line: object): void => void process.stdout.write(`${JSON.stringify({ file, ...line })}\n`)
  try {
    const photo = await decodeFull(await readFile(file!)),
      strip = white ? null : findStrip(photo, SEEING),
      found = set ? { corners: set, sure: true } : findSheet(photo, strip && middleOf(strip))
    const steps: PhotoSteps = {
      corners: found.sure ? found.corners : null,
      ratio: null,
      known: white && { ...white, as: 'white' },
      strip,
      even: true
    }
    const {
      raster,
      ratio,
      cast,
      falloff,
      strip: off,
      doubts
    } = correctPhoto(photo, steps, {
      edge: values.out ? null : 1024
    })
    if (values.out) {
      const { width, height, data } = raster
      await sharp(data, { raw: { width, height, channels: 4 } })
        .removeAlpha()
        .png()
        .toFile(values.out)
    }
    write({
      corners: found.corners.map(({ x, y }) => [roundTo(x, 4), roundTo(y, 4)]),
      sure: found.sure,
      ratio: roundTo(ratio, 3),
      cast: cast && cast.map(v => roundTo(v, 2)),
      falloff: falloff === null ? null : roundTo(falloff, 3),
      doubts: doubts.map(d => d.sentence),
      ...(off ? { strip: { before: roundTo(off.before, 1), after: roundTo(off.after, 1) } } : {})
    })
    return 0
  } catch (error) {
    if (error instanceof UsageError) throw error
    write({ error: said(error) })
    return 1
  }
})
