import { z } from 'zod'
import type { PieceReading } from '../core/critique/stations/piece'
import { UNITS } from '../core/critique/unit'
import type { LensRequest } from '../core/lens/lens'
import { areaSchema } from './area'
import { contractOf } from './contract'
import { exerciseKeySchema } from './exercise'
import { sectorSchemeSchema, wheelSchema } from './scheme'
import { stationSchema } from './station'
import { targetSchema } from './target'

const lensSchema = contractOf<LensRequest>()(
  z.union([
    z.object({
      name: z.enum([
        'plain',
        'two-values',
        'squint',
        'mirrored',
        'near-black',
        'near-white',
        'temperature',
        'relative-temperature',
        'attention',
        'edges',
        'detail'
      ])
    }),
    z.object({ name: z.literal('grey'), grey: z.enum(['value', 'luma', 'hsl', 'hsv']).optional() }),
    z.object({ name: z.literal('groups'), count: z.int().nullable() }),
    z.object({ name: z.literal('families'), wheel: wheelSchema }),
    z.object({ name: z.literal('off-scheme'), wheel: wheelSchema, scheme: sectorSchemeSchema, rotation: z.number() })
  ])
)

/** One sentence of a piece, as it is sent, and as it is kept with a released critique. */
export const readingSchema = contractOf<PieceReading>()(
  z.object({
    id: z.string(),
    key: z.string(),
    station: stationSchema,
    verdict: z.enum(['works', 'look', 'fix']),
    on: z.enum(['picture', 'focus', 'area', 'pairs', 'planes', 'stops', 'reference', 'plan', 'first-look']),
    area: areaSchema.nullable(),
    sentence: z.string(),
    why: z.string(),
    figure: z
      .object({
        unit: z.enum(UNITS),
        value: z.number(),
        standard: z.number(),
        low: z.number(),
        high: z.number(),
        label: z.string()
      })
      .optional(),
    evidence: lensSchema.optional(),
    points: z
      .array(z.object({ x: z.number(), y: z.number(), label: z.string() }))
      .readonly()
      .optional(),
    silhouette: z.literal(true).optional(),
    trains: z.array(exerciseKeySchema).readonly(),
    correction: z.object({ what: z.string(), todo: z.string(), target: targetSchema.nullable() }).optional()
  })
)
export const readingListSchema = z.array(readingSchema)
