/**
 * Flat black: black without a colour and without a mark in it, in a patch of some size. A dark navy or a brown is a colour,
 * and a dark full of strokes is not flat; the share of near-black pixels (`nearBlack`) counts both.
 */
import { round3 } from '../numeric/round'
import { boxPlane } from '../picture/blur'
import { listComponents } from '../picture/components'
import { perPlanes } from '../picture/per-planes'
import type { Planes } from '../picture/planes'
import { WORKING_EDGE } from '../picture/raster'
import type { FlatBlack, Spot } from './report'

/** Darker than this, weaker in colour, and this even around each pixel (standard deviation of L*). */
export const FLAT_BLACK = { value: 10, chroma: 0.02, deviation: 1.5 } as const
/** Over this width the evenness is judged, pixels on a 1024 raster: a few brush hairs. */
const NEARBY = 3
/** A patch is seen as one from this share of the picture on. */
const PATCH = 0.002
const MOST = 6

/** 1 where black is flat; patches too small to be seen are still in it. Evenness is that of the dark alone: it ends at its edge. */
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

const NONE: FlatBlack = { share: 0, patches: [] }

/** @param nearBlack share of pixels that are nearly black: where that is less than a patch there is nothing to look for. */
export function flatBlackOf(planes: Planes, nearBlack: number): FlatBlack {
  if (nearBlack < PATCH) return NONE
  const { width, height, count } = planes
  const patches = listComponents(flatBlackMask(planes), { width, height, most: 200 }).filter(
    c => c.size >= PATCH * count
  )
  const spots = patches.map((c): Spot => ({ x: round3(c.x), y: round3(c.y), share: round3(c.size / count) }))
  return { share: round3(patches.reduce((sum, c) => sum + c.size, 0) / count), patches: spots.slice(0, MOST) }
}
