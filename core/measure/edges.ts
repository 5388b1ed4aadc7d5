/** Sharpness, detail, dependence on line, cut-out figures (measures §8). */
import { round3 } from '../numeric/round'
import { boxPlane } from '../picture/blur'
import { reducePlane, type Plane } from '../picture/plane'
import { ringOf, spansOf, type Area, type Spans } from '../picture/area'
import type { Planes } from '../picture/planes'
import { diagonalOf, WORKING_EDGE } from '../picture/raster'
import { percentile } from '../picture/distribution'
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
  /** Share of edge pixels nearby, 0–1, at half the raster's size. */
  readonly detail: Plane
}

/** Local means are smooth: half the raster's size holds them. */
function halved(plane: Float32Array, width: number, height: number): Plane {
  return reducePlane({ width, height, data: plane }, Math.ceil(width / 2), Math.ceil(height / 2))
}

/** Local standard deviation of value in a box of spread σ, at half size: √(E[L²] − E[L]²). */
function localContrast(value: Float32Array, width: number, height: number, sigma: number): Plane {
  const mean = halved(value, width, height), scratch = new Float32Array(mean.data.length)
  const square = new Float32Array(mean.data.length)
  for (let i = 0; i < square.length; i++) square[i] = mean.data[i] * mean.data[i]
  boxPlane(mean.data, mean.width, mean.height, sigma / 2, scratch)
  boxPlane(square, mean.width, mean.height, sigma / 2, scratch)
  for (let i = 0; i < square.length; i++) square[i] = Math.sqrt(Math.max(0, square[i] - mean.data[i] * mean.data[i]))
  return { width: mean.width, height: mean.height, data: square }
}

export function edgeMaps(planes: Planes): EdgeMaps {
  const { width, height, value } = planes
  const scale = Math.max(width, height) / WORKING_EDGE
  const gradient = new Float32Array(value.length)
  fillGradient(planes, gradient)
  const sigma = Math.max(1, 6 * scale)
  const contrast = localContrast(value, width, height, sigma)
  const edge = EDGE_GRADIENT / Math.max(scale, 1 / 16)
  const crowd = new Float32Array(value.length)
  for (let i = 0; i < crowd.length; i++) crowd[i] = gradient[i] >= edge ? 1 : 0
  const detail = halved(crowd, width, height)
  boxPlane(detail.data, detail.width, detail.height, sigma / 2, new Float32Array(detail.data.length))
  // Two L* in the divisor keep the texture of a flat wall from counting as sharp. The gradient's plane becomes the map.
  for (let y = 0, i = 0; y < height; y++) {
    const row = (y >> 1) * contrast.width
    for (let x = 0; x < width; x++, i++) gradient[i] = Math.min(1, gradient[i] / (contrast.data[row + (x >> 1)] + 2))
  }
  return { sharpness: gradient, detail }
}

/** Edge-weighted mean sharpness and mean detail over an area. */
interface Profile { readonly sharpness: number, readonly detail: number }

function profileOver(spans: Spans, maps: EdgeMaps, mask: Uint8Array): Profile | null {
  let n = 0, weight = 0, sharp = 0, busy = 0
  for (let r = 0; r < spans.rows.length; r++) {
    const base = (spans.top + r) * spans.width, row = spans.rows[r], half = ((spans.top + r) >> 1) * maps.detail.width
    for (let s = 0; s < row.length; s += 2) {
      for (let x = row[s]; x < row[s + 1]; x++) {
        if (!mask[base + x]) continue
        const edge = maps.sharpness[base + x]
        n++
        busy += maps.detail.data[half + (x >> 1)]
        weight += edge
        sharp += edge * edge
      }
    }
  }
  // Weighted by itself: how sharp the edges are that are there, not how many.
  return n === 0 ? null : { sharpness: weight > 0 ? sharp / weight : 0, detail: busy / n }
}

/**
 * Running maximum over a square of side 2r + 1, edges shrinking it, by doubling: the maximum over 2w
 * is that over w and the same shifted by w. Minimum is the maximum of the negative, so one loop serves.
 */
function runningMax(from: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const planes: [Uint8Array, Uint8Array] = [from.slice(), new Uint8Array(from.length)]
  let at = 0
  for (const [limit, pass] of [[width, maxAlongRows], [height, maxAlongColumns]] as const) {
    const window = 2 * Math.min(radius, limit - 1) + 1
    for (let covered = 1; covered < window;) {
      const next = Math.min(covered, window - covered)
      // The last pass brings the window, grown to the right so far, back over its middle.
      const back = covered + next === window ? (window - 1) / 2 : 0
      pass(planes[at], planes[1 - at], width, height, -back, next - back)
      at = 1 - at
      covered += next
    }
  }
  return planes[at]
}

/** to[x] = max(from[x + left], from[x + right]) in each row, positions held inside it. */
function maxAlongRows(from: Uint8Array, to: Uint8Array, width: number, height: number, left: number, right: number): void {
  const inside = Math.max(0, -left), outside = Math.max(inside, width - Math.max(0, right))
  for (let y = 0; y < height; y++) {
    const base = y * width
    const held = (x: number): number => base + (x < 0 ? 0 : x >= width ? width - 1 : x)
    for (let x = 0; x < Math.min(inside, width); x++) to[base + x] = Math.max(from[held(x + left)], from[held(x + right)])
    for (let x = inside; x < outside; x++) {
      to[base + x] = Math.max(from[base + x + left], from[base + x + right])
    }
    for (let x = Math.max(inside, outside); x < width; x++) to[base + x] = Math.max(from[held(x + left)], from[held(x + right)])
  }
}

/** The same along columns, whole rows at a time. */
function maxAlongColumns(from: Uint8Array, to: Uint8Array, width: number, height: number, up: number, down: number): void {
  const held = (y: number): number => Math.min(height - 1, Math.max(0, y)) * width
  for (let y = 0; y < height; y++) {
    const base = y * width, above = held(y + up), below = held(y + down)
    for (let x = 0; x < width; x++) {
      to[base + x] = Math.max(from[above + x], from[below + x])
    }
  }
}

/** Steps of L* in a byte: a line is seen from whole steps on, and bytes are walked four times as fast. */
const BYTE_STEPS = 2.5

/** Closing: what is dark and thinner than the square is filled by what lies beside it. */
function closing(bytes: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const dilated = runningMax(bytes, width, height, radius)
  for (let i = 0; i < dilated.length; i++) dilated[i] = 255 - dilated[i]
  const eroded = runningMax(dilated, width, height, radius)
  for (let i = 0; i < eroded.length; i++) eroded[i] = 255 - eroded[i]
  return eroded
}

/**
 * Share of the picture's contrast carried by thin dark lines: the morphological closing (Serra
 * 1982) fills what is thinner than its square; what it adds, over the mean deviation from the median.
 */
export function lineDependenceOf({ value, values, width, height, mask, count }: Planes): number | null {
  const radius = Math.max(1, Math.round((LINE_RADIUS * Math.max(width, height)) / WORKING_EDGE))
  const bytes = new Uint8Array(value.length)
  for (let i = 0; i < bytes.length; i++) bytes[i] = value[i] * BYTE_STEPS + 0.5
  const closed = closing(bytes, width, height, radius)
  const median = percentile(values, 0.5)
  let lines = 0, contrast = 0
  for (let i = 0; i < value.length; i++) {
    if (!mask[i]) continue
    lines += closed[i] - bytes[i]
    contrast += Math.abs(value[i] - median)
  }
  return contrast / Math.max(1, count) < 0.02 ? null : Math.min(1, lines / BYTE_STEPS / contrast)
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
