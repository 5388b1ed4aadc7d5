import { z } from 'zod'

/** A mail in the outbox: the simulated post office keeps what it would have sent. */
export const mailSchema = z.object({
  id: z.int(),
  /** Without an address it reaches nobody but by hand. */
  to: z.object({ name: z.string(), email: z.string().nullable() }),
  subject: z.string(),
  body: z.string(),
  sentAt: z.iso.datetime(),
  /** When a real mail server took it, or why it did not; without one, neither. */
  deliveredAt: z.iso.datetime().nullable(),
  failure: z.string(),
  /** It was tried for a day, and is not tried again. */
  givenUp: z.boolean(),
  /** Where the link in it leads, shown to its receiver alone while mail leaves this machine by nothing else. */
  link: z.string().nullable()
})
export type Mail = z.infer<typeof mailSchema>
export const mailListSchema = z.array(mailSchema)
