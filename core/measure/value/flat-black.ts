/**
 * Flat black: black without a colour and without a mark in it, in a patch of some size. A dark navy or a brown is a
 * colour, and a dark full of strokes is not flat; the share of near-black pixels (`nearBlack`) counts both.
 */
import { round3 } from '../../numeric/round'
import { boxPlane } from '../../picture/blur'
import { componentsOf } from '../../picture/components'
import { perPlanes } from '../../picture/per-planes'
import type { Planes } from '../../picture/planes'
import { WORKING_EDGE } from '../../picture/raster'
import type { FlatBlack } from '../report'

/** Darker than this, weaker in colour, and this even around each pixel (standard deviation of L*). */
export const FLAT_BLACK = { value: 10, chroma: 0.02, deviation: 1.5 } as const
/** Over this width the evenness is judged, pixels on a 1024 raster: a few brush hairs. */
const NEARBY = 3
/** A patch is seen as one from this share of the picture on. */
const PATCH = 0.002
const MOST = 6

/**
 * 1 where black is flat; patches too small to be seen are still in it. Evenness is that of the dark alone: it ends at
 * its edge.
 */
export const flatBlackMask = perPlanes(({ value, chroma, mask, width, height }: Planes): Uint8Array => {
  const dark = new Float32Array(value.length),
    sum = new Float32Array(value.length),
    square = new Float32Array(value.length),
    scratch = new Float32Array(value.length)
  for (let i = 0; i < value.length; i++) {
    if (mask[i] === 0 || value[i] >= FLAT_BLACK.value || chroma[i] >= FLAT_BLACK.chroma) continue
    dark[i] = 1
    sum[i] = value[i]
    square[i] = value[i] * value[i]
  }
  const inside = Uint8Array.from(dark),
    sigma = Math.max(1, (NEARBY * Math.max(width, height)) / WORKING_EDGE)
  for (const plane of [dark, sum, square]) boxPlane(plane, { width, height, sigma, scratch })
  for (let i = 0; i < inside.length; i++) {
    if (inside[i] === 0) continue
    const mean = sum[i] / dark[i]
    if (square[i] / dark[i] - mean * mean >= FLAT_BLACK.deviation ** 2) inside[i] = 0
  }
  return inside
})

/** What stands around a patch is looked at this far outside it, pixels on a 1024 raster, beyond what an edge blurs. */
const AROUND = 16
/** Around a hole there is mostly something lighter than this; a dark that leads down into the black is darker. */
const HOLE = { value: 18, share: 0.5 } as const

const NONE: FlatBlack = { share: 0, holes: 0, patches: [] }

/**
 * Labels of the patches that end at something light: holes in the picture, where others are the deep end of its darks.
 */
function holesOf(labels: Int32Array, { value, mask, width, height }: Planes): ReadonlySet<number> {
  const step = Math.max(2, Math.round((AROUND * Math.max(width, height)) / WORKING_EDGE)),
    light = new Map<number, number>(),
    all = new Map<number, number>()
  const look = (label: number, at: number): void => {
    // What is as black but not as flat is no surrounding.
    if (mask[at] === 0 || labels[at] === label || value[at] < FLAT_BLACK.value) return
    all.set(label, (all.get(label) ?? 0) + 1)
    if (value[at] >= HOLE.value) light.set(label, (light.get(label) ?? 0) + 1)
  }
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      const label = labels[i]
      if (label === 0) continue
      if (x >= step && labels[i - 1] !== label) look(label, i - step)
      if (x < width - step && labels[i + 1] !== label) look(label, i + step)
      if (y >= step && labels[i - width] !== label) look(label, i - step * width)
      if (y < height - step && labels[i + width] !== label) look(label, i + step * width)
    }
  }
  return new Set([...all].filter(([label, n]) => (light.get(label) ?? 0) >= HOLE.share * n).map(([label]) => label))
}

/**
 * @param nearBlack share of pixels that are nearly black: where that is less than a patch there is nothing to look for.
 */
export function flatBlackOf(planes: Planes, nearBlack: number): FlatBlack {
  if (nearBlack < PATCH) return NONE
  const { width, height, count } = planes
  const { labels, list } = componentsOf(flatBlackMask(planes), { width, height, most: 200 }),
    patches = list.filter(c => c.size >= PATCH * count)
  if (patches.length === 0) return NONE
  const holes = holesOf(labels, planes),
    shareOf = (some: typeof patches): number => round3(some.reduce((sum, c) => sum + c.size, 0) / count)
  const spots = patches.map(c => ({
    x: round3(c.x),
    y: round3(c.y),
    share: round3(c.size / count),
    hole: holes.has(c.label)
  }))
  return {
    share: shareOf(patches),
    holes: shareOf(patches.filter(c => holes.has(c.label))),
    patches: spots.slice(0, MOST)
  }
}
