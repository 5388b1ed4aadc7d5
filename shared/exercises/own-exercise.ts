/** Exercises of an instructor's own. */
import { z } from 'zod'
import { CHECK_KIND_KEYS, checkKind } from '../../core/exercise/own/kinds'
import { hasScheme, type OwnExercise } from '../../core/exercise/own/own'
import { exerciseKeySchema } from './exercise'

const ownCheckSchema = z
  .object({ kind: z.enum(CHECK_KIND_KEYS), bound: z.number() })
  .refine(({ kind, bound }) => bound >= checkKind(kind).low && bound <= checkKind(kind).high, {
    message: 'This is further than it can be asked for.',
    path: ['bound']
  })

export const ownExerciseSchema: z.ZodType<OwnExercise, OwnExercise> = z
  .object({
    base: exerciseKeySchema,
    title: z.string().trim().min(1, 'It needs a title.').max(80, 'A title of at most 80 characters.'),
    trains: z.string().trim().min(1, 'Say what it trains.').max(200, 'Keep this under 200 characters.'),
    steps: z
      .array(z.string().trim().min(1).max(300, 'A step of at most 300 characters.'))
      .min(1, 'Say how it is done: a step a line.')
      .max(8, 'At most eight steps: more are not read.'),
    checks: z.array(ownCheckSchema).min(1, 'Without a check there is nothing to reach.').max(8, 'At most eight checks.')
  })
  .refine(({ base, checks }) => hasScheme(base) || checks.every(c => !checkKind(c.kind).inScheme), {
    message: 'This exercise has no scheme that a check could be about.',
    path: ['checks']
  })

export const ownListedSchema = z.object({ id: z.int(), exercise: ownExerciseSchema })
export type OwnListed = z.infer<typeof ownListedSchema>
export const ownListSchema = z.array(ownListedSchema)
