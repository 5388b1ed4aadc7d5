/**
 * `npm run --silent measure -- FILE…`: one report a line (JSON Lines), in the order given. A file
 * that cannot be measured gets an error on its line, the rest still run, and the exit status is 1.
 */
import { readFile } from 'node:fs/promises'
import { z } from 'zod'
import { nothingKnown } from '../core/critique/piece/known'
import { measurePiece } from '../core/critique/piece/measure'
import { asShown } from '../core/critique/first'
import { readingsOfPiece } from '../core/critique/stations/readings'
import { DEFAULT_STANDARDS } from '../core/critique/standards'
import { measurePicture } from '../core/measure/picture'
import { planesOf } from '../core/picture/planes'
import type { Area } from '../core/picture/area'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { decodePicture, READABLE } from '../server/work/decode'
import { reportSchema } from '../shared/report'
import { command, oneOf, readArguments, UsageError } from './arguments'
import { areaOf, box, boxArea, place, readJson } from './places'

const OPTIONS = {
  wheel: { type: 'string' },
  ground: { type: 'string' },
  focus: { type: 'string' },
  areas: { type: 'string' },
  pairs: { type: 'string' },
  readings: { type: 'boolean' }
} as const

const areasFile = z.array(z.object({ name: z.string().min(1), area: place })).min(1)

const pairsFile = z.array(z.object({ name: z.string().min(1), lit: box, shadow: box })).min(1)

/** `x,y,w,h` in fractions. @throws UsageError for anything else. */
function readFocus(text: string | undefined): Area | null {
  if (text === undefined) return null
  const result = box.safeParse(text.split(',').map(part => (part.trim() === '' ? NaN : Number(part))))
  if (!result.success)
    throw new UsageError(`--focus is x,y,w,h in fractions of the picture, as in 0.3,0.2,0.25,0.4, not "${text}"`)
  return boxArea(result.data)
}

await command(async () => {
  const { values, positionals } = readArguments(process.argv.slice(2), OPTIONS, 'picture file')
  const wheel = oneOf('wheel', values.wheel, WHEEL_NAMES)
  oneOf('ground', values.ground, ['grey', 'white', 'black'])
  const focus = readFocus(values.focus)
  const areas = (
    (await readJson({
      option: 'areas',
      file: values.areas,
      schema: areasFile,
      shape: '[{ "name", "area": [x,y,w,h] or [[x,y],…] }]'
    })) ?? []
  ).map(({ name, area }, id) => ({ id, name, area: areaOf(area) }))
  const pairs = (
    (await readJson({
      option: 'pairs',
      file: values.pairs,
      schema: pairsFile,
      shape: '[{ "name", "lit": [x,y,w,h], "shadow": [x,y,w,h] }]'
    })) ?? []
  ).map(({ name, lit, shadow }) => ({ name, lit: boxArea(lit), shadow: boxArea(shadow) }))
  let failed = false
  for (const file of positionals) {
    const line = await measureFile(file)
    failed ||= 'error' in line
    process.stdout.write(`${JSON.stringify(line)}\n`)
  }
  return failed ? 1 : 0

  async function measureFile(file: string): Promise<object> {
    try {
      const outcome = await decodePicture(await readFile(file), READABLE)
      if (outcome.kind === 'refused') return { file, error: outcome.message }
      const { raster, source } = outcome,
        known = { ...nothingKnown(wheel), focus, areas, pairs }
      const pixels = { raster, planes: planesOf(raster) }
      // Everything that is said beside the report costs time: only those who ask for it wait for it.
      if (!values.readings)
        return {
          file,
          ...reportSchema.parse(
            measurePicture({ raster, source, options: { wheel, focus, areas, pairs }, planes: pixels.planes })
          )
        }
      const measures = measurePiece({ pixels, source, known }),
        readings = readingsOfPiece(measures, known, { ...DEFAULT_STANDARDS, wheel })
      return {
        file,
        ...reportSchema.parse(measures.report),
        readings: asShown(readings).map(({ id, station, verdict, sentence, first }) => ({
          id,
          station,
          verdict,
          sentence,
          ...(first ? { first: true } : {})
        }))
      }
    } catch (error) {
      const { code, message } = error as NodeJS.ErrnoException
      return {
        file,
        error:
          code === 'ENOENT'
            ? 'There is no such file.'
            : code === 'EISDIR'
              ? 'This is a folder, not a picture.'
              : message
      }
    }
  }
})
