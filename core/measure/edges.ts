/** Sharpness, detail, dependence on line, cut-out figures (measures §8). */
import { round3 } from '../numeric/round'
import { blurPlane } from '../picture/blur'
import { ringOf, spansOf, type Area, type Spans } from '../picture/area'
import type { Planes } from '../picture/planes'
import { diagonalOf, WORKING_EDGE } from '../picture/raster'
import { medianOf } from '../picture/distribution'
import { notMeasurable, type EdgeProfile, type EdgesSection, type Measured } from './report'

/** Radius of the closing that thin dark lines fall into, pixels on a 1024 raster. */
const LINE_RADIUS = 3
/** Gradient in L* a pixel (1024 raster) from which a pixel is an edge. Our choice: a step the eye sees as a line at arm's length. */
const EDGE_GRADIENT = 4
/** House default: a figure this many times sharper or busier than its surroundings looks pasted on. */
export const CUTOUT_RATIO = 2.5
/** The neighbourhood of a focal area, as a share of the diagonal. */
const NEAR_SHARE = 0.1

/** |∇L*| by central differences, in L* a pixel; edges repeat. */
export function fillGradient({ value, width, height }: Pick<Planes, 'value' | 'width' | 'height'>, out: Float32Array): void {
  for (let y = 0, i = 0; y < height; y++) {
    const up = y > 0 ? width : 0, down = y < height - 1 ? width : 0
    for (let x = 0; x < width; x++, i++) {
      const dx = value[x < width - 1 ? i + 1 : i] - value[x > 0 ? i - 1 : i]
      const dy = value[i + down] - value[i - up]
      out[i] = 0.5 * Math.sqrt(dx * dx + dy * dy)
    }
  }
}

export interface EdgeMaps {
  /** 0 soft – 1 as sharp as a pixel allows: gradient over the local contrast around it. */
  readonly sharpness: Float32Array
  /** Share of edge pixels nearby, 0–1. */
  readonly detail: Float32Array
}

/** Local standard deviation of value within σ: √(E[L²] − E[L]²). */
function localContrast(value: Float32Array, width: number, height: number, sigma: number, scratch: Float32Array): Float32Array {
  const mean = value.slice(), square = value.map(v => v * v)
  blurPlane(mean, width, height, sigma, scratch)
  blurPlane(square, width, height, sigma, scratch)
  for (let i = 0; i < square.length; i++) square[i] = Math.sqrt(Math.max(0, square[i] - mean[i] * mean[i]))
  return square
}

export function edgeMaps(planes: Planes): EdgeMaps {
  const { width, height, value } = planes
  const scale = Math.max(width, height) / WORKING_EDGE
  const scratch = new Float32Array(value.length)
  const gradient = new Float32Array(value.length)
  fillGradient(planes, gradient)
  const sigma = Math.max(1, 6 * scale)
  const contrast = localContrast(value, width, height, sigma, scratch)
  const sharpness = new Float32Array(value.length), detail = new Float32Array(value.length)
  const edge = EDGE_GRADIENT / Math.max(scale, 1 / 16)
  for (let i = 0; i < value.length; i++) {
    // Two L* in the divisor keep the texture of a flat wall from counting as sharp.
    sharpness[i] = Math.min(1, gradient[i] / (contrast[i] + 2))
    detail[i] = gradient[i] >= edge ? 1 : 0
  }
  blurPlane(detail, width, height, sigma, scratch)
  return { sharpness, detail }
}

/** Edge-weighted mean sharpness and mean detail over an area. */
interface Profile { readonly sharpness: number, readonly detail: number }

function profileOver(spans: Spans, maps: EdgeMaps, mask: Uint8Array): Profile | null {
  let n = 0, weight = 0, sharp = 0, busy = 0
  for (let r = 0; r < spans.rows.length; r++) {
    const base = (spans.top + r) * spans.width, row = spans.rows[r]
    for (let s = 0; s < row.length; s += 2) {
      for (let i = base + row[s], end = base + row[s + 1]; i < end; i++) {
        if (!mask[i]) continue
        n++
        busy += maps.detail[i]
        weight += maps.sharpness[i]
        sharp += maps.sharpness[i] * maps.sharpness[i]
      }
    }
  }
  // Weighted by itself: how sharp the edges are that are there, not how many.
  return n === 0 ? null : { sharpness: weight > 0 ? sharp / weight : 0, detail: busy / n }
}

/** Running extreme over a square of side 2r + 1, rows then columns. */
function extreme(from: Float32Array, width: number, height: number, radius: number, pick: (p: number, q: number) => number): Float32Array {
  const across = new Float32Array(from.length), out = new Float32Array(from.length)
  for (let y = 0; y < height; y++) {
    const base = y * width
    for (let x = 0; x < width; x++) {
      let best = from[base + x]
      for (let k = Math.max(0, x - radius), end = Math.min(width - 1, x + radius); k <= end; k++) best = pick(best, from[base + k])
      across[base + x] = best
    }
  }
  for (let y = 0; y < height; y++) {
    const base = y * width, first = Math.max(0, y - radius), last = Math.min(height - 1, y + radius)
    for (let x = 0; x < width; x++) out[base + x] = across[first * width + x]
    for (let row = first + 1; row <= last; row++) for (let x = 0, i = row * width; x < width; x++, i++) out[base + x] = pick(out[base + x], across[i])
  }
  return out
}

const larger = (p: number, q: number): number => (p > q ? p : q)
const smaller = (p: number, q: number): number => (p < q ? p : q)

/**
 * Share of the picture's contrast carried by thin dark lines: the morphological closing (Serra
 * 1982) fills what is thinner than its square; what it adds, over the mean deviation from the median.
 */
export function lineDependenceOf({ value, width, height, mask, count }: Planes): number | null {
  const radius = Math.max(1, Math.round((LINE_RADIUS * Math.max(width, height)) / WORKING_EDGE))
  const closed = extreme(extreme(value, width, height, radius, larger), width, height, radius, smaller)
  const median = medianOf(value, mask)
  let lines = 0, contrast = 0
  for (let i = 0; i < value.length; i++) {
    if (!mask[i]) continue
    lines += closed[i] - value[i]
    contrast += Math.abs(value[i] - median)
  }
  return contrast / Math.max(1, count) < 1e-3 ? null : Math.min(1, lines / contrast)
}

const FLAT = 'the picture has no contrast'
const NO_FOCUS = 'no focal area is given'

export function measureEdges(planes: Planes, focus: Area | null, maps: EdgeMaps = edgeMaps(planes)): Measured<EdgesSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const whole = spansOf({ kind: 'rectangle', x: 0, y: 0, w: 1, h: 1 }, planes.width, planes.height)
  const inside = focus && spansOf(focus, planes.width, planes.height)
  const near = inside && ringOf(inside, NEAR_SHARE * diagonalOf(planes))
  const mask = planes.mask.slice()
  for (const part of [inside, near]) if (part) clear(part, mask)
  const parts = { focus: inside && profileOver(inside, maps, planes.mask), near: near && profileOver(near, maps, planes.mask), rest: profileOver(whole, maps, mask) }
  const profile = (of: keyof Profile): EdgeProfile => {
    const part = (name: keyof typeof parts): Measured<number> => (parts[name] ? round3(parts[name][of]) : notMeasurable(name === 'rest' ? 'nothing lies outside the focal area' : NO_FOCUS))
    return { focus: part('focus'), near: part('near'), rest: part('rest') }
  }
  const lines = lineDependenceOf(planes)
  return { lineDependence: lines === null ? notMeasurable(FLAT) : round3(lines), sharpness: profile('sharpness'), detail: profile('detail') }
}

function clear({ width, top, rows }: Spans, mask: Uint8Array): void {
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2) mask.fill(0, (top + r) * width + row[s], (top + r) * width + row[s + 1])
  })
}

export interface CutOut { readonly sharpness: number, readonly detail: number, readonly pasted: boolean }

/** A marked figure against its surroundings: how many times sharper and busier it is. Null where nothing lies around it. */
export function cutOutOf(area: Area, planes: Planes, maps: EdgeMaps): CutOut | null {
  const spans = spansOf(area, planes.width, planes.height)
  const figure = profileOver(spans, maps, planes.mask)
  const around = profileOver(ringOf(spans, NEAR_SHARE * diagonalOf(planes)), maps, planes.mask)
  if (!figure || !around) return null
  const ratio = (p: number, q: number): number => p / Math.max(q, 0.01)
  const sharpness = ratio(figure.sharpness, around.sharpness), detail = ratio(figure.detail, around.detail)
  return { sharpness, detail, pasted: sharpness > CUTOUT_RATIO || detail > CUTOUT_RATIO }
}
