/** Links that are used once: to begin a house, to come in, to set another password, to confirm an address. */
import { z } from 'zod'
import { emailSchema, nameSchema, passwordSchema } from './account'

export const linkKindSchema = z.enum(['owner', 'invitation', 'reset', 'address', 'entry'])
export type LinkKind = z.infer<typeof linkKindSchema>

/**
 * What a link says before it is used. @property login what its account is entered by. @property classes that wait
 * behind it.
 */
export const linkSchema = z.object({
  kind: linkKindSchema,
  name: z.string(),
  login: z.string(),
  classes: z.array(z.string()),
  expiresAt: z.iso.datetime()
})
export type Link = z.infer<typeof linkSchema>

/** Coming in by a link: a password of one's own. */
export const enterSchema = z.object({ password: passwordSchema })
/** The first account of a house. */
export const beginSchema = z.object({
  name: nameSchema,
  email: emailSchema,
  password: passwordSchema
})
/** Joining a class by its code. @property email empty for one who has none: they are given a name to sign in by. */
export const joinSchema = z.object({
  name: nameSchema,
  email: z.union([z.literal(''), emailSchema]).transform(e => e || null),
  password: passwordSchema
})
export type JoinWritten = z.infer<typeof joinSchema>
export const joiningSchema = z.object({ className: z.string(), instructors: z.string() })

export const forgottenSchema = z.object({
  login: z.string().trim().min(1, 'Your e-mail address, or the name on your slip.').max(200)
})
/** Where a link leads, and until when; it is made for whoever asked to hand it on. */
export const handedLinkSchema = z.object({ path: z.string(), expiresAt: z.iso.datetime() })
export type HandedLink = z.infer<typeof handedLinkSchema>
