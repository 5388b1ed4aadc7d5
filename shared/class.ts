/** Classes as they are made, led and listed. */
import { z } from 'zod'
import { classRoleSchema } from './account'
import { wheelSchema } from './scheme'

const day = z.iso
  .date('A day, as in 2026-09-01.')
  .nullish()
  .transform(d => d ?? null)

/** What is written of a class. @property budgetMinutes set aside for one critique. */
export const classFieldsSchema = z
  .object({
    name: z.string().trim().min(1, 'The class needs a name.').max(120, 'A name of at most 120 characters.'),
    budgetMinutes: z.coerce.number('In minutes.').int().min(1, 'At least a minute.').max(480, 'At most eight hours.'),
    wheel: wheelSchema,
    startsOn: day,
    endsOn: day
  })
  .refine(c => !c.startsOn || !c.endsOn || c.startsOn <= c.endsOn, {
    message: 'The term ends before it begins.',
    path: ['endsOn']
  })
export type ClassWritten = z.infer<typeof classFieldsSchema>

/** @property erased counts of learners and pieces that were erased: they hold no person. */
export const classDetailsSchema = z.object({
  id: z.int(),
  name: z.string(),
  budgetMinutes: z.int(),
  wheel: wheelSchema,
  startsOn: z.iso.date().nullable(),
  endsOn: z.iso.date().nullable(),
  archived: z.boolean(),
  joinCode: z.string().nullable(),
  erased: z.object({ learners: z.int(), pieces: z.int() })
})
export type ClassDetails = z.infer<typeof classDetailsSchema>

/** @property role what the one who asks is in it; null for an owner who is not in it. */
export const classListedSchema = z.object({
  id: z.int(),
  name: z.string(),
  role: classRoleSchema.nullable(),
  archived: z.boolean(),
  learners: z.int()
})
export type ClassListed = z.infer<typeof classListedSchema>
export const classListSchema = z.array(classListedSchema)
