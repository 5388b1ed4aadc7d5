import { z } from 'zod'

/** What has to be made first, in a worker: it takes seconds, tells how far it is, and can be called off. */
export const MADE_EXPORTS = ['sheet-a4.pdf', 'sheet-letter.pdf', 'layers.ora', 'as-it-could-be.png'] as const
export const madeExportSchema = z.enum(MADE_EXPORTS)
export type MadeExport = z.infer<typeof madeExportSchema>

export const exportInputSchema = z.object({ name: madeExportSchema })

/** An export being made: how far, or done, or why it is not. */
export const exportStateSchema = z.object({
  id: z.string(), name: madeExportSchema, state: z.enum(['making', 'done', 'failed', 'called-off']), share: z.number().min(0).max(1)
})
export type ExportState = z.infer<typeof exportStateSchema>
