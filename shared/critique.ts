import { z } from 'zod'
import { areaSchema } from './area'
import { PLAIN_SETTINGS } from '../core/exercise'
import { settingsSchema } from './exercises/assignment'
import { ownExerciseSchema } from './exercises/own-exercise'
import { exerciseKeySchema } from './exercises/exercise'
import { markSchema } from './mark'
import { notesSchema } from './notes'
import { readingListSchema } from './reading'
import { rubricSchema, scoredSchema } from './score'
import { standardsSchema } from './standards'
import { stationSchema } from './station'
import { targetSchema } from './target'
import { trialSchema } from './trial'

const words = z.string().trim().max(2000)

/** A correction as the instructor writes it. */
export const correctionInputSchema = z.object({
  station: stationSchema,
  /** Where it is measured; null for the picture as a whole. */
  area: areaSchema.nullable(),
  /** How it is marked when the area itself is not the mark. */
  mark: markSchema.nullable().default(null),
  /** The reading it came from, and its sentence as measured then: the reason must not change under it. */
  readingId: z.string().max(80).nullable(),
  reason: words,
  what: words.min(1, 'Say what is wrong.'),
  todo: words,
  target: targetSchema.nullable(),
  /** What the area would look like, changed; null for words alone. */
  trial: trialSchema.nullable().default(null)
})
export type CorrectionInput = z.infer<typeof correctionInputSchema>
/** A correction as it is begun: what is left out has its default. */
export type CorrectionWritten = z.input<typeof correctionInputSchema>

/** A change says what it was written over: when that is no longer what is kept, another window was first. */
export const correctionChangeSchema = correctionInputSchema.extend({ over: correctionInputSchema })

export const correctionSchema = correctionInputSchema.extend({
  id: z.int(),
  order: z.int().positive(),
  /** How many times it is marked by now, over all versions of the piece. */
  marked: z.int().positive(),
  /** The one of an older version that it was carried over from. */
  carriedFrom: z.int().nullable()
})
export type Correction = z.infer<typeof correctionSchema>

/** The area of this name is the intended focus. */
export const FOCUS_NAME = 'the focus'

export const areaInputSchema = z.object({
  name: z.string().trim().min(1, 'The area needs a name.').max(60),
  area: areaSchema
})
export const areaChangeSchema = areaInputSchema.extend({ over: areaInputSchema })
export const namedAreaSchema = areaInputSchema.extend({ id: z.int() })
export type MarkedArea = z.infer<typeof namedAreaSchema>

export const verdictInputSchema = z.object({
  /** What works, first. */
  works: words,
  verdict: words,
  /** The revision this was written over; a stale one is refused, so that two tabs lose nothing. */
  revision: z.int().min(0)
})

export const assignInputSchema = z.object({
  exercise: exerciseKeySchema,
  /** Number of an exercise of one's own, or the one that is set already: it stands for the shelf's. */
  own: z
    .union([z.int().positive(), z.literal('as set')])
    .nullable()
    .default(null),
  dueOn: z.iso.date('Choose the day it is due.'),
  /** A key colour; the learner's own choice without. */
  hue: settingsSchema.shape.hue.default(PLAIN_SETTINGS.hue),
  tolerance: settingsSchema.shape.tolerance.default(PLAIN_SETTINGS.tolerance),
  medium: settingsSchema.shape.medium.default(PLAIN_SETTINGS.medium)
})
export type AssignInput = z.infer<typeof assignInputSchema>
export const orderInputSchema = z.object({ order: z.array(z.int()).min(1) })

export const assignmentBriefSchema = z.object({
  id: z.int(),
  exercise: exerciseKeySchema,
  own: ownExerciseSchema.nullable(),
  dueOn: z.iso.date(),
  settings: settingsSchema
})

export const critiqueSchema = z.object({
  state: z.enum(['draft', 'released']),
  revision: z.int(),
  works: z.string(),
  verdict: z.string(),
  releasedAt: z.iso.datetime().nullable(),
  /** What was changed at the last release, when it was not the first. */
  amendedNote: z.string(),
  /** The learner's one question back, and its answer; empty while there is none. */
  questionBack: z.string(),
  answer: z.string(),
  corrections: z.array(correctionSchema),
  areas: z.array(namedAreaSchema),
  assignment: assignmentBriefSchema.nullable(),
  /** The house standards of its class. */
  standards: standardsSchema,
  /** The instructor's own; empty for the learner. */
  notes: notesSchema,
  /** The class's rubric as it is now. */
  rubric: rubricSchema,
  score: scoredSchema.nullable(),
  /** Every sentence of the piece: as it is measured now, or as it was released. */
  readings: readingListSchema,
  /** They are of everything that is known by now. */
  current: z.boolean(),
  /** Seconds the instructor has worked on it; 0 for the learner. */
  seconds: z.int().min(0)
})
export type Critique = z.infer<typeof critiqueSchema>

export const releaseInputSchema = z.object({ note: z.string().trim().max(500).default('') })
export const questionInputSchema = z.object({
  question: z.string().trim().min(3, 'Write the question in full.').max(1000)
})
export const answerInputSchema = z.object({ answer: z.string().trim().min(1, 'The answer is empty.').max(2000) })

export const revisionSchema = z.object({ revision: z.int() })
