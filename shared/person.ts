/** What belongs to a person, and its going. */
import { z } from 'zod'
import { accountSchema, emailSchema, houseRoleSchema, nameSchema } from './account'

/** On whose wish: their own, a guardian's, the house's word, or the house's standing order. */
export const eraseWishSchema = z.enum(['own', 'guardian', 'house', 'retention'])
export type EraseWish = z.infer<typeof eraseWishSchema>
export const ERASE_WISH_WORDS: Readonly<Record<EraseWish, string>> = {
  own: 'on their own wish',
  guardian: 'on a guardian’s wish',
  house: 'on the house’s word',
  retention: 'unused for as long as the house keeps records'
}
/** Days in which an erasure can be undone. */
export const ERASE_DAYS = 14

export const erasureSchema = z.object({ at: z.iso.datetime(), wish: eraseWishSchema }).nullable()
/** @property atOnce is the owner's word. */
/** Whether somebody's record is going, and when. */
export const goingSchema = z.object({ erasure: erasureSchema })
export type Going = z.infer<typeof goingSchema>
export const erasureAskedSchema = z.object({
  wish: z.enum(['own', 'guardian', 'house']),
  atOnce: z.boolean().default(false)
})
export type ErasureAsked = z.infer<typeof erasureAskedSchema>

/** Somebody as the owner sees them. */
export const housePersonSchema = z.object({
  account: accountSchema,
  house: houseRoleSchema,
  classes: z.array(z.string()),
  entered: z.boolean(),
  seenAt: z.iso.datetime().nullable(),
  pieces: z.int(),
  erasure: erasureSchema,
  demo: z.boolean()
})
export type HousePerson = z.infer<typeof housePersonSchema>
export const housePeopleSchema = z.array(housePersonSchema)
export const housePersonWrittenSchema = z.object({ name: nameSchema, email: emailSchema, house: houseRoleSchema })

/** The standing orders, and the demo. @property demo null where it cannot be loaded here. */
export const houseSchema = z.object({
  retentionMonths: z.int().nullable(),
  demo: z.enum(['none', 'loading', 'loaded']).nullable(),
  mailServer: z.boolean()
})
export type House = z.infer<typeof houseSchema>
export const houseOrdersSchema = z.object({
  retentionMonths: z.coerce
    .number('In months.')
    .int()
    .min(1, 'A month at least.')
    .max(120, 'Ten years at most.')
    .nullable()
})
