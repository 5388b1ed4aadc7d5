/** What an exercise is set with: the class's wheel, a key colour of the learner's own, how closely it is held to. */
import { stepAt } from '../wheel/wheel'
import type { WheelName } from '../wheel/steps'

export const TOLERANCES = ['wide', 'usual', 'tight'] as const
export type Tolerance = (typeof TOLERANCES)[number]

/** Materials that an exercise is done in, as far as care and wording differ. */
export const MEDIA = ['any', 'paint', 'dry', 'markers', 'digital'] as const
export type Medium = (typeof MEDIA)[number]
export const MEDIUM_WORDS: Readonly<Record<Medium, string>> = {
  any: 'any medium',
  paint: 'paint',
  dry: 'pencil, pastel or chalk',
  markers: 'markers',
  digital: 'on a screen'
}

/** @property hue the key colour, in degrees of the wheel; null where the learner chooses. */
export interface Settings {
  readonly wheel: WheelName
  readonly hue: number | null
  readonly tolerance: Tolerance
  readonly medium: Medium
}
export const PLAIN_SETTINGS: Settings = { wheel: 'painter', hue: null, tolerance: 'usual', medium: 'any' }

/**
 * How far every bound gives way: a tenth more for a beginner, a twentieth less for who has done it before. Our choice.
 */
const SLACK: Readonly<Record<Tolerance, number>> = { wide: 0.15, usual: 0, tight: -0.05 }
export const TOLERANCE_WORDS: Readonly<Record<Tolerance, string>> = {
  wide: 'first time: bounds a little wider',
  usual: 'as usual',
  tight: 'done before: bounds a little tighter'
}

/** A bound as it is held to. @param side which way more room lies. */
export const give = (bound: number, side: 'least' | 'most', tolerance: Tolerance): number =>
  bound * (side === 'least' ? 1 - SLACK[tolerance] : 1 + SLACK[tolerance])

/** The key colour in a word of its wheel, as in "blue-green"; null where the learner chooses. */
export const keyWord = ({ wheel, hue }: Pick<Settings, 'wheel' | 'hue'>): string | null =>
  hue === null ? null : stepAt(wheel, hue)

/**
 * A key colour for each of several people, as far round the wheel from one another as so many can be, none beside its
 * neighbour's in the list.
 */
export function differentHues(people: number): number[] {
  // Steps of five twelfths meet every step once in twelve, and neighbours of a list lie far apart.
  return Array.from({ length: people }, (_, i) => ((i * 5) % 12) * 30)
}
