/** What an exercise is set with, as it is chosen from. */
import { MEDIA, MEDIUM_WORDS, TOLERANCE_WORDS, TOLERANCES } from '~~/core/exercise'
import type { WheelName } from '~~/core/wheel/steps'
import { stepAt } from '~~/core/wheel/wheel'

export const MEDIUM_CHOICES = MEDIA.map(value => ({ value, title: MEDIUM_WORDS[value] }))
export const TOLERANCE_CHOICES = TOLERANCES.map(value => ({ value, title: TOLERANCE_WORDS[value] }))
/** The twelve steps of a wheel, by their degrees. */
export const keyChoices = (wheel: WheelName): { value: number; title: string }[] =>
  Array.from({ length: 12 }, (_, i) => ({ value: 30 * i, title: stepAt(wheel, 30 * i) }))
