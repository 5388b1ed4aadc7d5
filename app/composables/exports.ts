/** What a piece can be taken away as, and how it is called. */
export const EXPORT_LINKS: readonly (readonly [name: string, words: string])[] = [['palette.gpl', 'palette'], ['annotations.json', 'annotations'], ['report.json', 'report']]
