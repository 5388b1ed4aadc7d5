/** A colour in words, as the workshop says it. */
import { stepWords } from '~~/core/critique/words'
import type { ColourDescription } from '~~/core/wheel/describe'

/** Under this, of 100, it is neither warm nor cool. */
const NEITHER = 5

export function colourInWords({ value, kind, step, temperature }: ColourDescription): string {
  const warmth = Math.abs(temperature) < NEITHER ? 'neither warm nor cool' : temperature > 0 ? 'warm' : 'cool'
  return [
    `value ${Math.round(value)}`,
    step && kind !== 'neutral' ? `${kind === 'hue' ? 'a strong' : `a ${kind} of`} ${stepWords(step)}` : 'a neutral',
    kind === 'neutral' ? '' : `${warmth} (${temperature > 0 ? '+' : ''}${Math.round(temperature)})`
  ]
    .filter(Boolean)
    .join(' · ')
}
