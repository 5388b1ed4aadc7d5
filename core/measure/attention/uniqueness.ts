/**
 * How unlike the others each item is, per channel, in robust deviations: the distance from the
 * median item over the median such distance (P. Rousseeuw and C. Croux, JASA 88, 1993, on the MAD).
 */
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
const TOLERANCE: Readonly<Partial<Record<Channel, number>>> = { value: 0.1, chroma: 0.05, hue: 0.05, detail: 0.7 }
/** Few things are looked at one by one; from a dozen on, the rest is a crowd. */
const FEW = 5,
  CROWD = 12

const CHANNEL_NAMES = ['value', 'chroma', 'hue', 'detail', 'orientation'] as const

function median(values: readonly number[]): number {
  const sorted = Float64Array.from(values).sort(),
    half = sorted.length >> 1
  return sorted.length % 2 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2
}

/** Distance of each item from the median item, by channel. */
function distances(items: readonly Item[]): Record<Channel, number[]> {
  const middle = (of: (item: Item) => number): number => median(items.map(of))
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
  const typical = Object.fromEntries(CHANNEL_NAMES.map(name => [name, median(apart[name])])) as Record<Channel, number>
  const oddness = items.map(
    (_, i) =>
      Object.fromEntries(
        CHANNEL_NAMES.map(name => [name, apart[name][i] / (1.4826 * typical[name] + FLOOR[name])])
      ) as Record<Channel, number>
  )
  let likeness = 1
  for (const name of CHANNEL_NAMES) {
    const tolerance = TOLERANCE[name]
    if (tolerance) likeness *= Math.exp(-((typical[name] / tolerance) ** 2))
  }
  return {
    oddness,
    total: oddness.map(o => CHANNEL_NAMES.reduce((sum, name) => sum + o[name] ** 4, 0) ** 0.25),
    alike: likeness * Math.min(1, Math.max(0, (items.length - FEW) / (CROWD - FEW)))
  }
}
