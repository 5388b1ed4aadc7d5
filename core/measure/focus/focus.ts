/** Where the eye goes, and whether that is where it should. */
import { round1, round3 } from '../../numeric/round'
import { nameOf } from '../../colour/names'
import { componentsOf, type Component, type Components } from '../../picture/components'
import { areaHolds, boundsOf, ringOf, spansOf, type Area, type Spans } from '../../picture/area'
import { distributionOf, percentile, valueDistribution } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import { diagonalOf } from '../../picture/raster'
import type { Within } from '../../picture/tally'
import { pixelsWithin } from '../../picture/within'
import { NEUTRAL_CHROMA } from '../../colour/oklab'
import { attentionOf, type Attention } from './attention/attention'
import { peaksOf } from './attention/peaks'
import { unmarkedFaces } from './faces/unmarked'
import type { Met } from './met'
import { windowsBeside } from './windows'
import {
  notMeasurable,
  type Extent,
  type FocusAreaSection,
  type FocusSection,
  type Measured,
  type Peak,
  type Spot,
  type VividSpot
} from '../report'

/** Whites: over this value, and neutral. */
const WHITE_VALUE = 92
/** Vivid areas: this share of the strongest chroma there is, and never a muted colour. */
const VIVID_SHARE = 0.85
const VIVID_LEAST = 0.06
/** Areas smaller than this share of the picture are specks. */
const SPECK = 0.0005
const MOST_SPOTS = 12
/** A white is an accent from this much L* over what lies around it, within this share of the diagonal. */
const WHITE_ABOVE = 15
const AROUND_SHARE = 0.03
/** The rim that counts with the focal area, as a share of the diagonal. */
export const RIM_SHARE = 0.02

/** Connected areas within bounds with a label for each pixel, largest first; specks are left out. */
function patchesOf(planes: Planes, bounds: Within): Components {
  const { width, height, count } = planes,
    { inside, total } = pixelsWithin(planes, bounds)
  if (total < SPECK * count) return { labels: new Int32Array(0), list: [] }
  const { labels, list } = componentsOf(inside, { width, height, most: MOST_SPOTS })
  return { labels, list: list.filter(c => c.size >= SPECK * count) }
}

const spotOf = ({ x, y, size }: Component, count: number): Spot => ({
  x: round3(x),
  y: round3(y),
  share: round3(size / count)
})

/** What is measured reaches from here to here, fractions: the picture without a margin or a transparent border. */
function reachOf({ mask, width, height }: Planes): Extent {
  const rows = (from: number, by: 1 | -1): number => {
    for (let y = from; y >= 0 && y < height; y += by)
      if (mask.subarray(y * width, (y + 1) * width).includes(1)) return y
    return from
  }
  const columns = (from: number, by: 1 | -1): number => {
    for (let x = from; x >= 0 && x < width; x += by) for (let y = 0; y < height; y++) if (mask[y * width + x]) return x
    return from
  }
  const x0 = columns(0, 1),
    y0 = rows(0, 1)
  return {
    x: x0 / width,
    y: y0 / height,
    w: (columns(width - 1, -1) + 1 - x0) / width,
    h: (rows(height - 1, -1) + 1 - y0) / height
  }
}

/** A white that is cut off by the rim is not an accent: it is paper, or the picture goes on beyond it. */
function touchesRim({ bounds }: Component, reach: Extent, { width, height }: Planes): boolean {
  const dx = 1.5 / width,
    dy = 1.5 / height
  return (
    bounds.x < reach.x + dx
    || bounds.y < reach.y + dy
    || bounds.x + bounds.w > reach.x + reach.w - dx
    || bounds.y + bounds.h > reach.y + reach.h - dy
  )
}

/** How much lighter a patch is than what lies around it, in L*. */
function above(patch: Component, labels: Int32Array, planes: Planes): number {
  const { value, mask, width, height } = planes,
    around = AROUND_SHARE * diagonalOf(planes)
  const x0 = Math.max(0, Math.floor(patch.bounds.x * width - around)),
    x1 = Math.min(width, Math.ceil((patch.bounds.x + patch.bounds.w) * width + around)),
    y0 = Math.max(0, Math.floor(patch.bounds.y * height - around)),
    y1 = Math.min(height, Math.ceil((patch.bounds.y + patch.bounds.h) * height + around))
  let own = 0,
    other = 0,
    n = 0,
    m = 0
  for (let y = y0; y < y1; y++) {
    for (let i = y * width + x0, last = y * width + x1; i < last; i++) {
      if (labels[i] === patch.label) {
        own += value[i]
        n++
      } else if (mask[i]) {
        other += value[i]
        m++
      }
    }
  }
  return n > 0 && m > 0 ? own / n - other / m : 0
}

/** Whites that are seen as accents: within the picture, and lighter than what is around them. Largest first. */
export function whitesOf(planes: Planes): Spot[] {
  const { labels, list } = patchesOf(planes, { over: WHITE_VALUE, most: NEUTRAL_CHROMA })
  if (list.length === 0) return []
  const reach = reachOf(planes)
  return list
    .filter(c => !touchesRim(c, reach, planes) && above(c, labels, planes) >= WHITE_ABOVE)
    .map(c => spotOf(c, planes.count))
}

/** Connected areas of the highest chroma, largest first, each with the name of its colour. */
export function vividOf(planes: Planes): VividSpot[] {
  const { value, a, b } = planes,
    least = Math.max(VIVID_LEAST, VIVID_SHARE * percentile(planes.chromas, 0.995)),
    { labels, list } = patchesOf(planes, { least })
  const sums: number[][] = []
  for (const { label } of list) sums[label] = [0, 0, 0]
  for (let i = 0; i < labels.length; i++) {
    const sum = labels[i] ? sums[labels[i]] : undefined
    if (!sum) continue
    sum[0] += value[i]
    sum[1] += a[i]
    sum[2] += b[i]
  }
  return list.map(c => {
    const [v, ca, cb] = sums[c.label].map(sum => sum / c.size)
    return { ...spotOf(c, planes.count), named: nameOf(v, [0, ca, cb]).said }
  })
}

/** Pixels of an area and its rim as 1 in a mask of the picture's size. */
function maskOf(parts: readonly Spans[], size: number): Uint8Array {
  const mask = new Uint8Array(size)
  for (const { width, top, rows } of parts) {
    rows.forEach((row, r) => {
      for (let s = 0; s < row.length; s += 2) mask.fill(1, (top + r) * width + row[s], (top + r) * width + row[s + 1])
    })
  }
  return mask
}

function both(p: Uint8Array, q: Uint8Array): Uint8Array {
  for (let i = 0; i < p.length; i++) p[i] &= q[i]
  return p
}

/** P95 − P5 of value over a mask; null when it holds no pixel. */
export function contrastOver(planes: Planes, mask: Uint8Array): number | null {
  const d = valueDistribution(planes.value, mask)
  return d.total === 0 ? null : percentile(d, 0.95) - percentile(d, 0.05)
}

function measureArea({
  planes,
  attention: { map },
  peaks,
  area
}: {
  readonly planes: Planes
  readonly attention: Attention
  readonly peaks: readonly Peak[]
  readonly area: Area
}): FocusAreaSection | null {
  const spans = spansOf(area, planes)
  const own = both(maskOf([spans], planes.mask.length), planes.mask)
  const pixels = own.reduce((p, q) => p + q, 0)
  if (pixels === 0) return null
  const share = attentionShare(map, area)
  const rimmed = both(maskOf([spans, ringOf(spans, RIM_SHARE * diagonalOf(planes))], planes.mask.length), planes.mask)
  const contrast = contrastOver(planes, rimmed)!
  const windows = windowsBeside(planes, boundsOf(area), pixels / planes.mask.length),
    elsewhere = windows?.strongest ?? null
  const rank = peaks.findIndex(p => areaHolds(area, p.x, p.y))
  const chroma = (mask: Uint8Array): number | null => {
    const d = distributionOf(planes.chroma, mask, { low: 0, high: 0.4, bins: 4000 })
    return d.total === 0 ? null : percentile(d, 0.95)
  }
  const inside = chroma(own),
    outside = chroma(planes.mask.map((m, i) => m & (1 - own[i])))
  return {
    share: round3(share),
    lift: round3(share / (pixels / planes.count)),
    rank: rank < 0 ? notMeasurable('no peak of attention lies in the focal area') : rank + 1,
    contrast: round1(contrast),
    elsewhere:
      elsewhere === null ? notMeasurable('no window of this size fits beside the focal area') : round1(elsewhere),
    ratio:
      elsewhere === null
        ? notMeasurable('there is no other window to compare with')
        : elsewhere < 0.05
          ? notMeasurable('nothing outside the focal area has contrast')
          : round3(contrast / elsewhere),
    standing: windows
      ? round3(windows.below(contrast))
      : notMeasurable('no window of this size fits beside the focal area'),
    saturationRatio:
      inside === null || outside === null || outside < 1e-3
        ? notMeasurable('nothing outside the focal area has colour')
        : round3(inside / outside),
    competitors: peaks.filter(p => !areaHolds(area, p.x, p.y))
  }
}

/** Share of the whole attention that falls inside an area, 0–1. */
export function attentionShare({ width, height, data }: Attention['map'], area: Area): number {
  const { top, rows } = spansOf(area, { width, height })
  const total = data.reduce((p, q) => p + q, 0)
  let inside = 0
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2)
      for (let x = row[s]; x < row[s + 1]; x++) inside += data[(top + r) * width + x]
  })
  return total === 0 ? 0 : inside / total
}

/** How strongly each place pulls the eye: the most of the attention map within a small reach of it, 0–1. */
export function pullsOf(
  points: readonly { readonly x: number; readonly y: number }[],
  { map: { width, height, data } }: Attention
): number[] {
  const reach = Math.ceil(0.03 * Math.hypot(width, height))
  return points.map(({ x, y }) => {
    let most = 0
    for (
      let py = Math.max(0, Math.floor(y * height) - reach);
      py <= Math.min(height - 1, Math.floor(y * height) + reach);
      py++
    ) {
      for (
        let px = Math.max(0, Math.floor(x * width) - reach);
        px <= Math.min(width - 1, Math.floor(x * width) + reach);
        px++
      )
        most = Math.max(most, data[py * width + px])
    }
    return most
  })
}

export interface FocusOptions extends Met {
  /** Where the eye should go. */
  readonly area?: Area | null
}

export function measureFocus(
  planes: Planes,
  { area = null, faces: marked = [], noFaces = false }: FocusOptions = {}
): Measured<FocusSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const attention = attentionOf(planes),
    // A display of alike things is looked at for the odd one, not for what one of them resembles.
    faces = noFaces || attention.uniqueness.alike > 0 ? [] : unmarkedFaces(planes, marked),
    found = peaksOf(attention, [...marked, ...faces])
  const peaks: Measured<Peak[]> =
    found.length > 0 ? found : notMeasurable('nothing stands out: the picture has no contrast')
  const given = area && measureArea({ planes, attention, peaks: found, area })
  if (area && !given) return notMeasurable('the focal area holds no pixel of the picture')
  return { peaks, whites: whitesOf(planes), vivid: vividOf(planes), ...given }
}
