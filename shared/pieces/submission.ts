import { z } from 'zod'
import type { Fingerprint } from '../../core/measure/fingerprint'
import { degrees, reportSchema, share, value } from '../report'
import { exerciseKeySchema } from '../exercises/exercise'
import { photoStepsField, pieceSaidSchema } from './photo'
import { sectorSchemeSchema, stepSchema, wheelSchema } from '../scheme'

export const stageSchema = z.enum(['study', 'in-progress', 'finished'])
export type Stage = z.infer<typeof stageSchema>
export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  study: 'study',
  'in-progress': 'work in progress',
  finished: 'finished piece'
}

/**
 * What a picture may be: checked again on the server, by decoding. A JPEG of its full size has no room for a longer
 * side.
 */
export const PICTURE_LIMITS = {
  bytes: 25 * 1024 * 1024,
  pixels: 40_000_000,
  side: 65_500,
  formats: ['jpeg', 'png', 'webp', 'tiff']
} as const

const text = (most: number) => z.string().trim().max(most, `Keep this under ${most} characters.`)

/** The words that come with a hand-in; `picture` is the file part of the same form. */
export const handInSchema = z.object({
  classId: z.coerce.number().int().positive(),
  title: text(120).min(1, 'The piece needs a title.'),
  stage: stageSchema,
  medium: text(80),
  question: text(500),
  about: text(500),
  plannedScheme: z.union([sectorSchemeSchema, z.literal('').transform(() => null)]).nullable(),
  assignmentId: z.coerce.number().int().positive().nullish(),
  /** Where the eye should go, as the learner pointed it out; both or neither. */
  focusX: z.coerce.number().min(0).max(1).optional(),
  focusY: z.coerce.number().min(0).max(1).optional(),
  /** The version before, when the piece is handed in again. */
  earlierId: z.coerce.number().int().positive().optional(),
  /** What is done to the photograph. */
  steps: photoStepsField.optional(),
  /** Made by the sender for one hand-in: sent again with it, it is the same piece. */
  key: z
    .string()
    .regex(/^[\da-f]{32}$/)
    .optional(),
  /** Studies that led to it: their numbers, "3,5". */
  studies: z
    .string()
    .regex(/^[\d,]*$/)
    .transform(text => text.split(',').filter(Boolean).map(Number))
    .optional()
})
export type HandIn = z.infer<typeof handInSchema>

/** @property waiting how many pictures wait, this one among them; told where pieces are listed. */
const underWay = z.object({ state: z.enum(['queued', 'measuring']), waiting: z.int().optional() }),
  failed = z.object({ state: z.literal('failed'), reason: z.string() })
export const measurementSchema = z.discriminatedUnion('state', [
  underWay,
  z.object({ state: z.literal('done'), report: reportSchema }),
  failed
])
export type Measurement = z.infer<typeof measurementSchema>

export const fingerprintSchema: z.ZodType<Fingerprint> = z.object({
  wheel: wheelSchema,
  darkest: value,
  lightest: value,
  range: value,
  families: z.array(z.object({ step: stepSchema, position: degrees, weight: share, chroma: share }))
})

const pieceSchema = z.object({
  id: z.int(),
  classId: z.int(),
  className: z.string(),
  learner: z.object({ id: z.int(), name: z.string() }),
  title: z.string(),
  stage: stageSchema,
  medium: z.string(),
  question: z.string(),
  about: z.string(),
  plannedScheme: sectorSchemeSchema.nullable(),
  assignmentId: z.int().nullable(),
  handedInAt: z.iso.datetime(),
  state: z.enum(['waiting', 'released']),
  width: z.int(),
  height: z.int(),
  hasReference: z.boolean(),
  /** Null where the picture is the file as it was handed in. */
  photo: pieceSaidSchema.nullable(),
  /** From 1: how often it was handed in by then. */
  version: z.int().positive(),
  /** The version before it. */
  earlierId: z.int().nullable(),
  /** Minutes set aside for one critique in this class. */
  budgetMinutes: z.int(),
  /** Minutes already worked on it; 0 for the learner. */
  spentMinutes: z.int().min(0)
})
export type PieceFacts = z.infer<typeof pieceSchema>

/**
 * @property may what whoever asks may do with it. @property sitting the session in front of others in which it is up
 * now, for those who teach.
 */
export const submissionSchema = pieceSchema.extend({
  sitting: z.int().nullable(),
  /** It came in by an open call, and hangs on that one's shelf. */
  ofCall: z.boolean(),
  measurement: measurementSchema,
  may: z.array(z.enum(['draft', 'release']))
})
export type Submission = z.infer<typeof submissionSchema>

/**
 * A piece among many: of its report only what its small view shows. @property talked it was talked about in front of
 * others.
 */
export const listedSchema = pieceSchema.extend({
  talked: z.boolean(),
  measurement: z.discriminatedUnion('state', [
    underWay,
    z.object({ state: z.literal('done'), fingerprint: fingerprintSchema.nullable() }),
    failed
  ])
})
export type ListedSubmission = z.infer<typeof listedSchema>

/** The walls of an instructor's desk; an open call's is its own, whatever became of its pieces. */
export const shelfSchema = z.enum(['review', 'exercises', 'released', 'call'])
export type Shelf = z.infer<typeof shelfSchema>

const CLASS_SHELVES = ['review', 'exercises', 'released'] as const satisfies readonly Shelf[]

/** Pieces listed at once, at most. */
export const MOST_LISTED = 100
/**
 * A window of a list: from behind a piece on. Without a shelf, one's own pieces. @property classId one of the classes,
 * where there are several.
 */
export const listQuerySchema = z.object({
  shelf: shelfSchema.optional(),
  classId: z.coerce.number().int().positive().optional(),
  /** Of one learner, or handed in for one exercise. */
  learnerId: z.coerce.number().int().positive().optional(),
  exercise: exerciseKeySchema.optional(),
  after: z.coerce.number().int().positive().optional(),
  most: z.coerce.number().int().min(1).max(MOST_LISTED).default(40)
})
export type ListQuery = z.infer<typeof listQuerySchema>
/** @property next the piece that the next window begins behind; null at the end. */
export const piecePageSchema = z.object({ items: z.array(listedSchema), next: z.int().nullable() })
export type PiecePage = z.infer<typeof piecePageSchema>

/** Whose pieces hang on a shelf, and for which exercises: what it can be narrowed to. */
export const onShelfSchema = z.object({
  learners: z.array(z.object({ id: z.int(), name: z.string(), pieces: z.int().min(1) })),
  exercises: z.array(z.object({ key: exerciseKeySchema, pieces: z.int().min(1) }))
})
export type OnShelf = z.infer<typeof onShelfSchema>
export const onShelfQuerySchema = z.object({
  shelf: shelfSchema,
  classId: z.coerce.number().int().positive().optional()
})

export const someQuerySchema = z.object({
  ids: z
    .string()
    .regex(/^\d+(,\d+)*$/, 'The pieces are numbers, by commas.')
    .transform(list => list.split(',').map(Number))
})
export const submissionListSchema = z.array(listedSchema)

/**
 * An open call's own shelf. @property classId of the class its pieces lie in. @property waiting pieces still to be
 * looked at. @property minutes they will take. @property session whether one is to be held, or is being held.
 */
export const callShelfSchema = z.object({
  id: z.int(),
  classId: z.int(),
  title: z.string(),
  waiting: z.int().min(0),
  minutes: z.int().min(0),
  session: z.enum(['none', 'wanted', 'open'])
})
export type CallShelf = z.infer<typeof callShelfSchema>

/** No shelf is counted further: one more than this is many, and as many take as long to count as to read. */
export const MOST_COUNTED = 1000

/**
 * @property minutes of review still to be done, by the classes' time budgets, of those counted. @property oldest when
 * the first of it was handed in.
 */
export const shelfTotalsSchema = z.object({
  counts: z.record(
    z.enum(CLASS_SHELVES),
    z
      .int()
      .min(0)
      .max(MOST_COUNTED + 1)
  ),
  minutes: z.int().min(0),
  oldest: z.iso.datetime().nullable(),
  /** Pictures that came by mail and wait to be taken. */
  byMail: z.int().min(0),
  /** Open calls of which something is on the desk. */
  calls: z.array(callShelfSchema)
})
export type ShelfTotals = z.infer<typeof shelfTotalsSchema>
export const totalsQuerySchema = z.object({ classId: z.coerce.number().int().positive().optional() })
export const createdSchema = z.object({ id: z.int() })
