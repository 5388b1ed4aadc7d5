/**
 * `npm run --silent measure -- FILE…`: one report a line (JSON Lines), in the order given. A file
 * that cannot be measured gets an error on its line, the rest still run, and the exit status is 1.
 */
import { readFile } from 'node:fs/promises'
import { z } from 'zod'
import { measurePicture, type NamedArea } from '../core/measure/picture'
import type { Area } from '../core/picture/area'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { decodePicture, READABLE } from '../server/work/decode'
import { reportSchema } from '../shared/report'
import { command, oneOf, readArguments, UsageError } from './arguments'

const OPTIONS = { wheel: { type: 'string' }, ground: { type: 'string' }, areas: { type: 'string' } } as const

const box = z.tuple([z.number(), z.number(), z.number().positive(), z.number().positive()])
const areasFile = z.array(z.object({ name: z.string().min(1), area: z.union([box, z.array(z.tuple([z.number(), z.number()])).min(3)]) })).min(1)

const areaOf = (given: z.infer<typeof areasFile>[number]['area']): Area =>
  (typeof given[0] === 'number'
    ? { kind: 'rectangle', x: given[0], y: given[1] as number, w: given[2] as number, h: given[3] as number }
    : { kind: 'polygon', points: given as [number, number][] })

/** @throws UsageError when the file is missing, no JSON, or of another shape. */
async function readAreas(file: string | undefined): Promise<NamedArea[]> {
  if (file === undefined) return []
  let json: unknown
  try {
    json = JSON.parse(await readFile(file, 'utf8'))
  } catch (error) {
    throw new UsageError(`--areas ${file}: ${(error as Error).message.split('\n')[0]}`)
  }
  const result = areasFile.safeParse(json)
  if (!result.success) throw new UsageError(`--areas ${file}: expected [{ "name", "area": [x,y,w,h] or [[x,y],…] }]`)
  return result.data.map(({ name, area }) => ({ name, area: areaOf(area) }))
}

await command(async () => {
  const { values, positionals } = readArguments(process.argv.slice(2), OPTIONS, 'picture file')
  const wheel = oneOf('wheel', values.wheel, WHEEL_NAMES)
  oneOf('ground', values.ground, ['grey', 'white', 'black'])
  const areas = await readAreas(values.areas)
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
      return { file, ...reportSchema.parse(measurePicture(outcome.raster, outcome.source, { wheel, areas })) }
    } catch (error) {
      const { code, message } = error as NodeJS.ErrnoException
      return { file, error: code === 'ENOENT' ? 'There is no such file.' : code === 'EISDIR' ? 'This is a folder, not a picture.' : message }
    }
  }
})
