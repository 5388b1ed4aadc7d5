/** A figure with its bound and whose it is, in a sentence: so that a critic can disagree with it exactly. */
import type { Figure } from '~~/core/critique/reading'
import { STANDARD_FIELDS } from './standardFields'

const UNIT_WORDS: Readonly<Record<Figure['unit'], string>> = {
  steps: ' steps',
  temperature: ' of temperature',
  rank: '',
  share: '\u00a0%',
  times: ' times',
  difference: ' ΔE00'
}

function said(unit: Figure['unit'], value: number): string {
  const shown = unit === 'share' ? 100 * value : value
  return `${Math.round(shown * 10) / 10}${UNIT_WORDS[unit]}`
}

/** Null for a reading without a figure. */
export function readingBound({ figure }: { readonly figure?: Figure }): string | null {
  if (!figure) return null
  const field = STANDARD_FIELDS.find(f => f.name === figure.house),
    whose = field
      ? `the house standard “${field.title}”${figure.eased ? `, ${figure.eased}` : ''}`
      : 'this reading’s own bound'
  return `Measured: ${said(figure.unit, figure.value)}. Judged at ${said(figure.unit, figure.standard)}, ${whose}.`
}
