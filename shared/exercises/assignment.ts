/** Exercises as they are set, planned, answered and confirmed. */
import { z } from 'zod'
import { MEDIA, PLAIN_SETTINGS, TOLERANCES, type CheckResult } from '../../core/exercise'
import { soundAmounts, type Plan } from '../../core/exercise/plan/plan'
import { exerciseKeySchema } from './exercise'
import { ownExerciseSchema } from './own-exercise'
import { sectorSchemeSchema, wheelSchema } from '../scheme'

export const checkResultSchema: z.ZodType<CheckResult> = z.object({
  id: z.string(),
  asks: z.string(),
  found: z.string(),
  value: z.number(),
  atLeast: z.number(),
  atMost: z.number(),
  passed: z.boolean(),
  // Stored before checks said what to try.
  tip: z.string().default('')
})

const hue = z.number().int().min(0).max(359)
export const settingsSchema = z.object({
  wheel: wheelSchema,
  hue: hue.nullable(),
  tolerance: z.enum(TOLERANCES),
  medium: z.enum(MEDIA)
})

const words = (most: number) => z.string().trim().max(most, `Keep this under ${most} characters.`)
const share = z.number().min(0).max(1)
export const planSchema: z.ZodType<Plan> = z.object({
  subject: words(200).min(1, 'Say in a word or two what it will be.'),
  goal: words(300),
  scheme: sectorSchemeSchema,
  hue,
  amounts: z.tuple([share, share, share]).refine(soundAmounts, 'The amounts do not make a whole.')
})

export const assignmentSchema = z.object({
  id: z.int(),
  exercise: exerciseKeySchema,
  /** An instructor's own, as it stood when it was set. */
  own: ownExerciseSchema.nullable(),
  settings: settingsSchema,
  learner: z.object({ id: z.int(), name: z.string() }),
  classId: z.int(),
  dueOn: z.iso.date(),
  assignedAt: z.iso.datetime(),
  note: z.string(),
  /** The critique it came from; null when it was set to a class. */
  from: z.object({ submissionId: z.int(), title: z.string() }).nullable(),
  /** What was set at once with it. */
  setId: z.int().nullable(),
  plan: planSchema.nullable(),
  withdrawnAt: z.iso.datetime().nullable(),
  confirmedAt: z.iso.datetime().nullable(),
  /** Sent back to be done again; null once something new is handed in. */
  returnedAt: z.iso.datetime().nullable(),
  /** What was said when it was confirmed or sent back. */
  answer: z.string(),
  /** Work in progress that was checked privately. */
  studies: z.int(),
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

/** For sorting: what was set last comes first. */
export const lastSetFirst = (p: Assignment, q: Assignment): number =>
  q.assignedAt.localeCompare(p.assignedAt) || q.id - p.id

const dueOn = z.iso.date('A day, as in 2026-09-01.'),
  note = words(500).default('')
/** To whom, and with which key colour: the learner's own choice, one for all, or a different one each. */
export const setInputSchema = z.object({
  exercise: exerciseKeySchema,
  /** Number of an exercise of one's own: it stands for the shelf's. */
  own: z.int().positive().nullable().default(null),
  dueOn,
  note,
  tolerance: z.enum(TOLERANCES).default(PLAIN_SETTINGS.tolerance),
  medium: z.enum(MEDIA).default(PLAIN_SETTINGS.medium),
  key: z.union([z.enum(['own', 'each']), hue]).default('own'),
  learners: z.array(z.int().positive()).min(1, 'Choose somebody to set it to.').max(1000)
})
export type SetInput = z.infer<typeof setInputSchema>

/** What is changed of one that is set. */
export const changeInputSchema = z.object({ dueOn, note })
export const withdrawInputSchema = z.object({ note })
export const confirmInputSchema = z.object({
  outcome: z.enum(['confirmed', 'again']).default('confirmed'),
  word: words(500).default('')
})
export type ConfirmInput = z.infer<typeof confirmInputSchema>

export const studySchema = z.object({
  id: z.int(),
  checkedAt: z.iso.datetime(),
  checks: z.array(checkResultSchema)
})
export type Study = z.infer<typeof studySchema>
export const studyListSchema = z.array(studySchema)

/** What was set at once, seen together. @property eachHue each with a key colour of their own. */
export const exerciseSetSchema = z.object({
  id: z.int(),
  classId: z.int(),
  className: z.string(),
  exercise: exerciseKeySchema,
  eachHue: z.boolean(),
  setAt: z.iso.datetime(),
  assignments: assignmentListSchema
})
export type ExerciseSet = z.infer<typeof exerciseSetSchema>

/** One learner's exercises in a class, counted. @property onTime of those handed in. */
export const exerciseRecordSchema = z.object({
  learners: z.array(
    z.object({
      id: z.int(),
      name: z.string(),
      set: z.int(),
      planned: z.int(),
      tried: z.int(),
      handedIn: z.int(),
      onTime: z.int(),
      passed: z.int(),
      confirmed: z.int()
    })
  ),
  /** Checks that were missed most, of the newest hand-ins. */
  missed: z.array(z.object({ title: z.string(), check: z.string(), name: z.string(), of: z.int(), missed: z.int() })),
  sets: z.array(
    z.object({
      id: z.int(),
      title: z.string(),
      setAt: z.iso.datetime(),
      dueOn: z.iso.date(),
      of: z.int(),
      handedIn: z.int(),
      confirmed: z.int()
    })
  )
})
export type ExerciseRecord = z.infer<typeof exerciseRecordSchema>
