/** All exercises, by key. */
import type { Exercise } from './exercise'
import { LIMITED_PALETTE, MUTED, NO_BLACK, ONE_COLOUR } from './mixing'
import { NEIGHBOURS, ONE_STEP_OFF, OPPOSITES, SPLIT_OPPOSITES, TRIAD, TWO_PAIRS } from './schemes'
import { FRAMING, FROM_REFERENCE, ONE_HUE, PROPORTION, SHADOW_COLOUR, STUDIES_FIRST, WHEEL_12, WHEEL_6 } from './seeing'
import type { SectorScheme } from '../wheel/schemes'
import { ladder, THREE_VALUES, TWO_VALUES } from './values'

export const EXERCISES = {
  'two-values': TWO_VALUES,
  'three-values': THREE_VALUES,
  'ladder-5': ladder(5),
  'ladder-7': ladder(7),
  'ladder-9': ladder(9),
  'from-reference': FROM_REFERENCE,
  'one-colour': ONE_COLOUR,
  muted: MUTED,
  'no-black': NO_BLACK,
  'limited-palette': LIMITED_PALETTE,
  'shadow-colour': SHADOW_COLOUR,
  'one-hue': ONE_HUE,
  'wheel-6': WHEEL_6,
  'wheel-12': WHEEL_12,
  neighbours: NEIGHBOURS,
  opposites: OPPOSITES,
  'one-step-off': ONE_STEP_OFF,
  'split-opposites': SPLIT_OPPOSITES,
  triad: TRIAD,
  'two-pairs': TWO_PAIRS,
  proportion: PROPORTION,
  framing: FRAMING,
  'studies-first': STUDIES_FIRST
} as const satisfies Readonly<Record<string, Exercise>>
export type ExerciseKey = keyof typeof EXERCISES
export const EXERCISE_KEYS = Object.keys(EXERCISES) as [ExerciseKey, ...ExerciseKey[]]
/** One of them by its key, as any exercise is seen. */
export const exerciseOf = (key: ExerciseKey): Exercise => EXERCISES[key]

/** The shelf's boards, top to bottom: what an exercise trains. */
export const BOARDS: readonly { readonly name: string; readonly keys: readonly ExerciseKey[] }[] = [
  { name: 'Values', keys: ['two-values', 'three-values', 'ladder-5', 'ladder-7', 'ladder-9', 'from-reference'] },
  { name: 'Mixing', keys: ['one-colour', 'muted', 'no-black', 'limited-palette', 'shadow-colour', 'one-hue'] },
  {
    name: 'The wheel and its schemes',
    keys: ['wheel-6', 'wheel-12', 'neighbours', 'opposites', 'one-step-off', 'split-opposites', 'triad', 'two-pairs']
  },
  { name: 'Before the picture', keys: ['proportion', 'framing', 'studies-first'] }
]

/** Exercises that are a piece in a scheme. */
export const trainsScheme = (scheme: SectorScheme): ExerciseKey[] =>
  EXERCISE_KEYS.filter(key => EXERCISES[key].plan === scheme && key !== 'one-hue')
