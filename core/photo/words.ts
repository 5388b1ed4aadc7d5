/** What was done to a photograph, in words: said wherever its numbers stand. */
import type { Corrected } from './correct'
import type { PhotoSteps } from './steps'

/** Stops from which a lamp's colour is named. */
const NAMED = 0.08

/** The lamp's colour, by stops of red, green and blue over their mean; null where it is hardly there. */
export function castName(cast: readonly [number, number, number]): string | null {
  const [r, g, b] = cast,
    warm = r - b,
    green = g - (r + b) / 2
  if (Math.max(Math.abs(warm), 2 * Math.abs(green)) < 2 * NAMED) return null
  if (2 * Math.abs(green) > Math.abs(warm)) return green > 0 ? 'green' : 'pink'
  return warm > 0 ? 'warm' : 'cool'
}

/** Under this nobody sees it: share of the light. */
const SEEN_FALLOFF = 0.03

type Told = Pick<Corrected, 'cast' | 'falloff' | 'strip'>

/** One line, without a full stop; empty where nothing was done. */
export function stepsInWords(steps: PhotoSteps, { cast, falloff, strip }: Told): string {
  const said: string[] = [],
    lamp = cast && castName(cast),
    light = lamp ? `, the light was ${lamp}` : ''
  if (steps.corners) said.push('straightened')
  if (strip) {
    const [before, after] = [strip.before, strip.after].map(off => off.toFixed(1))
    said.push(`colours brought right by the printed strip, from ${before} off to ${after} (ΔE00)${light}`)
  } else if (steps.known) {
    said.push(`white taken from ${steps.known.as === 'white' ? 'the paper' : 'the grey card'}${light}`)
  }
  if ((strip ?? steps.known) && steps.even && falloff !== null && falloff > SEEN_FALLOFF)
    said.push(`light fall-off of ${Math.round(100 * falloff)} % taken out`)
  return said.join('; ')
}
