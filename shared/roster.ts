/** The people of a class: as they are listed, and as they are brought in. */
import { z } from 'zod'
import { accountSchema, classRoleSchema, houseRoleSchema, nameSchema } from './account'

/**
 * @property entered whether they ever chose a password. @property invitedUntil end of the link that waits for them.
 * @property handed whether a link may be handed on by whoever asks.
 */
export const memberSchema = z.object({
  account: accountSchema,
  role: classRoleSchema,
  entered: z.boolean(),
  seenAt: z.iso.datetime().nullable(),
  invitedUntil: z.iso.datetime().nullable(),
  pieces: z.int(),
  handed: z.boolean()
})
export type ListedMember = z.infer<typeof memberSchema>
export const memberListSchema = z.array(memberSchema)

/**
 * A list as it was typed, pasted, or read from a file. @property keep rows of it to be taken; all that can be when it
 * is left out.
 */
export const ROSTER_TEXT_LIMIT = 200_000
export const rosterTextSchema = z.object({
  text: z.string().max(ROSTER_TEXT_LIMIT, 'This list is too long: bring a thousand people at most at once.'),
  role: classRoleSchema.default('learner')
})

/** A mistake in a list. @property column as the list calls it; empty when it is the row's. */
export const rosterMistakeSchema = z.object({ column: z.string(), message: z.string() })
/**
 * What will happen to one row: a new account, an account there is that joins, one who is in the class already, or
 * nothing.
 * @property row counted from 1, the heading included.
 */
export const rosterRowSchema = z.object({
  row: z.int(),
  name: z.string(),
  email: z.string().nullable(),
  signInName: z.string().nullable(),
  outcome: z.enum(['new', 'joins', 'there', 'wrong']),
  mistakes: z.array(rosterMistakeSchema)
})
export type RosterRow = z.infer<typeof rosterRowSchema>
/** @property columns recognised, and those that are left out. */
export const rosterPreviewSchema = z.object({
  columns: z.array(z.string()),
  ignored: z.array(z.string()),
  rows: z.array(rosterRowSchema)
})
export type RosterPreview = z.infer<typeof rosterPreviewSchema>
/** How many were brought in by it. */
export const broughtSchema = z.object({ added: z.int(), mailed: z.int() })

export const classRoleChangeSchema = z.object({ role: classRoleSchema })
export const renameSchema = z.object({ name: nameSchema })
export const houseRoleChangeSchema = z.object({ house: houseRoleSchema })
