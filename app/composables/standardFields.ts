/** House standards as the form shows them: each with its meaning, shares in percent. */
import type { HouseStandards } from '~~/core/critique/standards'

type Numbers<K extends keyof HouseStandards = keyof HouseStandards> = { readonly [P in K]: HouseStandards[P] extends number ? P : never }[K]
type Nested = 'range' | 'merge' | 'horizon'

export interface StandardField {
  readonly name: Numbers | Nested
  /** For a standard of two numbers, which. */
  readonly part?: string
  readonly title: string
  readonly meaning: string
  readonly unit: string
  /** Shown number ÷ stored number. */
  readonly times: number
  readonly step: number
}

const field = (name: StandardField['name'], title: string, meaning: string, unit = '', times = 1, part?: string, step = 1): StandardField => ({ name, title, meaning, unit, times, step, ...(part ? { part } : {}) })

export const STANDARD_FIELDS: readonly StandardField[] = [
  field('range', 'A full range', 'From this many value steps between darkest and lightest the range is full.', 'steps', 1, 'full'),
  field('range', 'A moderate range', 'Under this it is narrow.', 'steps', 1, 'moderate'),
  field('nearBlack', 'Flat black let pass', 'Share of the picture that may be black without a colour.', '%', 100, undefined, 0.5),
  field('merge', 'Merging in value', 'Closer to its surroundings than this, an area is not held by value.', 'steps', 1, 'value'),
  field('merge', 'Merging in colour', 'And closer than this in colour too, it merges.', 'ΔE00', 1, 'deltaE'),
  field('evenness', 'Equal amounts', 'More even than this, no colour leads.', '%', 100),
  field('vivid', 'Everything vivid', 'More of the picture vivid than this, everything shouts.', '%', 100),
  field('dull', 'Dull', 'Under this strength of colour a picture of one colour misses an accent.', 'C × 100', 100),
  field('lightMinusDark', 'Warm and cool light', 'Lights and darks must part by this in temperature.', 'T'),
  field('leavesLight', 'Leaving the light', 'A shadow farther than this from where one light would put it.', 'ΔE00'),
  field('lineDependence', 'Drawn by line', 'Thin dark lines may carry this much of the contrast.', '%', 100),
  field('cutout', 'Cut out', 'This many times sharper or busier than around it, a figure looks pasted on.', 'times', 1, undefined, 0.1),
  field('symmetry', 'Static', 'More like its own mirror image than this, a picture stands still.', '%', 100),
  field('horizon', 'Halved, from', 'A division between these heights cuts the picture in half.', '%', 100, 'low'),
  field('horizon', 'Halved, to', '', '%', 100, 'high')
]

export const SCHOOLS = [
  { name: 'wheel', title: 'Wheel', options: [['painter', 'red, yellow, blue'], ['process', 'cyan, magenta, yellow'], ['perceptual', 'equal steps of hue']] },
  { name: 'grey', title: 'First grey', options: [['value', 'L*'], ['luma', 'luma'], ['hsl', 'HSL lightness'], ['hsv', 'HSV value']] },
  { name: 'opposites', title: 'Opposites', options: [['full', 'across the wheel'], ['one-step', 'one step off']] },
  { name: 'black', title: 'Black', options: [['avoid', 'kept off the palette'], ['with-intent', 'used where it is meant']] }
] as const

const round = (n: number): number => Math.round(n * 1e6) / 1e6

/** The number on screen. */
export function shown({ name, part, times }: StandardField, standards: HouseStandards): number {
  const value = standards[name] as number | Record<string, number>
  return round(times * (typeof value === 'number' ? value : value[part!]!))
}

/** The change that a number typed in makes. */
export function stored({ name, part, times }: StandardField, standards: HouseStandards, typed: number): Partial<HouseStandards> {
  const value = round(typed / times)
  return { [name]: part ? { ...standards[name] as object, [part]: value } : value }
}
