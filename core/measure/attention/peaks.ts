/** The peaks of attention in the order the eye takes them, by inhibition of return (Koch and Ullman 1985). */
import { round3 } from '../../numeric/round'
import type { Causes, Peak } from '../report'
import type { Attention } from './attention'
import { CHANNELS, type Channel } from './conspicuity'

export const MOST_PEAKS = 5
/** A peak weaker than this beside the first is not looked at. */
const LEAST_STRENGTH = 0.1
/** Once looked at, this much around a place is let be, as a share of the diagonal. */
const INHIBITED_SHARE = 0.07

/** Weights under which the channels' contrasts are compared, the reciprocal of what each commonly reaches. */
const CAUSE_WEIGHT: Readonly<Record<Channel, number>> = { value: 1, chroma: 2.2, hue: 2.2, detail: 0.8, orientation: 0.2 }

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
    const inner = item >= 0 && items.list[item].size < 0.02 * left.length ? items.list[item] : null
    const x = inner ? inner.x : at % width, y = inner ? inner.y : Math.floor(at / width)
    peaks.push({ x: round3((x + 0.5) / width), y: round3((y + 0.5) / height), strength: round3(strength / first), causes: causesAt(attention, at, item) })
    for (let py = 0, i = 0; py < height; py++) {
      for (let px = 0; px < width; px++, i++) {
        if ((px - x) ** 2 + (py - y) ** 2 < radius * radius || (inner && items.labels[i] === label)) left[i] = 0
      }
    }
  }
  return peaks
}

/** Shares adding to 1: contrast with the surroundings, and among alike items what makes this one odd. */
function causesAt({ map, channels, uniqueness }: Attention, at: number, item: number): Causes {
  const contrast = CHANNELS.map(name => CAUSE_WEIGHT[name] * nearby(channels[name].data, map.width, map.height, at))
  const odd = item >= 0 && uniqueness.alike > 0 ? CHANNELS.map(name => Math.max(0, uniqueness.oddness[item][name] - 1) ** 2) : null
  const oddTotal = odd?.reduce((p, q) => p + q, 0) ?? 0
  const contrastTotal = contrast.reduce((p, q) => p + q, 0)
  const share = odd && oddTotal > 0 ? uniqueness.alike : 0
  const mixed = contrast.map((c, i) => (contrastTotal > 0 ? ((1 - share) * c) / contrastTotal : 0) + (share > 0 ? (share * odd![i]) / oddTotal : 0))
  return Object.fromEntries(CHANNELS.map((name, i) => [name, round3(mixed[i])])) as unknown as Causes
}

/** The most of a channel within two cells: its contrast peaks at the rim of what the eye takes as one thing. */
function nearby(data: Float32Array, width: number, height: number, at: number): number {
  const x = at % width, y = Math.floor(at / width)
  let most = 0
  for (let py = Math.max(0, y - 2); py <= Math.min(height - 1, y + 2); py++) {
    for (let px = Math.max(0, x - 2); px <= Math.min(width - 1, x + 2); px++) most = Math.max(most, data[py * width + px])
  }
  return most
}
