import { z } from 'zod'

export const roleSchema = z.enum(['instructor', 'learner'])
export type Role = z.infer<typeof roleSchema>

export const signInSchema = z.object({
  email: z.email('Write the e-mail address in full, as in name@example.org.').max(200),
  password: z.string().min(1, 'The password is missing.').max(200)
})

export const accountSchema = z.object({ id: z.int(), name: z.string(), email: z.string(), role: roleSchema })
export type Account = z.infer<typeof accountSchema>

const PASSWORD = { least: 8, most: 128 } as const
/** Any characters; which are guessed first is the server's to know. */
export const passwordSchema = z
  .string()
  .min(PASSWORD.least, `At least ${PASSWORD.least} characters; a few words in a row are easiest to keep.`)
  .max(PASSWORD.most, `At most ${PASSWORD.most} characters.`)
export const passwordChangeSchema = z.object({
  current: z.string().min(1, 'The password you have now is missing.').max(200),
  next: passwordSchema
})
export type PasswordChange = z.infer<typeof passwordChangeSchema>

/** Where somebody is signed in. */
export const openSessionSchema = z.object({
  id: z.int(),
  begunAt: z.iso.datetime(),
  seenAt: z.iso.datetime(),
  /** "Firefox on Linux"; empty when it was not told. */
  browser: z.string(),
  /** The one that asks. */
  here: z.boolean()
})
export type OpenSession = z.infer<typeof openSessionSchema>
export const openSessionListSchema = z.array(openSessionSchema)

export const demoSignInSchema = z.object({
  name: z.string(),
  email: z.string(),
  password: z.string(),
  role: roleSchema
})

/** Who is signed in, and in demo mode whom one may sign in as. */
export const sessionSchema = z.object({ account: accountSchema.nullable(), demo: z.array(demoSignInSchema) })
export type Session = z.infer<typeof sessionSchema>
