/**
 * Paints corrected by what their mixtures really gave: a paint is stronger or weaker than its tint says, and each
 * painted and read mixture tells of those in it.
 */
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { hexOfLinear, linearOfHex } from '../colour/srgb'
import { round1 } from '../numeric/round'
import { mixedColour, TINT_WHITE, whitePaint, type Paint } from './mixing'
import { isWhite, paintBy, USUAL_WHITE, type OwnPaint } from './own'

/** A mixture by its parts, and what it gave on paper. */
export interface ReadMixture {
  readonly parts: readonly { readonly name: string; readonly amount: number }[]
  readonly hex: string
}

export interface Learned {
  readonly name: string
  readonly tint: string
  /** Mean ΔE00 of the mixtures it is in, before and with the new tint. */
  readonly before: number
  readonly after: number
}

/** How much stronger or weaker a paint can turn out, and in which steps it is looked for. */
const MOST = 4,
  STEP = 2 ** (1 / 8)
/** ΔE00 nearer that it has to bring: less is the reading's own noise. */
const WORTH = 0.5

const scaled = (paint: Paint, by: number): Paint => ({
  absorbs: paint.absorbs.map(v => v * by),
  scatters: paint.scatters.map(v => v * by)
})

/** The strength of one paint at which everything is least off, the others as they are. */
function strongest(
  strengths: Map<string, number>,
  { name, off }: { readonly name: string; readonly off: () => number }
): { readonly by: number; readonly off: number } {
  const own = strengths.get(name)!
  let best = { by: own, off: off() }
  for (let by = 1 / MOST; by <= MOST * 1.001; by *= STEP) {
    strengths.set(name, by)
    const found = off()
    if (found < best.off - 1e-6) best = { by, off: found }
  }
  strengths.set(name, own)
  return best
}

/** @param paints by name. @returns those whose tint should be another; whites are what others are told by. */
export function learnedFrom(paints: readonly OwnPaint[], read: readonly ReadMixture[]): Learned[] {
  const whites = paints.filter(isWhite),
    white = whitePaint(linearOfHex((whites[0] ?? USUAL_WHITE).masstone)),
    known = new Map(paints.map(p => [p.name, isWhite(p) ? white : paintBy(p, white)])),
    strengths = new Map(paints.filter(p => !isWhite(p)).map(p => [p.name, 1]))
  const told = read
    .filter(({ parts }) => parts.length > 1 && parts.every(p => known.has(p.name) || p.name === USUAL_WHITE.name))
    .map(({ parts, hex }) => ({ parts, lab: convertLinearToLab(linearOfHex(hex)) }))
  const strong = (name: string): Paint => scaled(known.get(name) ?? white, strengths.get(name) ?? 1)
  const offOf = ({ parts, lab }: (typeof told)[number]): number =>
    differenceOf(lab, convertLinearToLab(mixedColour(parts.map(p => ({ paint: strong(p.name), amount: p.amount })))))
  const mean = (of: typeof told): number => (of.length ? of.reduce((sum, t) => sum + offOf(t), 0) / of.length : 0),
    off = (name: string): number => mean(told.filter(t => t.parts.some(p => p.name === name)))
  const names = [...strengths.keys()].filter(name => told.some(t => t.parts.some(p => p.name === name))),
    before = new Map(names.map(name => [name, off(name)]))
  // One at a time, the one that explains most: what is one paint's fault is not laid on all that it was mixed with.
  for (let now = mean(told); ;) {
    const best = names
      .map(name => ({ name, ...strongest(strengths, { name, off: () => mean(told) }) }))
      .sort((p, q) => p.off - q.off)[0]
    if (!best || now - best.off < WORTH / 2) break
    strengths.set(best.name, best.by)
    now = best.off
  }
  return names.flatMap(name => {
    const after = off(name)
    if (strengths.get(name) === 1 || before.get(name)! - after < WORTH) return []
    const tint = mixedColour([
      { paint: strong(name), amount: 1 },
      { paint: white, amount: TINT_WHITE }
    ])
    return [{ name, tint: hexOfLinear(tint), before: round1(before.get(name)!), after: round1(after) }]
  })
}
