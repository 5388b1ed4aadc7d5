import { z } from 'zod'

const hex = z.string().regex(/^#[0-9a-f]{6}$/)

/** What a study is, as it is shown in a strip: its framing and palette are measured, its time is its maker's word. */
export const studyFactsSchema = z.object({
  width: z.int(),
  height: z.int(),
  palette: z.array(z.object({ hex, share: z.number() })),
  /** Of value, L* from darkest to lightest; null where nothing is measured. */
  range: z.number().nullable(),
  /** What would be said first of it: its maker's alone. */
  said: z.array(z.string())
})
export type StudyFacts = z.infer<typeof studyFactsSchema>

export const keptStudySchema = studyFactsSchema.extend({
  id: z.int(),
  madeAt: z.iso.datetime(),
  minutes: z.int().nullable(),
  /** The piece it led to; null while there is none. */
  submissionId: z.int().nullable()
})
export type KeptStudy = z.infer<typeof keptStudySchema>
export const keptStudyListSchema = z.array(keptStudySchema)

export const studyWordsSchema = z.object({
  minutes: z
    .union([z.literal('').transform(() => null), z.coerce.number().int().min(1, 'At least a minute.').max(6000)])
    .nullish()
    .transform(v => v ?? null)
})
