/** The attention map: how strongly each place stands out, and why. */
import { blurPlane } from '../../../picture/blur'
import { createPlane, enlargePlane, type Plane } from '../../../picture/plane'
import { perPlanes } from '../../../picture/per-planes'
import type { Planes } from '../../../picture/planes'
import { CHANNELS, combine, conspicuityOf, type Channel, type ChannelPlanes } from './conspicuity'
import { featuresOf, type Features } from './features'
import { favourHead, figureAlone } from './figure-alone'
import { inwardOf } from './inward'
import { itemsOf, type Items } from './items'
import { uniquenessOf, type Uniqueness } from './uniqueness'

export interface Attention {
  /** 0–1 at the attention raster's size; all zero for a picture without contrast. */
  readonly map: Plane
  /** What is compared, at the map's size. */
  readonly features: Features
  /** Contrast of each channel, at about half the map's size. */
  readonly channels: ChannelPlanes
  /** How much each channel's contrast is anywhere in this picture: root mean square. */
  readonly spread: Readonly<Record<Channel, number>>
  readonly items: Items
  readonly uniqueness: Uniqueness
}

/** Oddness at which an item counts half: about what the oddest of many alike reaches by chance. */
const HALF_ODD = 6
/** Among alike items contrast still counts, but little: the odd one may have less of it than the rest. */
const CONTRAST_LEFT = 0.2

/** Kept with the planes: the report, the lens, pulls and routes read the same map. */
export const attentionOf = perPlanes(makeAttention)

function makeAttention(planes: Planes): Attention {
  const features = featuresOf(planes)
  const conspicuity = conspicuityOf(features)
  const half = conspicuity.value
  const cover = enlargeOrKeep(features.cover, half.width, half.height)
  const { width, height } = features
  const map = gathered(enlargePlane(combine(conspicuity, inwardOf(cover)), width, height))
  const items = itemsOf(features),
    found = uniquenessOf(items.list),
    figure = figureAlone(features),
    // The parts of one figure are no display, however alike they are.
    alike = figure || found.alike === 0 ? 0 : found.alike * madeOfItems(map, items),
    uniqueness = { ...found, alike }
  if (alike > 0) favourOdd(map, items, uniqueness)
  if (figure) favourHead(map, figure)
  return { map, features, channels: conspicuity, spread: spreadOf(conspicuity, cover), items, uniqueness }
}

/** One look takes in this much, as a share of the diagonal: what lies within it is seen together. */
export const GLANCE = 0.07

/** The map as an eye takes it in: each place with what lies around it, neither alone. At its greatest 1 again. */
function gathered(map: Plane): Plane {
  const { width, height, data } = map,
    wide = data.slice()
  blurPlane(wide, { width, height, sigma: GLANCE * Math.hypot(width, height), scratch: new Float32Array(data.length) })
  for (let i = 0; i < data.length; i++) data[i] = Math.sqrt(data[i] * wide[i])
  const peak = data.reduce((p, q) => Math.max(p, q), 0)
  if (peak > 0) for (let i = 0; i < data.length; i++) data[i] /= peak
  return map
}

/**
 * A display is made of its items: nearly all contrast lies at them. Waves beside a boat are many alike too, but no
 * display.
 */
const MADE_OF = { least: 0.6, all: 0.85 } as const

/** How far the contrast of a picture is that of its items, 0–1. */
function madeOfItems({ width, height, data }: Plane, { labels, list }: Items): number {
  const own = new Set(list.map(item => item.label)),
    near = Float32Array.from(labels, label => (own.has(label) ? 1 : 0))
  blurPlane(near, { width, height, sigma: 3, scratch: new Float32Array(near.length) })
  let all = 0,
    theirs = 0
  for (let i = 0; i < data.length; i++) {
    // To the fourth: what stands out counts, not the ground's grain.
    const seen = data[i] ** 4
    all += seen
    if (near[i] > 0.03) theirs += seen
  }
  const share = all > 0 ? theirs / all : 0
  return Math.min(1, Math.max(0, (share - MADE_OF.least) / (MADE_OF.all - MADE_OF.least)))
}

function spreadOf(channels: ChannelPlanes, cover: Plane): Record<Channel, number> {
  const over = (data: Float32Array): number => {
    let sum = 0,
      n = 0
    for (let i = 0; i < data.length; i++) {
      if (cover.data[i] < 0.5) continue
      sum += data[i] * data[i]
      n++
    }
    return n === 0 ? 0 : Math.sqrt(sum / n)
  }
  return Object.fromEntries(CHANNELS.map(name => [name, over(channels[name].data)])) as Record<Channel, number>
}

/** Cover at the conspicuity's size: sampled, since it is only a mask there. */
function enlargeOrKeep(cover: Plane, width: number, height: number): Plane {
  return cover.width === width && cover.height === height ? cover : enlargePlane(cover, width, height)
}

/** In a display of alike items, being odd decides; contrast keeps a small part. */
function favourOdd(map: Plane, items: Items, { total, alike }: Uniqueness): void {
  const odd = createPlane(map.width, map.height)
  const oddOf = new Map(items.list.map((item, i) => [item.label, (total[i] / (total[i] + HALF_ODD)) ** 2]))
  for (let i = 0; i < odd.data.length; i++) odd.data[i] = items.labels[i] ? (oddOf.get(items.labels[i]) ?? 0) : 0
  blurPlane(odd.data, { width: map.width, height: map.height, sigma: 1.2, scratch: new Float32Array(odd.data.length) })
  let peak = 0
  for (let i = 0; i < map.data.length; i++) {
    const contrast = Math.max(map.data[i], 0)
    map.data[i] = contrast ** (1 - (1 - CONTRAST_LEFT) * alike) * (1 - alike + alike * odd.data[i])
    if (map.data[i] > peak) peak = map.data[i]
  }
  if (peak > 0) for (let i = 0; i < map.data.length; i++) map.data[i] /= peak
}
