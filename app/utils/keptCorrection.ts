/** A correction being written, kept in this browser: a new one under its piece, a changed one under itself. */
import { z } from 'zod'
import { correctionInputSchema, correctionSchema, type Correction, type CorrectionWritten } from '~~/shared/critique'
import { keptWords } from './kept'

const keptSchema = z.object({
  input: correctionInputSchema.extend({ what: z.string().max(2000) }),
  /** What it was written over; null for a new one. */
  over: correctionSchema.nullable()
})

export interface KeptCorrection {
  readonly keep: (value: { readonly input: CorrectionWritten; readonly over: Correction | null }) => void
  readonly drop: () => void
  /** What is kept, if it was written over just this. */
  readonly since: (opened: Correction | undefined) => z.infer<typeof keptSchema> | null
}

export function keptCorrection(accountId: number, pieceId: number, correctionId?: number): KeptCorrection {
  const kept = keptWords(accountId, `correction:${pieceId}:${correctionId ?? 'new'}`, keptSchema)
  return {
    keep(value) {
      const fit = keptSchema.safeParse(value)
      if (fit.success) kept.keep(fit.data)
    },
    drop: kept.drop,
    since(opened) {
      const found = kept.read()
      return found && JSON.stringify(found.over) === JSON.stringify(opened ? correctionSchema.parse(opened) : null)
        ? found
        : null
    }
  }
}
