/** The peaks of attention in the order the eye takes them, by inhibition of return (Koch and Ullman 1985). */
import { round3 } from '../../../numeric/round'
import type { Plane } from '../../../picture/plane'
import { areaHolds, boundsOf, type Area } from '../../../picture/area'
import type { Causes, Extent, Peak } from '../../report'
import { GLANCE, type Attention } from './attention'
import { CHANNELS, type Channel } from './conspicuity'
import { equalsFromTheMiddle } from './order'
import { thingAt } from './thing'

export const MOST_PEAKS = 5
/** A peak weaker than this beside the first is not looked at. */
const LEAST_STRENGTH = 0.1
/** Once looked at, this many glances around a place are let be: the halo of what was seen there. */
const INHIBITED = 1.5
/** What of a contrast is hardly seen: it keeps a channel that is nowhere in the picture from being a cause. */
const FAINT: Readonly<Record<Channel, number>> = {
  value: 0.03,
  chroma: 0.015,
  hue: 0.015,
  detail: 0.04,
  orientation: 0.25
}

/** A face or a figure, marked by the critic or found: the eye goes there before anything measured. */
export interface KnownThing {
  readonly name: string
  readonly area: Area
  /** How sure it is one, 0–1, where it was found. */
  readonly found?: number
}

/** @param known faces and figures, which come first. */
export function peaksOf(attention: Attention, known: readonly KnownThing[] = []): Peak[] {
  const { map, features, items } = attention,
    { width, height } = map
  const left = map.data.slice(),
    cellAt = (fx: number, fy: number): number =>
      Math.min(height - 1, Math.floor(fy * height)) * width + Math.min(width - 1, Math.floor(fx * width))
  const told = known.slice(0, MOST_PEAKS).map(({ name, area, found }): Peak => {
    const { x, y, w, h } = boundsOf(area),
      at = cellAt(x + w / 2, y + h / 2)
    const { named } = thingAt(features, items, at)
    for (let i = 0; i < left.length; i++) {
      if (areaHolds(area, ((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height)) left[i] = 0
    }
    const place = { x: round3(x + w / 2), y: round3(y + h / 2) }
    return {
      ...place,
      strength: 1,
      causes: causesAt(attention, at),
      named,
      extent: rounded({ x, y, w, h }),
      known: name,
      ...(found === undefined ? {} : { found })
    }
  })
  const radius = INHIBITED * GLANCE * Math.hypot(width, height)
  const peaks: Peak[] = []
  let first = 0
  while (told.length + peaks.length < MOST_PEAKS) {
    let at = 0
    for (let i = 1; i < left.length; i++) if (left[i] > left[at]) at = i
    const strength = left[at]
    if (strength <= 1e-6 || (first > 0 && strength < LEAST_STRENGTH * first)) break
    if (first === 0) first = strength
    const thing = thingAt(features, items, at),
      x = thing.one ? thing.x : at % width,
      y = thing.one ? thing.y : Math.floor(at / width)
    const peak: Peak = {
      x: round3((x + 0.5) / width),
      y: round3((y + 0.5) / height),
      strength: round3(strength / first),
      causes: causesAt(attention, at),
      named: thing.named,
      extent: rounded(thing.extent)
    }
    const part = peaks.findIndex(of => isPartOf(peak, of))
    if (part < 0) peaks.push(peak)
    else peaks[part] = { ...peaks[part], extent: rounded(unionOf(peaks[part].extent, peak.extent)) }
    // What belongs to the thing was looked at with it, and so was its halo: a large thing's is wider.
    for (const i of thing.cells) left[i] = 0
    const reach = radius + (thing.one ? Math.sqrt(thing.cells.length / Math.PI) : 0)
    for (let py = Math.max(0, Math.ceil(y - reach)); py < Math.min(height, y + reach); py++) {
      const half = Math.sqrt(Math.max(0, reach * reach - (py - y) ** 2))
      left.fill(
        0,
        py * width + Math.max(0, Math.ceil(x - half)),
        py * width + Math.min(width, Math.floor(x + half) + 1)
      )
    }
  }
  // Among alike items the odd one is first, wherever it is.
  return [...told, ...(attention.uniqueness.alike > 0 ? peaks : equalsFromTheMiddle(peaks, map))]
}

/** A thing of several colours reaches over less than this of the picture. */
const THING = 0.08

const areaOf = ({ w, h }: Extent): number => w * h
const holds = ({ x, y, w, h }: Extent, at: Peak): boolean => at.x >= x && at.x <= x + w && at.y >= y && at.y <= y + h

function unionOf(p: Extent, q: Extent): Extent {
  const x = Math.min(p.x, q.x),
    y = Math.min(p.y, q.y)
  return { x, y, w: Math.max(p.x + p.w, q.x + q.w) - x, h: Math.max(p.y + p.h, q.y + q.h) - y }
}

/**
 * Whether two peaks are of one thing of several colours, as a window and its frame: one lies within the other's reach.
 */
const isPartOf = (peak: Peak, of: Peak): boolean =>
  (holds(of.extent, peak) || holds(peak.extent, of)) && areaOf(unionOf(of.extent, peak.extent)) < THING

const rounded = ({ x, y, w, h }: Extent): Extent => ({ x: round3(x), y: round3(y), w: round3(w), h: round3(h) })

/**
 * Shares adding to 1: each channel's contrast against how much of it there is anywhere in this picture, since only what
 * is unusual here draws the eye; among alike items, what makes this one odd.
 */
function causesAt({ map, items, channels, spread, uniqueness }: Attention, at: number): Causes {
  const item = items.list.findIndex(c => items.labels[at] > 0 && c.label === items.labels[at])
  const fx = ((at % map.width) + 0.5) / map.width,
    fy = (Math.floor(at / map.width) + 0.5) / map.height
  const contrast = CHANNELS.map(name => (nearby(channels[name], fx, fy) / (spread[name] + FAINT[name])) ** 2)
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
