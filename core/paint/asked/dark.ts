/** *A dark without black*: chromatic blacks at the value of a picture's flat black, warm, cool and neither. */
import { atValue } from '../../colour/hold'
import { oklabOf } from '../../colour/oklab'
import { hexOfLinear } from '../../colour/srgb'
import { boxOf, isBlack, type OwnPaint } from '../own'
import { toldRecipes, type ToldRecipe } from '../told'

export const DARKS = [
  { kind: 'warm', hue: 50, chroma: 0.03 },
  { kind: 'neutral', hue: 0, chroma: 0 },
  { kind: 'cool', hue: 265, chroma: 0.035 }
] as const

export interface Dark {
  readonly kind: (typeof DARKS)[number]['kind']
  readonly wanted: string
  /** The nearest; null where nothing but black and white is owned. */
  readonly recipe: ToldRecipe | null
}

/** @param value L* of the black that is to be replaced, 0–100. @param paints blacks among them are left out. */
export function darksAt(value: number, paints: readonly OwnPaint[]): Dark[] {
  const own = boxOf(paints.filter(p => !isBlack(p)))
  return DARKS.map(({ kind, hue, chroma }) => {
    const wanted = atValue(oklabOf(0.3, chroma, hue), value)
    return { kind, wanted: hexOfLinear(wanted), recipe: toldRecipes(wanted, own, { count: 1 })[0] ?? null }
  })
}
