/** Mail that came in: its pictures are hand-ins that wait for an instructor's yes. */
import { z } from 'zod'
import { stageSchema } from './pieces/submission'

/** As they are on the way, pictures in text: a third more than they are. */
export const LETTER_LIMITS = { bytes: 28 * 1024 * 1024, pictures: 12 } as const
/** Of one that is longer, what is read to say so. */
export const LETTER_HEAD_BYTES = 256 * 1024

export const letterPictureSchema = z.object({ id: z.int(), name: z.string(), width: z.int(), height: z.int() })
export type LetterPicture = z.infer<typeof letterPictureSchema>

/**
 * @property proven the mailbox says that it is from whom it says. @property classes of whoever asks, in which its
 * sender learns.
 */
export const letterSchema = z.object({
  id: z.int(),
  from: z.object({ name: z.string(), address: z.string() }),
  proven: z.boolean(),
  receivedAt: z.iso.datetime(),
  title: z.string(),
  question: z.string(),
  /** All of its words, where the question is only their beginning; empty otherwise. */
  body: z.string(),
  leftOut: z.array(z.object({ name: z.string(), why: z.string() })),
  classes: z.array(z.object({ id: z.int(), name: z.string() })),
  pictures: z.array(letterPictureSchema)
})
export type Letter = z.infer<typeof letterSchema>

/** What nothing came of, and why. */
export const refusedLetterSchema = z.object({
  id: z.int(),
  from: z.object({ name: z.string(), address: z.string() }),
  subject: z.string(),
  receivedAt: z.iso.datetime(),
  reason: z.string()
})
export type RefusedLetter = z.infer<typeof refusedLetterSchema>

/** @property fault why the mailbox could not be read last; empty when it could. Told to whoever runs the house. */
export const inboxSchema = z.object({
  waiting: z.array(letterSchema),
  refused: z.array(refusedLetterSchema),
  fault: z.string()
})
export type Inbox = z.infer<typeof inboxSchema>

/** One of its pictures becomes a piece, as its learner would have handed it in; or it does not, with a word. */
export const letterAnswerSchema = z.discriminatedUnion('take', [
  z.object({
    take: z.literal(true),
    classId: z.int().positive(),
    title: z.string().trim().min(1, 'The piece needs a title.').max(120, 'A title of at most 120 characters.'),
    question: z.string().trim().max(500, 'A question of at most 500 characters.'),
    stage: stageSchema
  }),
  z.object({ take: z.literal(false), word: z.string().trim().max(500, 'Keep this under 500 characters.') })
])
export type LetterAnswer = z.infer<typeof letterAnswerSchema>

/** What came of a mail that was brought in by hand. @property reason empty where its pictures wait now. */
export const broughtSchema = z.object({ reason: z.string(), pictures: z.int() })
export type Brought = z.infer<typeof broughtSchema>
