/** The peaks of attention in the order the eye takes them, by inhibition of return (Koch and Ullman 1985). */
import { round3 } from '../../numeric/round'
import type { Plane } from '../../picture/plane'
import type { Causes, Peak } from '../report'
import type { Attention } from './attention'
import { CHANNELS, type Channel } from './conspicuity'

export const MOST_PEAKS = 5
/** A peak weaker than this beside the first is not looked at. */
const LEAST_STRENGTH = 0.1
/** Once looked at, this much around a place is let be, as a share of the diagonal. */
const INHIBITED_SHARE = 0.07

/** An item under this share of the picture is looked at as one thing, at its middle. */
const ONE_THING = 0.06

/** Weights under which the channels' contrasts are compared, the reciprocal of what each commonly reaches. */
const CAUSE_WEIGHT: Readonly<Record<Channel, number>> = {
  value: 1,
  chroma: 2.2,
  hue: 2.2,
  detail: 0.8,
  orientation: 0.2
}

export function peaksOf(attention: Attention): Peak[] {
  const { map, items } = attention
  const { width, height } = map
  const left = map.data.slice()
  const radius = INHIBITED_SHARE * Math.hypot(width, height)
  const peaks: Peak[] = []
  let first = 0
  while (peaks.length < MOST_PEAKS) {
    let at = 0
    for (let i = 1; i < left.length; i++) if (left[i] > left[at]) at = i
    const strength = left[at]
    if (strength <= 1e-6 || (first > 0 && strength < LEAST_STRENGTH * first)) break
    if (first === 0) first = strength
    const label = items.labels[at]
    const item = items.list.findIndex(c => c.label === label && label > 0)
    const inner = item >= 0 && items.list[item].size < ONE_THING * left.length ? items.list[item] : null
    const x = inner ? inner.x : at % width,
      y = inner ? inner.y : Math.floor(at / width)
    peaks.push({
      x: round3((x + 0.5) / width),
      y: round3((y + 0.5) / height),
      strength: round3(strength / first),
      causes: causesAt(attention, at, item)
    })
    // The halo of a large thing is that thing still: it is let be with it.
    const reach = radius + (inner ? Math.sqrt(inner.size / Math.PI) : 0)
    if (inner) for (let i = 0; i < left.length; i++) if (items.labels[i] === label) left[i] = 0
    for (let py = Math.max(0, Math.ceil(y - reach)); py < Math.min(height, y + reach); py++) {
      const half = Math.sqrt(Math.max(0, reach * reach - (py - y) ** 2))
      left.fill(
        0,
        py * width + Math.max(0, Math.ceil(x - half)),
        py * width + Math.min(width, Math.floor(x + half) + 1)
      )
    }
  }
  return peaks
}

/** Shares adding to 1: contrast with the surroundings, and among alike items what makes this one odd. */
function causesAt({ map, channels, uniqueness }: Attention, at: number, item: number): Causes {
  const contrast = CHANNELS.map(
    name =>
      CAUSE_WEIGHT[name]
      * nearby(channels[name], ((at % map.width) + 0.5) / map.width, (Math.floor(at / map.width) + 0.5) / map.height)
  )
  const odd =
    item >= 0 && uniqueness.alike > 0
      ? CHANNELS.map(name => Math.max(0, uniqueness.oddness[item][name] - 1) ** 2)
      : null
  const oddTotal = odd?.reduce((p, q) => p + q, 0) ?? 0
  const contrastTotal = contrast.reduce((p, q) => p + q, 0)
  const share = odd && oddTotal > 0 ? uniqueness.alike : 0
  const mixed = contrast.map(
    (c, i) =>
      (contrastTotal > 0 ? ((1 - share) * c) / contrastTotal : 0) + (share > 0 ? (share * odd![i]) / oddTotal : 0)
  )
  return Object.fromEntries(CHANNELS.map((name, i) => [name, round3(mixed[i])])) as unknown as Causes
}

/** The most of a channel within a cell: its contrast peaks at the rim of what the eye takes as one thing. */
function nearby({ width, height, data }: Plane, fx: number, fy: number): number {
  const x = Math.min(width - 1, Math.floor(fx * width)),
    y = Math.min(height - 1, Math.floor(fy * height))
  let most = 0
  for (let py = Math.max(0, y - 1); py <= Math.min(height - 1, y + 1); py++) {
    for (let px = Math.max(0, x - 1); px <= Math.min(width - 1, x + 1); px++)
      most = Math.max(most, data[py * width + px])
  }
  return most
}
