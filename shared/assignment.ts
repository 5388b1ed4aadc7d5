import { z } from 'zod'
import { exerciseKeySchema } from './exercise'

export const checkResultSchema = z.object({
  id: z.string(),
  asks: z.string(),
  found: z.string(),
  value: z.number(),
  atLeast: z.number(),
  atMost: z.number(),
  passed: z.boolean()
})

export const assignmentSchema = z.object({
  id: z.int(),
  exercise: exerciseKeySchema,
  learner: z.object({ id: z.int(), name: z.string() }),
  classId: z.int(),
  dueOn: z.iso.date(),
  assignedAt: z.iso.datetime(),
  /** The critique it came from. */
  fromSubmissionId: z.int(),
  fromTitle: z.string(),
  confirmedAt: z.iso.datetime().nullable(),
  handIn: z
    .object({
      submissionId: z.int(),
      handedInAt: z.iso.datetime(),
      /** Null while the picture is still being measured. */
      checks: z.array(checkResultSchema).nullable()
    })
    .nullable()
})
export type Assignment = z.infer<typeof assignmentSchema>
export const assignmentListSchema = z.array(assignmentSchema)
