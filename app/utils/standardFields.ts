/** House standards as the form shows them: each with its meaning, shares in percent. */
import type { HouseStandards } from '~~/core/critique/standards'

type Numbers<K extends keyof HouseStandards = keyof HouseStandards> = {
  readonly [P in K]: HouseStandards[P] extends number ? P : never
}[K]
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

type FieldRow = Omit<StandardField, 'unit' | 'times' | 'step'> & Partial<Pick<StandardField, 'unit' | 'times' | 'step'>>
const field = ({ unit = '', times = 1, step = 1, ...rest }: FieldRow): StandardField => ({ ...rest, unit, times, step })

export const STANDARD_FIELDS: readonly StandardField[] = [
  field({
    name: 'range',
    title: 'A full range',
    meaning: 'From this many value steps between darkest and lightest the range is full.',
    unit: 'steps',
    part: 'full'
  }),
  field({
    name: 'range',
    title: 'A moderate range',
    meaning: 'Under this it is narrow.',
    unit: 'steps',
    part: 'moderate'
  }),
  field({
    name: 'nearBlack',
    title: 'Flat black let pass',
    meaning: 'Share of the picture that may be black without a colour.',
    unit: '%',
    times: 100,
    step: 0.5
  }),
  field({
    name: 'merge',
    title: 'Merging in value',
    meaning: 'Closer to its surroundings than this, an area is not held by value.',
    unit: 'steps',
    part: 'value'
  }),
  field({
    name: 'merge',
    title: 'Merging in colour',
    meaning: 'And closer than this in colour too, it merges.',
    unit: 'ΔE00',
    part: 'deltaE'
  }),
  field({
    name: 'lead',
    title: 'One colour leads',
    meaning: 'From this many times the area of the next on; under it no colour leads.',
    unit: 'times',
    step: 0.1
  }),
  field({
    name: 'vivid',
    title: 'Everything vivid',
    meaning: 'More of the picture vivid than this, everything shouts.',
    unit: '%',
    times: 100
  }),
  field({
    name: 'dull',
    title: 'Dull',
    meaning: 'Under this strength of colour a picture of one colour misses an accent.',
    unit: 'C × 100',
    times: 100
  }),
  field({
    name: 'lightMinusDark',
    title: 'Warm and cool light',
    meaning: 'Lights and darks must part by this in temperature.',
    unit: 'T'
  }),
  field({
    name: 'leavesLight',
    title: 'Leaving the light',
    meaning: 'A shadow farther than this from where one light would put it.',
    unit: 'ΔE00'
  }),
  field({
    name: 'lineDependence',
    title: 'Drawn by line',
    meaning: 'Thin dark lines may carry this much of the contrast.',
    unit: '%',
    times: 100
  }),
  field({
    name: 'cutout',
    title: 'Cut out',
    meaning: 'This many times sharper or busier than around it, a figure looks pasted on.',
    unit: 'times',
    step: 0.1
  }),
  field({
    name: 'symmetry',
    title: 'Static',
    meaning: 'More like its own mirror image than this, a picture stands still.',
    unit: '%',
    times: 100
  }),
  field({
    name: 'horizon',
    title: 'Halved, from',
    meaning: 'A division between these heights cuts the picture in half.',
    unit: '%',
    times: 100,
    part: 'low'
  }),
  field({ name: 'horizon', title: 'Halved, to', meaning: '', unit: '%', times: 100, part: 'high' })
]

export const SCHOOLS = [
  {
    name: 'wheel',
    title: 'Wheel',
    options: [
      ['painter', 'red, yellow, blue'],
      ['process', 'cyan, magenta, yellow'],
      ['perceptual', 'equal steps of hue']
    ]
  },
  {
    name: 'grey',
    title: 'First grey',
    options: [
      ['value', 'L*'],
      ['luma', 'luma'],
      ['hsl', 'HSL lightness'],
      ['hsv', 'HSV value']
    ]
  },
  {
    name: 'opposites',
    title: 'Opposites',
    options: [
      ['full', 'across the wheel'],
      ['one-step', 'one step off']
    ]
  },
  {
    name: 'black',
    title: 'Black',
    options: [
      ['avoid', 'kept off the palette'],
      ['with-intent', 'used where it is meant']
    ]
  }
] as const

const round = (n: number): number => Math.round(n * 1e6) / 1e6

/** The number on screen. */
export function shownStandard({ name, part, times }: StandardField, standards: HouseStandards): number {
  const value = standards[name] as number | Record<string, number>
  return round(times * (typeof value === 'number' ? value : value[part!]!))
}

/** The change that a number typed in makes. */
export function storedStandard(
  { name, part, times }: StandardField,
  standards: HouseStandards,
  typed: number
): Partial<HouseStandards> {
  const value = round(typed / times)
  return { [name]: part ? { ...(standards[name] as object), [part]: value } : value }
}
