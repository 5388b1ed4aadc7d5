/** What a piece can be taken away as: each format's file name, media type, and what it is called on the page. */
import { z } from 'zod'

interface ExportFormat {
  readonly mediaType: string
  readonly words: string
}

/** Written at once. */
export const EXPORTS = {
  'palette.gpl': { mediaType: 'text/plain; charset=utf-8', words: 'palette' },
  'readings.csv': { mediaType: 'text/csv; charset=utf-8', words: 'readings as a table' },
  'annotations.json': { mediaType: 'application/ld+json', words: 'annotations' },
  'report.json': { mediaType: 'application/json', words: 'report' }
} as const satisfies Readonly<Record<string, ExportFormat>>
export type ExportName = keyof typeof EXPORTS
export const exportNameSchema = z.enum(Object.keys(EXPORTS) as [ExportName, ...ExportName[]])

/** Made first, in a process of its own: it takes seconds, tells how far it is, and can be called off. */
export const MADE_EXPORTS = {
  'sheet-a4.pdf': { mediaType: 'application/pdf', words: 'sheet, A4' },
  'sheet-letter.pdf': { mediaType: 'application/pdf', words: 'sheet, Letter' },
  'layers.ora': { mediaType: 'image/openraster', words: 'layers' },
  'as-it-could-be.png': { mediaType: 'image/png', words: 'picture as it could be' }
} as const satisfies Readonly<Record<string, ExportFormat>>
export type MadeExport = keyof typeof MADE_EXPORTS
const madeExportSchema = z.enum(Object.keys(MADE_EXPORTS) as [MadeExport, ...MadeExport[]])

export const exportInputSchema = z.object({ name: madeExportSchema })

/** An export being made: how far, or done, or why it is not. */
export const exportStateSchema = z.object({
  id: z.string(),
  name: madeExportSchema,
  state: z.enum(['making', 'done', 'failed', 'called-off']),
  share: z.number().min(0).max(1)
})
export type ExportState = z.infer<typeof exportStateSchema>
