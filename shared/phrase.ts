import { z } from 'zod'
import { stationSchema } from './station'

export const phraseFieldSchema = z.enum(['what', 'todo'])
export type PhraseField = z.infer<typeof phraseFieldSchema>

/** A phrase of an instructor's shelf: what is wrong, or what to do, at a station. */
export const phraseSchema = z.object({
  id: z.int(),
  field: phraseFieldSchema,
  station: stationSchema,
  words: z.string(),
  uses: z.int()
})
export type Phrase = z.infer<typeof phraseSchema>
export const phraseListSchema = z.array(phraseSchema)

export const phraseInputSchema = z.object({
  words: z.string().trim().min(1, 'The phrase is empty.').max(500, 'A phrase has at most 500 characters.')
})
