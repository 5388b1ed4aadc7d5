/** Which one paint, if it were bought, would bring a wanted colour nearest. */
import type { Rgb } from '../colour/srgb'
import { round1 } from '../numeric/round'
import { boxOf, isWhite, type OwnPaint } from './own'
import { PIGMENTS, type Pigment } from './pigments'
import { recipesFor } from './recipes'

export interface Lacking {
  readonly pigment: Pigment
  /** ΔE00 that would be left with it. */
  readonly off: number
}

/** What it has to bring nearer to be worth its money, ΔE00. */
const WORTH = 1
/** Nobody is told to buy what is dangerous where something else does it nearly as well: ΔE00. */
const HARMLESS = 1.5

/**
 * Each of the shipped list with at most one of one's own and white, which is how far a good paint is from a wanted
 * colour. @param off ΔE00 left with one's own paints. @returns null where none would help.
 */
export function lackingFor(wanted: Rgb, paints: readonly OwnPaint[], off: number): Lacking | null {
  const known = new Set(paints.map(p => p.pigment))
  let best: (Lacking & { readonly cost: number }) | null = null
  for (const pigment of PIGMENTS) {
    if (known.has(pigment.index) || isWhite(pigment)) continue
    const { box, own } = boxOf<OwnPaint>([{ ...pigment, pigment: pigment.index, medium: 'other' }, ...paints]),
      found = recipesFor(wanted, box, { count: 1, most: 2, holding: 0 })[0]
    if (!found || own[0].name !== pigment.name) continue
    const cost = found.off + (pigment.hazard && pigment.hazard !== 'dust' ? HARMLESS : 0)
    if (!best || cost < best.cost) best = { pigment, off: round1(found.off), cost }
  }
  return best && best.off < off - WORTH ? { pigment: best.pigment, off: best.off } : null
}
