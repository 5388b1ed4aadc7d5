import { z } from 'zod'
import { STATIONS } from '../core/critique/stations/table'
import type { Station } from '../core/critique/stations/station'
import { areaSchema } from './area'

const fraction = z.number().min(0).max(1)
export const pointSchema = z.object({ x: fraction, y: fraction })
export type Point = z.infer<typeof pointSchema>

/** Where one material was picked in the light and in the shadow; a material begun has only the first. */
export const pairSchema = z.object({
  name: z.string().trim().min(1, 'The material needs a name.').max(40),
  lit: pointSchema,
  shadow: pointSchema.nullable()
})
export type PickedPair = z.infer<typeof pairSchema>

/** The instructor's own verdict on a reading, by the reading's key: another word for it, or none of it. */
export const judgedSchema = z.object({
  key: z.string().max(120),
  verdict: z.enum(['works', 'look', 'fix', 'dismissed'])
})
export type Judged = z.infer<typeof judgedSchema>

/**
 * What an instructor notes on the way through the stations. The learner is shown the verdicts on readings, nothing else
 * of it.
 */
export const notesSchema = z.object({
  visited: z
    .array(z.enum(STATIONS as [Station, ...Station[]]))
    .max(8)
    .default([]),
  /** Where the eye went before anything was measured. */
  firstEye: pointSchema.nullable().default(null),
  /** What the piece is about, as the instructor sees it. */
  about: z.string().trim().max(500).default(''),
  judged: z.array(judgedSchema).max(200).default([]),
  pairs: z.array(pairSchema).max(24).default([]),
  /** A place of the sky, the wall or whatever else the shadows should carry. */
  surroundings: pointSchema.nullable().default(null),
  /** A margin is counted with the picture. */
  wholeFile: z.boolean().default(false),
  /** What is found as a face is none. */
  noFaces: z.boolean().default(false),
  /** The route the eye should take, stop by stop. */
  stops: z.array(areaSchema).max(12).default([])
})
export type Notes = z.infer<typeof notesSchema>
export const NO_NOTES: Notes = notesSchema.parse({})

/** Some of the notes: what is not sent stays as it is. */
const someNotesSchema = z.object(
  Object.fromEntries(Object.entries(notesSchema.shape).map(([name, schema]) => [name, schema.unwrap().optional()])) as {
    [K in keyof typeof notesSchema.shape]: z.ZodOptional<ReturnType<(typeof notesSchema.shape)[K]['unwrap']>>
  }
)
/** With what they were written over. */
export const notesChangeSchema = someNotesSchema.extend({ over: someNotesSchema.optional() })
export type NotesChange = z.infer<typeof notesChangeSchema>
