import { z } from 'zod'

/**
 * What somebody is in a class. An assistant marks and drafts; the instructor releases, and says what the class goes by.
 */
export const classRoleSchema = z.enum(['instructor', 'assistant', 'learner'])
export type ClassRole = z.infer<typeof classRoleSchema>
/** What somebody is in the house: the owner runs it, an instructor may make classes. */
export const houseRoleSchema = z.enum(['owner', 'instructor', 'member'])
export type HouseRole = z.infer<typeof houseRoleSchema>
export const roleSchema = z.enum(['owner', ...classRoleSchema.options])
export type Role = z.infer<typeof roleSchema>

/** Everything somebody is anywhere in the house. */
export function rolesOf(house: HouseRole, classRoles: readonly ClassRole[]): Role[] {
  const has: readonly Role[] = [
    ...(house === 'owner'
      ? (['owner', 'instructor'] as const)
      : house === 'instructor'
        ? (['instructor'] as const)
        : []),
    ...classRoles
  ]
  return roleSchema.options.filter(role => has.includes(role))
}

export const nameSchema = z.string().trim().min(1, 'The name is missing.').max(120, 'A name of at most 120 characters.')
export const emailSchema = z
  .email('Write the e-mail address in full, as in name@example.org.')
  .max(200, 'An address of at most 200 characters.')

export const signInSchema = z.object({
  login: z.string().trim().min(1, 'Who is it? Your e-mail address, or the name on your slip.').max(200),
  password: z.string().min(1, 'The password is missing.').max(200),
  /** Of the second step, where there is one. */
  code: z.string().trim().max(40).default('')
})

/** @property signInName of one who has no address. */
export const accountSchema = z.object({
  id: z.int(),
  name: z.string(),
  email: z.string().nullable(),
  signInName: z.string().nullable(),
  roles: z.array(roleSchema),
  secondStep: z.boolean()
})
export type Account = z.infer<typeof accountSchema>
/** What an account is entered by. */
export const loginOf = ({ email, signInName }: Pick<Account, 'email' | 'signInName'>): string =>
  email ?? signInName ?? ''

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
/** Another address, confirmed by a link that is mailed there. */
export const addressChangeSchema = z.object({
  email: emailSchema,
  password: z.string().min(1, 'The password you have now is missing.').max(200)
})
export type AddressChange = z.infer<typeof addressChangeSchema>

/** Asked again before what opens the account is changed. */
export const passwordAgainSchema = z.object({
  password: z.string().min(1, 'The password you have now is missing.').max(200)
})
/**
 * @property secret to be typed into a device, where its picture cannot be read. @property picture a QR code as a data
 * URL.
 */
export const stepBegunSchema = z.object({ secret: z.string(), picture: z.string() })
export type StepBegun = z.infer<typeof stepBegunSchema>
export const stepCodeSchema = z.object({ code: z.string().trim().min(1, 'The code is missing.').max(40) })
export const recoveryCodesSchema = z.array(z.string())

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
  login: z.string(),
  password: z.string(),
  roles: z.array(roleSchema)
})

/** Who is signed in; whom one may sign in as while a demo is there; and whether the house has an owner yet. */
export const sessionSchema = z.object({
  account: accountSchema.nullable(),
  demo: z.array(demoSignInSchema),
  owned: z.boolean()
})
export type Session = z.infer<typeof sessionSchema>
