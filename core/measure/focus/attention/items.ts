/**
 * Items: things apart from the ground, and how unlike the others each is. Contrast alone cannot find
 * the odd one when it has less of it than the rest (the pale one among the dark); comparing whole
 * items can, whatever makes one odd. This is our own addition to the published map.
 */
import { blurPlane } from '../../../picture/blur'
import { componentsOf } from '../../../picture/components'
import { enlargePlane, reducePlane } from '../../../picture/plane'
import { fitWithin } from '../../../picture/resample'
import { distributionOf, percentile } from '../../../picture/distribution'
import type { Features } from './features'

export interface Item {
  /** Centre of its inner part, in cells of the feature raster: a kite is where it is, whatever is joined to it. */
  readonly x: number
  readonly y: number
  readonly size: number
  readonly label: number
  readonly value: number
  readonly a: number
  readonly b: number
  readonly chroma: number
  /** Doubled angle of the edges as a vector, its length 0 (round) – 1 (one direction). */
  readonly along: number
  readonly across: number
}

export interface Items {
  readonly list: readonly Item[]
  readonly labels: Int32Array
}

/** A colour this far from the ground, in OKLab-sized units, is apart from it. */
const APART = 0.035
/** Ground is judged over this share of the diagonal. */
const GROUND_SHARE = 0.08
const MOST_ITEMS = 400

/** The ground is smooth: a raster of this edge holds it. */
const GROUND_EDGE = 160
const ROUNDS = 3

/** OKLab-sized distance of a colour from the ground; the colour axes count double, as they span half of value's. */
function distance(v: number, a: number, b: number, gv: number, ga: number, gb: number): number {
  const da = 2 * (a - ga),
    db = 2 * (b - gb),
    dv = v - gv
  return Math.sqrt(dv * dv + da * da + db * db)
}

/** The ground of value and colour: a wide mean in which what stands off it counts for little, found in three rounds. */
function groundOf(f: Features): [Float32Array, Float32Array, Float32Array] {
  const { width, height } = fitWithin(f.width, f.height, GROUND_EDGE)
  const cover = reducePlane(f.cover, width, height).data
  const own = [f.value, f.a, f.b].map(p => reducePlane(p, width, height).data)
  const size = cover.length,
    sigma = GROUND_SHARE * Math.hypot(width, height)
  const scratch = new Float32Array(size),
    total = new Float32Array(size),
    weight = cover.slice()
  const ground = own.map(p => p.slice())
  const [v, a, b] = own,
    [gv, ga, gb] = ground
  for (let round = 0; round < ROUNDS; round++) {
    total.set(weight)
    blurPlane(total, { width, height, sigma, scratch })
    for (let c = 0; c < 3; c++) {
      const from = own[c],
        to = ground[c]
      for (let i = 0; i < size; i++) to[i] = from[i] * weight[i]
      blurPlane(to, { width, height, sigma, scratch })
      for (let i = 0; i < size; i++) to[i] = total[i] > 1e-4 ? to[i] / total[i] : from[i]
    }
    for (let i = 0; i < size; i++) {
      const off = distance(v[i], a[i], b[i], gv[i], ga[i], gb[i]) / APART
      weight[i] = cover[i] / (1 + off * off * off * off)
    }
  }
  return ground.map(data => enlargePlane({ width, height, data }, f.width, f.height).data) as [
    Float32Array,
    Float32Array,
    Float32Array
  ]
}

export function itemsOf(f: Features): Items {
  const [gv, ga, gb] = groundOf(f)
  const contrast = new Float32Array(f.value.data.length)
  const cover = f.cover.data,
    v = f.value.data,
    a = f.a.data,
    b = f.b.data
  for (let i = 0; i < contrast.length; i++) {
    if (cover[i] > 0.5) contrast[i] = distance(v[i], a[i], b[i], gv[i], ga[i], gb[i])
  }
  const everywhere = new Uint8Array(contrast.length).fill(1)
  const strong = percentile(distributionOf(contrast, everywhere, { low: 0, high: 2, bins: 4000 }), 0.995)
  const threshold = Math.max(APART, 0.1 * strong)
  const inside = new Uint8Array(contrast.length)
  for (let i = 0; i < inside.length; i++) inside[i] = contrast[i] > threshold ? 1 : 0
  const { labels, list } = componentsOf(inside, { width: f.width, height: f.height, most: MOST_ITEMS })
  const kept = list.filter(c => c.size >= 4 && c.size < 0.12 * contrast.length)
  return {
    labels,
    list: describe({
      f,
      labels,
      contrast,
      found: kept.map(c => ({ label: c.label, x: c.x * f.width - 0.5, y: c.y * f.height - 0.5, size: c.size }))
    })
  }
}

/**
 * Each item's own colour and place from its inner part, where no ground is mixed in, and its direction from all of it.
 */
function describe({
  f,
  labels,
  contrast,
  found
}: {
  f: Features
  labels: Int32Array
  contrast: Float32Array
  found: { label: number; x: number; y: number; size: number }[]
}): Item[] {
  const index = new Int32Array(found.reduce((most, c) => Math.max(most, c.label), 0) + 1).fill(-1)
  found.forEach((c, i) => {
    index[c.label] = i
  })
  const itemAt = (i: number): number => (labels[i] > 0 && labels[i] < index.length ? index[labels[i]] : -1)
  const top = new Float32Array(found.length)
  for (let i = 0; i < labels.length; i++) {
    const at = itemAt(i)
    if (at >= 0 && contrast[i] > top[at]) top[at] = contrast[i]
  }
  const sums = new Float64Array(found.length * 7)
  const moments = new Float64Array(found.length * 4)
  for (let i = 0; i < labels.length; i++) {
    const at = itemAt(i)
    if (at < 0) continue
    const s = at * 7,
      m = at * 4
    const dx = (i % f.width) - found[at].x,
      dy = Math.floor(i / f.width) - found[at].y
    moments[m] += dx * dx - dy * dy
    moments[m + 1] += 2 * dx * dy
    moments[m + 2] += dx * dx + dy * dy + 1 / 6
    const inner = contrast[i] > 0.75 * top[at] ? 1 : 0
    // Covered area in halves of the peak counts a soft edge as half: size holds at any resolution.
    moments[m + 3] += Math.min(1, contrast[i] / top[at])
    sums[s] += inner
    sums[s + 1] += inner * f.value.data[i]
    sums[s + 2] += inner * f.a.data[i]
    sums[s + 3] += inner * f.b.data[i]
    sums[s + 4] += inner * (i % f.width)
    sums[s + 5] += inner * Math.floor(i / f.width)
  }
  return found.map(({ label }, at) => {
    const s = at * 7,
      m = at * 4,
      n = sums[s]
    const a = sums[s + 2] / n,
      b = sums[s + 3] / n
    return {
      label,
      x: sums[s + 4] / n,
      y: sums[s + 5] / n,
      a,
      b,
      size: moments[m + 3],
      value: sums[s + 1] / n,
      chroma: Math.hypot(a, b),
      along: moments[m] / moments[m + 2],
      across: moments[m + 1] / moments[m + 2]
    }
  })
}
