/**
 * The picture's palette as a GIMP palette file (.gpl), which most painting programs read (format: GIMP developer
 * documentation, gimppalette-load).
 */
import { parseHex } from '../colour/srgb'
import type { Swatch } from '../measure/report'
import { stepWords } from '../critique/words'

/** A name on one line: the format ends a field with the line. */
const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim()

export function gimpPalette(title: string, swatches: readonly Swatch[]): string {
  const rows = swatches.map(({ hex, step, kind, share }) => {
    const bytes = parseHex(hex)
      .map(byte => String(byte).padStart(3))
      .join(' ')
    return `${bytes}\t${[step && stepWords(step), kind].filter(Boolean).join(' ')}, ${Math.round(100 * share)} %`
  })
  return ['GIMP Palette', `Name: ${oneLine(title)}`, `Columns: ${swatches.length}`, '#', ...rows, ''].join('\n')
}
