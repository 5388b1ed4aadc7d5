/** The drills for the eye: what each asks, in which unit its threshold is told, and how it begins. */
import type { Asked } from './staircase'
import type { MakeQuestion } from './question'
import { countQuestion } from './questions/count'
import { eyeQuestion } from './questions/eye'
import { oppositeQuestion } from './questions/opposite'
import { orderQuestion } from './questions/order'
import { schemeQuestion } from './questions/scheme'
import { VALUE_SETTINGS, valueQuestion } from './questions/value'
import { WARMER_SETTINGS, warmerQuestion } from './questions/warmer'

export type DrillUnit = 'L*' | '°' | 'ΔE00'
export interface Drill {
  readonly title: string
  /** What a threshold of it means, after its number. */
  readonly means: string
  readonly unit: DrillUnit
  readonly settings: readonly string[]
  readonly questions: number
  readonly asked: Asked
  readonly make: MakeQuestion
}

/** Five seconds each: two minutes. */
export const QUESTIONS = 24
const ALONE = ['plain'] as const

export const DRILLS = {
  value: {
    title: 'The value of a colour',
    means: 'apart in value, and you tell which grey a colour matches',
    unit: 'L*',
    settings: VALUE_SETTINGS,
    questions: QUESTIONS,
    asked: { guess: 0.5, usual: 6, least: 0.8, most: 40 },
    make: valueQuestion
  },
  warmer: {
    title: 'Which is warmer',
    means: 'of hue apart, and you tell the warmer one',
    unit: '°',
    settings: WARMER_SETTINGS,
    questions: QUESTIONS,
    asked: { guess: 0.5, usual: 12, least: 1.5, most: 80 },
    make: warmerQuestion
  },
  opposite: {
    title: 'The opposite on the wheel',
    means: 'off on the wheel, and you see that it is not the opposite',
    unit: '°',
    settings: ALONE,
    questions: QUESTIONS,
    asked: { guess: 0.5, usual: 22, least: 3, most: 100 },
    make: oppositeQuestion
  },
  order: {
    title: 'Five in order',
    means: 'between neighbours, and you put five colours in order of value',
    unit: 'L*',
    settings: ALONE,
    questions: 14,
    asked: { guess: 1 / 120, usual: 5, least: 0.8, most: 15 },
    make: orderQuestion
  },
  scheme: {
    title: 'Name the scheme',
    means: 'away from grey, and you name the scheme',
    unit: 'ΔE00',
    settings: ALONE,
    questions: QUESTIONS,
    asked: { guess: 0.25, usual: 7, least: 1.5, most: 30 },
    make: schemeQuestion
  },
  count: {
    title: 'How many values',
    means: 'between neighbours, and you count the values',
    unit: 'L*',
    settings: ALONE,
    questions: QUESTIONS,
    asked: { guess: 0.25, usual: 3.5, least: 0.8, most: 14 },
    make: countQuestion
  },
  eye: {
    title: 'Where the eye goes first',
    means: 'unlike the others, and it catches your eye in a blink',
    unit: 'ΔE00',
    settings: ALONE,
    questions: QUESTIONS,
    asked: { guess: 1 / 6, usual: 7, least: 1, most: 40 },
    make: eyeQuestion
  }
} as const satisfies Record<string, Drill>

export type DrillName = keyof typeof DRILLS
export const DRILL_NAMES = [
  'value',
  'warmer',
  'opposite',
  'order',
  'scheme',
  'count',
  'eye'
] as const satisfies readonly DrillName[]
export const drillOf = (name: DrillName): Drill => DRILLS[name]
