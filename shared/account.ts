import { z } from 'zod'

export const roleSchema = z.enum(['instructor', 'learner'])
export type Role = z.infer<typeof roleSchema>

export const signInSchema = z.object({
  email: z.email('Write the e-mail address in full, as in name@example.org.').max(200),
  password: z.string().min(1, 'The password is missing.').max(200)
})

export const accountSchema = z.object({ id: z.int(), name: z.string(), email: z.string(), role: roleSchema })
export type Account = z.infer<typeof accountSchema>

export const demoSignInSchema = z.object({
  name: z.string(),
  email: z.string(),
  password: z.string(),
  role: roleSchema
})

/** Who is signed in, and in demo mode whom one may sign in as. */
export const sessionSchema = z.object({ account: accountSchema.nullable(), demo: z.array(demoSignInSchema) })
export type Session = z.infer<typeof sessionSchema>
