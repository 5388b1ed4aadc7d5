/**
 * Lists of paints as `.gpl`, an open text format: a first line that names it, then three bytes and a name a line. It
 * knows one colour a name; a tint goes as a swatch of its own, named after its paint.
 */
import { formatHex, parseHex } from '../colour/srgb'
import type { OwnPaint } from './own'

export interface Swatch {
  readonly name: string
  readonly hex: string
}

/** Swatches of a file, at most: more than any box of paints. */
const MOST = 400
const FIRST = 'GIMP Palette',
  TINT = ' 1:10 white'

/** @throws RangeError when it is another kind of file or holds no colour. */
export function readSwatches(text: string): Swatch[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/)
  if (!lines[0]?.trim().startsWith(FIRST)) throw new RangeError('This is not a .gpl list of colours.')
  const swatches = lines.slice(1).flatMap(line => {
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s*(.*)$/.exec(line)
    if (!found) return []
    const bytes = found.slice(1, 4).map(Number)
    if (bytes.some(b => b > 255)) return []
    const hex = formatHex(bytes)
    return [{ name: found[4].trim().slice(0, 80) || hex, hex }]
  })
  if (swatches.length === 0) throw new RangeError('There is no colour in this list.')
  return swatches.slice(0, MOST)
}

/** The same with tints beside their paints. @throws RangeError as above. */
export function readPaintList(text: string): { name: string; masstone: string; tint: string | null }[] {
  const swatches = readSwatches(text),
    tints = new Map(swatches.filter(s => s.name.endsWith(TINT)).map(s => [s.name.slice(0, -TINT.length), s.hex]))
  const paints = swatches
    .filter(s => !(s.name.endsWith(TINT) && swatches.some(p => p.name === s.name.slice(0, -TINT.length))))
    .map(({ name, hex }) => ({ name, masstone: hex, tint: tints.get(name) ?? null }))
  return paints
}

export function writePaintList(title: string, paints: readonly Pick<OwnPaint, 'name' | 'masstone' | 'tint'>[]): string {
  const line = (hex: string, name: string): string =>
    `${[...parseHex(hex)].map(v => String(v).padStart(3)).join(' ')}\t${name.replace(/\s+/g, ' ')}`
  return [
    FIRST,
    `Name: ${title.replace(/\s+/g, ' ')}`,
    '#',
    ...paints.flatMap(({ name, masstone, tint }) => [line(masstone, name), ...(tint ? [line(tint, name + TINT)] : [])]),
    ''
  ].join('\n')
}
