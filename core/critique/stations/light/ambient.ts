/** Do the shadows carry the colour of what surrounds them? */
import type { Ambient } from '../../piece/measure'
import type { Reading } from '../../reading'

export const WHY_DARKER =
  'Shadows carry the colour of what surrounds them, most often the sky.'
  + ' A shadow that is only a darker version of the same colour looks dead.'

/** Whether the shadows carry the colour of their surroundings. Null where nothing was picked, or either has no hue. */
export function ambientReading(ambient: Ambient | null): Reading | null {
  if (!ambient) return null
  return {
    id: 'light.ambient',
    station: 'light',
    verdict: ambient.carried ? 'works' : 'look',
    why: WHY_DARKER,
    trains: [],
    sentence: ambient.carried
      ? `The shadows carry the colour of the surroundings: their hues are ${Math.round(ambient.apart)}° apart.`
      : `The shadows do not carry the surroundings: their hues are ${Math.round(ambient.apart)}° apart.`
  }
}
