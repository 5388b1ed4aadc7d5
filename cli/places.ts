/** Files of places and other JSON that commands read. */
import { readFile } from 'node:fs/promises'
import { z } from 'zod'
import type { Area } from '../core/picture/area'
import { UsageError } from './arguments'

/** `[x,y,w,h]` in fractions of the picture. */
export const box = z.tuple([z.number(), z.number(), z.number().positive(), z.number().positive()])
/** A box, or a polygon's corners. */
export const place = z.union([box, z.array(z.tuple([z.number(), z.number()])).min(3)])

export const boxArea = ([x, y, w, h]: z.infer<typeof box>): Area => ({ kind: 'rectangle', x, y, w, h })
export const areaOf = (given: z.infer<typeof place>): Area =>
  typeof given[0] === 'number'
    ? boxArea(given as z.infer<typeof box>)
    : { kind: 'polygon', points: given as [number, number][] }

/** @throws UsageError when the file is missing, no JSON, or of another shape. */
export async function readJson<S extends z.ZodType>({
  option,
  file,
  schema,
  shape
}: {
  option: string
  file: string | undefined
  schema: S
  shape: string
}): Promise<z.infer<S> | null> {
  if (file === undefined) return null
  let json: unknown
  try {
    json = JSON.parse(await readFile(file, 'utf8'))
  } catch (error) {
    throw new UsageError(`--${option} ${file}: ${(error as Error).message.split('\n')[0]}`)
  }
  const result = schema.safeParse(json)
  if (!result.success) throw new UsageError(`--${option} ${file}: expected ${shape}`)
  return result.data
}
