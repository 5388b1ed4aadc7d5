/** Open calls: people without an account hand in, and read what was said by the link that was mailed to them. */
import { z } from 'zod'
import { CALL_ORDERS } from '../core/call/order'
import { emailSchema, nameSchema } from './account'
import { photoStepsField } from './pieces/photo'
import { stageSchema } from './pieces/submission'

export const RETURNED = ['critique', 'session', 'both'] as const
export const RETURNED_WORDS: Readonly<Record<(typeof RETURNED)[number], string>> = {
  critique: 'a written critique',
  session: 'a look at it in front of the others',
  both: 'a written critique, and a look at it in front of the others'
}
export const ORDER_WORDS: Readonly<Record<(typeof CALL_ORDERS)[number], string>> = {
  first: 'who comes first is looked at first',
  lot: 'lots are drawn once the call is closed',
  chosen: 'the instructor chooses'
}

const day = z.iso.date('Choose a day.')
/** Days are whole ones: it opens with the first and closes with the last. */
export const callWrittenSchema = z
  .object({
    title: z.string().trim().min(1, 'The call needs a title.').max(120, 'A title of at most 120 characters.'),
    asked: z.string().trim().min(1, 'Say what is asked, in plain words.').max(2000, 'At most 2000 characters.'),
    opensOn: day,
    closesOn: day,
    perPerson: z.coerce.number().int().min(1, 'At least one piece a person.').max(5, 'At most five pieces a person.'),
    most: z.coerce.number().int().min(1, 'At least one piece.').max(300, 'At most 300 pieces.'),
    ordered: z.enum(CALL_ORDERS),
    budgetMinutes: z.coerce.number().int().min(1, 'At least a minute.').max(120, 'At most two hours.'),
    returned: z.enum(RETURNED)
  })
  .refine(({ opensOn, closesOn }) => closesOn >= opensOn, { path: ['closesOn'], message: 'It closes before it opens.' })
export type CallWritten = z.infer<typeof callWrittenSchema>

/** What anybody who holds the link reads. @property standing whether pieces are taken just now. */
export const openCallSchema = z.object({
  title: z.string(),
  asked: z.string(),
  instructors: z.string(),
  opensAt: z.iso.datetime(),
  closesAt: z.iso.datetime(),
  perPerson: z.int(),
  most: z.int(),
  ordered: z.enum(CALL_ORDERS),
  /** That lots are drawn by; of a call in another order it says nothing. */
  seed: z.int(),
  returned: z.enum(RETURNED),
  standing: z.enum(['not-yet', 'open', 'full', 'closed'])
})
export type OpenCall = z.infer<typeof openCallSchema>

const words = (most: number) => z.string().trim().max(most, `Keep this under ${most} characters.`)
const flag = z.union([z.boolean(), z.enum(['true', 'false']).transform(v => v === 'true')])
/** A guest's form; the picture comes with it. */
export const entryWrittenSchema = z
  .object({
    name: nameSchema,
    email: emailSchema,
    ofAge: flag,
    guardianEmail: z.union([z.literal(''), emailSchema]).transform(e => e || null),
    /** Their name may be said in front of others. */
    named: flag,
    title: words(120).min(1, 'The piece needs a title.'),
    stage: stageSchema,
    medium: words(80),
    about: words(500),
    question: words(500),
    /** Where the eye should go, as the guest pointed it out; both or neither. */
    focusX: z.coerce.number().min(0).max(1).optional(),
    focusY: z.coerce.number().min(0).max(1).optional(),
    steps: photoStepsField.optional(),
    proof: z.string().max(4000)
  })
  .refine(({ ofAge, guardianEmail }) => ofAge || guardianEmail, {
    path: ['guardianEmail'],
    message: 'Whoever is not of age needs the address of a parent or guardian, who is asked first.'
  })
  .refine(({ ofAge, email, guardianEmail }) => ofAge || guardianEmail?.toLowerCase() !== email.toLowerCase(), {
    path: ['guardianEmail'],
    message: 'A parent’s or guardian’s address is another one than your own.'
  })
export type EntryWritten = z.infer<typeof entryWrittenSchema>

/** Of what was sent: where a link goes; the link itself where no mail server is set that could carry it. */
export const entrySentSchema = z.object({ to: z.string(), link: z.string().nullable() })
export type EntrySent = z.infer<typeof entrySentSchema>

export const entryStateSchema = z.enum(['sent', 'waiting', 'taken', 'passed'])
/** What a guest's link shows. @property submissionId once it is on the desk. @property ready the critique is there. */
export const entrySchema = z.object({
  call: z.string(),
  title: z.string(),
  name: z.string(),
  state: entryStateSchema,
  guardian: z.boolean(),
  submissionId: z.int().nullable(),
  ready: z.boolean(),
  returned: z.enum(RETURNED),
  /** What was said of it in front of others. */
  said: z.array(z.object({ on: z.iso.datetime(), said: z.string() }))
})
export type Entry = z.infer<typeof entrySchema>

/** A call as its instructor sees it. @property path of its public page. */
export const listedCallSchema = openCallSchema.extend({
  id: z.int(),
  classId: z.int(),
  path: z.string(),
  budgetMinutes: z.int(),
  drawn: z.boolean(),
  /** Sessions in front of others, the latest first. */
  sittings: z.array(z.object({ id: z.int(), begunAt: z.iso.datetime(), ended: z.boolean() })),
  entries: z.array(
    z.object({
      id: z.int(),
      name: z.string(),
      title: z.string(),
      state: entryStateSchema,
      named: z.boolean(),
      submissionId: z.int().nullable()
    })
  )
})
export type ListedCall = z.infer<typeof listedCallSchema>
export const callListSchema = z.array(listedCallSchema)

/** Where the instructor chooses: this one is taken, or passed by. */
export const chosenSchema = z.object({ take: z.boolean() })
