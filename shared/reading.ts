import { z } from 'zod'
import { DEFAULT_STANDARDS, type HouseStandards } from '../core/critique/standards'
import type { PieceReading } from '../core/critique/stations/piece'
import { UNITS } from '../core/critique/unit'
import type { LensRequest } from '../core/lens/lens'
import { areaSchema } from './area'
import { contractOf } from './contract'
import { exerciseKeySchema } from './exercises/exercise'
import { sectorSchemeSchema, wheelSchema } from './scheme'
import { stationSchema } from './station'
import { targetSchema } from './target'

const houseNameSchema = z.enum(Object.keys(DEFAULT_STANDARDS) as [keyof HouseStandards, ...(keyof HouseStandards)[]])

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
        'vivid',
        'strength',
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
        label: z.string(),
        house: houseNameSchema.optional(),
        eased: z.string().optional()
      })
      .optional(),
    evidence: lensSchema.optional(),
    points: z
      .array(z.object({ x: z.number(), y: z.number(), label: z.string() }))
      .readonly()
      .optional(),
    silhouette: z.literal(true).optional(),
    trains: z.array(exerciseKeySchema).readonly(),
    weight: z.number().optional(),
    first: z.object({ rank: z.int().min(1).max(3), because: z.string() }).optional(),
    margin: z.number().optional(),
    doubts: z.array(z.string()).readonly().optional(),
    correction: z.object({ what: z.string(), todo: z.string(), target: targetSchema.nullable() }).optional()
  })
)
export const readingListSchema = z.array(readingSchema)
