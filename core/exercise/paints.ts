/**
 * Paints or pencils that somebody owns, read from a swatch file; and which of them comes nearest to a wanted colour.
 */
import { convertLinearToLab } from '../colour/lab'
import { differenceOf } from '../colour/difference'
import { formatHex, linearOfHex } from '../colour/srgb'

export interface Paint {
  readonly name: string
  readonly hex: string
}

/** Swatches of a file, at most: more than any box of paints. */
const MOST = 400

/**
 * A `.gpl` palette (an open text format: a first line that names it, then three bytes and a name a line).
 * @throws RangeError when it is another kind of file or holds no colour.
 */
export function readPaints(text: string): Paint[] {
  const lines = text.split(/\r?\n/)
  if (!lines[0]?.trim().startsWith('GIMP Palette')) throw new RangeError('This is not a .gpl list of colours.')
  const paints = lines.slice(1).flatMap(line => {
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s*(.*)$/.exec(line)
    if (!found) return []
    const bytes = found.slice(1, 4).map(Number)
    if (bytes.some(b => b > 255)) return []
    const hex = formatHex(bytes)
    return [{ name: found[4].trim().slice(0, 80) || hex, hex }]
  })
  if (paints.length === 0) throw new RangeError('There is no colour in this list.')
  return paints.slice(0, MOST)
}

/** @returns the nearest by ΔE00, with how far it is; null where nothing is owned. */
export function nearestPaint(hex: string, paints: readonly Paint[]): { paint: Paint; difference: number } | null {
  const wanted = convertLinearToLab(linearOfHex(hex))
  let best: { paint: Paint; difference: number } | null = null
  for (const paint of paints) {
    const difference = differenceOf(wanted, convertLinearToLab(linearOfHex(paint.hex)))
    if (!best || difference < best.difference) best = { paint, difference }
  }
  return best
}
