import { z } from 'zod'
import { HIGHEST_SCORE, type Quality } from '../core/critique/rubric'
import { STATIONS } from '../core/critique/stations/table'
import type { Station } from '../core/critique/stations/station'

export const qualitySchema = z.object({
  key: z.string().regex(/^[a-z0-9-]{1,40}$/),
  title: z.string().trim().min(1, 'A quality needs words.').max(120),
  station: z.enum(STATIONS as [Station, ...Station[]]).nullable()
}) satisfies z.ZodType<Quality>

export const rubricSchema = z
  .array(qualitySchema)
  .min(1, 'A rubric has at least one quality.')
  .max(30)
  .refine(list => new Set(list.map(q => q.key)).size === list.length, 'Two qualities have the same key.')

export const scoreSchema = z.union([z.int().min(1).max(HIGHEST_SCORE), z.literal('not-applicable')])

/** The qualities as they were worded when scored, each with its score; what is not scored yet is left out. */
export const scoredSchema = z
  .object({ qualities: rubricSchema, scores: z.record(z.string(), scoreSchema) })
  .refine(
    s => Object.keys(s.scores).every(key => s.qualities.some(q => q.key === key)),
    'A score belongs to no quality.'
  )
export type Scored = z.infer<typeof scoredSchema>

/** Null for words only; with the score it was written over. */
export const scoreChangeSchema = z.object({ score: scoredSchema.nullable(), over: scoredSchema.nullable() })

/** Seconds worked since the last report; more than two minutes at once was not work. */
export const timeSchema = z.object({ seconds: z.int().min(1).max(120) })
