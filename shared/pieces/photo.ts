/** What is done to a photograph of work, as both sides say it: steps on the original, and what came of them. */
import { z } from 'zod'
import type { PhotoSteps } from '../../core/photo/steps'
import { PHOTO_DOUBTS } from '../../core/photo/steps'
import { share } from '../report'

const fraction = z.number().min(0).max(1)
const point = z.object({ x: fraction, y: fraction })

export const photoStepsSchema: z.ZodType<PhotoSteps> = z.object({
  corners: z.array(point).length(4, 'Set all four corners.').readonly().nullable(),
  ratio: z
    .number()
    .min(0.08, 'A sheet is not as narrow as that.')
    .max(12, 'A sheet is not as wide as that.')
    .nullable(),
  known: point.extend({ as: z.enum(['white', 'grey']) }).nullable(),
  strip: z.array(point).length(4).readonly().nullable().default(null),
  even: z.boolean()
})

export const photoStepsSayingSchema = z.object({ steps: photoStepsSchema.nullable() })
/** Set again at the desk, with what it was written over. */
export const photoChangeSchema = photoStepsSayingSchema.extend({ over: photoStepsSchema.nullable() })
export type PhotoChange = z.infer<typeof photoChangeSchema>

/** What came of the steps. @property cast stops of red, green and blue over their mean. */
export const photoToldSchema = z.object({
  ratio: z.number().positive(),
  cast: z.tuple([z.number(), z.number(), z.number()]).readonly().nullable(),
  falloff: share.nullable(),
  /** How far the printed strip's colours were off, and are: mean ΔE00. */
  strip: z
    .object({ before: z.number().min(0), after: z.number().min(0) })
    .nullable()
    .default(null),
  doubts: z.array(z.object({ kind: z.enum(PHOTO_DOUBTS), sentence: z.string() })).readonly()
})
export type PhotoTold = z.infer<typeof photoToldSchema>

/** A piece that was photographed and corrected: what was done, in a line, and what to doubt. */
export const pieceSaidSchema = z.object({ done: z.string(), doubts: z.array(z.string()) })

/** As a form carries it: JSON; nothing, where the picture is taken as it is. */
export const photoStepsField = z
  .string()
  .max(2000)
  .transform((text, context): unknown => {
    try {
      return JSON.parse(text)
    } catch {
      context.addIssue({ code: 'custom', message: 'What is to be done to the photograph cannot be read.' })
      return z.NEVER
    }
  })
  .pipe(photoStepsSchema)
