/** What a piece can be taken away as, and how it is called: at once, or made first. */
import type { MadeExport } from '~~/shared/export'

export const EXPORT_LINKS: readonly (readonly [name: string, words: string])[] = [['palette.gpl', 'palette'], ['readings.csv', 'readings as a table'], ['annotations.json', 'annotations'], ['report.json', 'report']]
export const MADE_LINKS: readonly (readonly [name: MadeExport, words: string])[] = [['sheet-a4.pdf', 'sheet, A4'], ['sheet-letter.pdf', 'sheet, Letter'], ['layers.ora', 'layers'], ['as-it-could-be.png', 'picture as it could be']]
