/**
 * How unlike the others each item is, per channel, in robust deviations: the distance from the
 * median item over the median such distance (P. Rousseeuw and C. Croux, JASA 88, 1993, on the MAD).
 */
import { medianOf } from '../../../numeric/median'
import type { Channel } from './conspicuity'
import type { Item } from './items'

export type Oddness = Readonly<Record<Channel, number>>

export interface Uniqueness {
  /** One entry an item. */
  readonly oddness: readonly Oddness[]
  /** All channels as one number: a fourth-power mean, since one strong difference outweighs several small. */
  readonly total: readonly number[]
  /** 0 – 1: how much the picture is a display of many alike items, so that being odd is what counts. */
  readonly alike: number
}

/** Differences under this are not noticed: they keep the deviation of exactly equal items from being infinite. */
const FLOOR: Readonly<Record<Channel, number>> = {
  value: 0.02,
  chroma: 0.01,
  hue: 0.012,
  detail: 0.16,
  orientation: 0.14
}
/** Typical differences over this make items unlike each other, not a display. */
const TOLERANCE: Readonly<Record<Channel, number>> = {
  value: 0.1,
  chroma: 0.05,
  hue: 0.05,
  detail: 0.7,
  orientation: 0.5
}
/** From three things on one can be the odd one; from seven on, the rest is a crowd. */
const FEW = 3,
  CROWD = 7

const CHANNEL_NAMES = ['value', 'chroma', 'hue', 'detail', 'orientation'] as const

/** Distance of each item from the median item, by channel. */
function distances(items: readonly Item[]): Record<Channel, number[]> {
  const middle = (of: (item: Item) => number): number => medianOf(items.map(of))
  const value = middle(i => i.value),
    chroma = middle(i => i.chroma),
    a = middle(i => i.a),
    b = middle(i => i.b)
  const size = middle(i => Math.log2(i.size)),
    along = middle(i => i.along),
    across = middle(i => i.across)
  return {
    value: items.map(i => Math.abs(i.value - value)),
    chroma: items.map(i => Math.abs(i.chroma - chroma)),
    // What is left of the colour difference when the difference of chroma is taken out.
    hue: items.map(i => Math.sqrt(Math.max(0, (i.a - a) ** 2 + (i.b - b) ** 2 - (i.chroma - chroma) ** 2))),
    detail: items.map(i => Math.abs(Math.log2(i.size) - size)),
    orientation: items.map(i => Math.hypot(i.along - along, i.across - across))
  }
}

export function uniquenessOf(items: readonly Item[]): Uniqueness {
  if (items.length < FEW) return { oddness: [], total: [], alike: 0 }
  const apart = distances(items)
  const typical = Object.fromEntries(CHANNEL_NAMES.map(name => [name, medianOf(apart[name])])) as Record<
    Channel,
    number
  >
  const oddness = items.map(
    (_, i) =>
      Object.fromEntries(
        CHANNEL_NAMES.map(name => [name, apart[name][i] / (1.4826 * typical[name] + FLOOR[name])])
      ) as Record<Channel, number>
  )
  const likeness = Object.fromEntries(
    CHANNEL_NAMES.map(name => [name, Math.exp(-((typical[name] / TOLERANCE[name]) ** 2))])
  ) as Record<Channel, number>
  return {
    oddness,
    // Each channel's oddness by its own likeness: a display of many hues is still alike in chroma.
    total: oddness.map(o => CHANNEL_NAMES.reduce((sum, name) => sum + (likeness[name] * o[name]) ** 4, 0) ** 0.25),
    alike: displayOf(likeness) * Math.min(1, (items.length - FEW + 1) / (CROWD - FEW + 1))
  }
}

/**
 * A display is alike in most of what it could differ in: value, chroma, hue and size, the least alike of them let be.
 */
function displayOf(likeness: Readonly<Record<Channel, number>>): number {
  const [, ...others] = [likeness.value, likeness.chroma, likeness.hue, likeness.detail].sort((p, q) => p - q)
  return others.reduce((product, one) => product * one, 1)
}
