/** One question of a drill: what is shown, what can be answered, what is right. */
import { atValue } from '../colour/hold'
import { valueOfLinear } from '../colour/lab'
import { convertLinearToOklab, oklabOf } from '../colour/oklab'
import { hexOfLinear, linearOfHex } from '../colour/srgb'
import type { Random } from '../numeric/random'
import type { WheelName } from '../wheel/steps'

/** Fractions of a field that is 16 wide and 9 high. */
export interface ShownPatch {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  readonly hex: string
  /** What it lies within; null: the ground. */
  readonly within: string | null
  /** Its number where it can be chosen. */
  readonly choice: number | null
}

export interface Question {
  readonly ask: string
  readonly ground: string
  readonly patches: readonly ShownPatch[]
  /** What can be answered where it is no patch. */
  readonly words: readonly string[] | null
  /** The choice that is right; several in the order they are chosen. */
  readonly right: readonly number[]
  /** What was really shown, after rounding to the screen's steps, in the drill's unit. */
  readonly difference: number
  /** Milliseconds that patches are shown; null: until answered. */
  readonly flash: number | null
}

/** @property difference in the drill's unit. @property setting one of the drill's own. */
export interface Wanted {
  readonly difference: number
  readonly setting: string
  readonly wheel: WheelName
}
export type MakeQuestion = (random: Random, wanted: Wanted) => Question

export const NEUTRAL_GROUND = '#777777'
export const greyAt = (value: number): string => hexOfLinear(atValue([0.5, 0, 0], value))
/** @param value L*. @param hue OKLCH. */
export const colourOf = (value: number, chroma: number, hue: number): string =>
  hexOfLinear(atValue(oklabOf(0.5, chroma, hue), value))
export const valueOf = (hex: string): number => valueOfLinear(linearOfHex(hex))
export const oklabOfHex = (hex: string) => convertLinearToOklab(linearOfHex(hex))

export const isRight = (question: Question, answer: readonly number[]): boolean =>
  answer.length === question.right.length && answer.every((a, i) => a === question.right[i])

/** In another order. */
export function shuffled<T>(random: Random, of: readonly T[]): T[] {
  const out = [...of]
  for (let i = out.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1))
    ;[out[i], out[k]] = [out[k], out[i]]
  }
  return out
}

/** Two patches side by side to choose from, low in the field. */
export const pairOf = (
  hexes: readonly [string, string],
  within: readonly (string | null)[] = [null, null]
): ShownPatch[] =>
  hexes.map((hex, choice) => ({
    x: choice ? 0.55 : 0.25,
    y: 0.56,
    w: 0.2,
    h: 0.3,
    hex,
    within: within[choice],
    choice
  }))

/** The number between two at which something that grows with it reaches what is wanted. */
export function reaching(of: (v: number) => number, wanted: number, [low, high]: readonly [number, number]): number {
  let [from, to] = [low, high]
  for (let round = 0; round < 30; round++) {
    const middle = (from + to) / 2
    if (of(middle) < wanted) from = middle
    else to = middle
  }
  return (from + to) / 2
}
