/** A recipe as a person reads it: names and parts, its colour, what is off in words. */
import { hexOfLinear, type Rgb } from '../colour/srgb'
import { round1 } from '../numeric/round'
import { offInWords } from './off'
import type { OwnBox } from './own'
import { recipesFor, WHITE_PAINT, type Recipe, type Wish } from './recipes'

export interface ToldRecipe {
  readonly parts: readonly { readonly name: string; readonly parts: number }[]
  readonly hex: string
  /** ΔE00 to what was wanted. */
  readonly deltaE: number
  readonly words: string
}

/** White comes last, as it is added. */
export function told({ parts, colour, off }: Recipe, wanted: Rgb, { own, white }: OwnBox): ToldRecipe {
  const names = parts.map(({ paint, amount }) => ({
    name: paint === WHITE_PAINT ? white.name : own[paint].name,
    parts: amount,
    last: paint === WHITE_PAINT
  }))
  return {
    parts: names
      .sort((p, q) => Number(p.last) - Number(q.last) || q.parts - p.parts)
      .map(({ name, parts }) => ({ name, parts })),
    hex: hexOfLinear(colour),
    deltaE: round1(off),
    words: offInWords(wanted, colour)
  }
}

/** @param wanted linear. @returns the best first; white alone where no paint is owned. */
export function toldRecipes(wanted: Rgb, own: OwnBox, wish?: Wish): ToldRecipe[] {
  return own.own.length ? recipesFor(wanted, own.box, wish).map(recipe => told(recipe, wanted, own)) : []
}

/** `4 ultramarine · 2 burnt sienna · 1 white` */
export const partsInWords = (parts: ToldRecipe['parts']): string =>
  parts.map(({ name, parts }) => `${parts} ${name}`).join(' · ')
