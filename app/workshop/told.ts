/** A colour and a pigment in words, as the workshop says them. */
import { stepWords } from '~~/core/critique/words'
import type { Pigment } from '~~/core/paint/pigments'
import type { ColourDescription } from '~~/core/wheel/describe'

const LASTS = { I: 'lasts longest', II: 'lasts long', III: 'fades in years', IV: 'fades', V: 'fades fast' } as const
const OPACITY = { transparent: 'transparent', half: 'half opaque', opaque: 'opaque' } as const
export const pigmentWords = ({ index, opacity, lasts }: Pigment): string =>
  `${index} · ${OPACITY[opacity]} · ${LASTS[lasts]} (${lasts})`

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
