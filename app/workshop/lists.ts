/** Lists of paints as files: `.gpl` and CSV, in and out. */
import Papa from 'papaparse'
import { readPaintList, writePaintList } from '~~/core/paint/gpl'
import { paintInputSchema, type PaintInput } from '~~/shared/workshop'

const COLUMNS = ['name', 'medium', 'pigment', 'masstone', 'tint'] as const

/** @throws RangeError in the user's words, with the row where one is wrong. */
export function readPaintFile(text: string): PaintInput[] {
  if (/^\uFEFF?\s*GIMP Palette/.test(text))
    return readPaintList(text).map(paint => ({ ...paint, medium: 'other', pigment: '' }))
  const { data } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: head =>
      head
        .replace(/^\uFEFF/, '')
        .trim()
        .toLowerCase()
  })
  if (!data.length || !('name' in data[0]!) || !('masstone' in data[0]!))
    throw new RangeError(`This is no list of paints: a .gpl, or a table with the columns ${COLUMNS.join(', ')}.`)
  return data.map((row, i) => {
    const read = paintInputSchema.safeParse({
      name: row.name,
      medium: row.medium?.trim() || 'other',
      pigment: row.pigment ?? '',
      masstone: row.masstone?.trim().toLowerCase(),
      tint: row.tint?.trim().toLowerCase() || null
    })
    if (!read.success) throw new RangeError(`Row ${i + 2}: ${read.error.issues[0]!.message}`)
    return read.data
  })
}

/** A cell that a table would reckon is given as what it is. */
const plain = (cell: string): string => (/^[=+\-@\t]/.test(cell) ? `'${cell}` : cell)

export function paintFile(kind: 'gpl' | 'csv', paints: readonly PaintInput[]): Blob {
  const text =
    kind === 'gpl'
      ? writePaintList('My paints', paints)
      : Papa.unparse({
          fields: [...COLUMNS],
          data: paints.map(p => COLUMNS.map(column => plain(p[column] ?? '')))
        })
  return new Blob([text], { type: kind === 'gpl' ? 'text/plain' : 'text/csv' })
}
