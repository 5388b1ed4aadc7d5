/** Sharpness, detail, dependence on line, cut-out figures. */
import { round3 } from '../../numeric/round'
import { boxPlane } from '../../picture/blur'
import { closeGrid, createGrid, GRID_MOST, type Grid } from '../../picture/closing'
import { createPlane, halvePlane, type Plane } from '../../picture/plane'
import { ringOf, spansOf, type Area, type Spans } from '../../picture/area'
import { perPlanes } from '../../picture/per-planes'
import type { Planes } from '../../picture/planes'
import { diagonalOf, WORKING_EDGE } from '../../picture/raster'
import { meanDeviation, percentile } from '../../picture/distribution'
import { notMeasurable, type EdgeProfile, type EdgesSection, type Measured } from '../report'

/** Radius of the closing that thin dark lines fall into, pixels on a 1024 raster. */
const LINE_RADIUS = 3
/**
 * Gradient in L* a pixel (1024 raster) from which a pixel is an edge. Our choice: a step the eye sees as a line at
 * arm's length.
 */
const EDGE_GRADIENT = 4
/** House default: a figure this many times sharper or busier than its surroundings looks pasted on. */
export const CUTOUT_RATIO = 2.5
/**
 * An edge counts from a step of 12 L* on, a deviation of half that: fainter ones are texture, whose sharpness nobody
 * judges.
 */
const LEAST_DEVIATION = 6
/** Pixels beside what is not measured that are left out with it. */
const RIM = 3
/** The neighbourhood of a focal area, as a share of the diagonal. */
const NEAR_SHARE = 0.1

/** |∇L*| by central differences, in L* a pixel; edges repeat. */
function fillGradient({ value, width, height }: Planes, out: Float32Array): void {
  const slope = (dx: number, dy: number): number => 0.5 * Math.sqrt(dx * dx + dy * dy)
  for (let y = 0; y < height; y++) {
    const first = y * width,
      last = first + width - 1,
      up = y > 0 ? width : 0,
      down = y < height - 1 ? width : 0
    for (let i = first + 1; i < last; i++) out[i] = slope(value[i + 1] - value[i - 1], value[i + down] - value[i - up])
    out[first] = slope(value[Math.min(first + 1, last)] - value[first], value[first + down] - value[first - up])
    if (last > first) out[last] = slope(value[last] - value[last - 1], value[last + down] - value[last - up])
  }
}

export interface EdgeMaps {
  /** 0 soft – 1 as sharp as a pixel allows: gradient over the local contrast around it. */
  readonly sharpness: Float32Array
  /** Share of edge pixels nearby, 0–1, at half the raster's size. */
  readonly detail: Plane
  /** Standard deviation of L* nearby, at half the raster's size: half the step of an edge that is there. */
  readonly contrast: Plane
}

/**
 * Local standard deviation of value in a box of spread σ, at half size, where local means are smooth enough: √(E[L²] −
 * E[L]²).
 */
function localContrast({ value, width, height }: Planes, sigma: number): Plane {
  const mean = halvePlane({ width, height, data: value }),
    scratch = new Float32Array(mean.data.length)
  const square = new Float32Array(mean.data.length)
  for (let i = 0; i < square.length; i++) square[i] = mean.data[i] * mean.data[i]
  boxPlane(mean.data, { width: mean.width, height: mean.height, sigma: sigma / 2, scratch })
  boxPlane(square, { width: mean.width, height: mean.height, sigma: sigma / 2, scratch })
  for (let i = 0; i < square.length; i++) square[i] = Math.sqrt(Math.max(0, square[i] - mean.data[i] * mean.data[i]))
  return { width: mean.width, height: mean.height, data: square }
}

/** Share of edge pixels in each 2 × 2 cell, then around it. */
function detailOf(
  gradient: Float32Array,
  { planes: { width, height }, edge, sigma }: { readonly planes: Planes; readonly edge: number; readonly sigma: number }
): Plane {
  const detail = createPlane((width + 1) >> 1, (height + 1) >> 1)
  for (let y = 0, i = 0; y < height; y++) {
    const row = (y >> 1) * detail.width
    for (let x = 0; x < width; x++, i++) if (gradient[i] >= edge) detail.data[row + (x >> 1)] += 0.25
  }
  boxPlane(detail.data, {
    width: detail.width,
    height: detail.height,
    sigma: sigma / 2,
    scratch: new Float32Array(detail.data.length)
  })
  return detail
}

/** Kept with the planes: the report, the lenses and every figure read the same maps. */
export const edgeMaps = perPlanes(makeEdgeMaps)

function makeEdgeMaps(planes: Planes): EdgeMaps {
  const { width, height, value } = planes
  const scale = Math.max(width, height) / WORKING_EDGE
  const gradient = new Float32Array(value.length)
  fillGradient(planes, gradient)
  const sigma = Math.max(1, 6 * scale)
  const detail = detailOf(gradient, { planes, edge: EDGE_GRADIENT / Math.max(scale, 1 / 16), sigma })
  const contrast = localContrast(planes, sigma)
  // Two L* in the divisor keep the texture of a flat wall from counting as sharp. The gradient's plane becomes the map.
  const perContrast = contrast.data.map(c => 1 / (c + 2))
  for (let y = 0, i = 0; y < height; y++) {
    const row = (y >> 1) * contrast.width
    for (let x = 0; x < width; x++, i++) {
      const sharp = gradient[i] * perContrast[row + (x >> 1)]
      gradient[i] = sharp > 1 ? 1 : sharp
    }
  }
  return { sharpness: gradient, detail, contrast }
}

/** Edge-weighted mean sharpness and mean detail over an area. */
interface Profile {
  /** Null where no edge counts. */
  readonly sharpness: number | null
  readonly detail: number
}

function profileOver(spans: Spans, maps: EdgeMaps, mask: Uint8Array): Profile | null {
  let n = 0,
    weight = 0,
    sharp = 0,
    busy = 0
  for (let r = 0; r < spans.rows.length; r++) {
    const base = (spans.top + r) * spans.width,
      row = spans.rows[r],
      half = ((spans.top + r) >> 1) * maps.detail.width
    for (let s = 0; s < row.length; s += 2) {
      for (let x = row[s]; x < row[s + 1]; x++) {
        if (!mask[base + x]) continue
        n++
        const edge = maps.contrast.data[half + (x >> 1)] < LEAST_DEVIATION ? 0 : maps.sharpness[base + x]
        busy += maps.detail.data[half + (x >> 1)]
        weight += edge
        sharp += edge * edge
      }
    }
  }
  // Weighted by itself: how sharp the edges are that are there, not how many.
  return n === 0 ? null : { sharpness: weight > 0 ? sharp / weight : null, detail: busy / n }
}

/** Under this share of the contrast there is no drawing to tell from texture. */
const LEAST_LINES = 0.1
/** Steps of L* that lines are closed in: a line is seen from whole steps on. */
const LINE_STEPS = GRID_MOST / 100

/** What thin lines hold of a picture's contrast, 0–1. */
export interface Lines {
  /** Thin darks: what closing the values adds, over their mean deviation from the median. */
  readonly dark: number
  /** Thin lights, in the same way. Grain and leaves have as much of the one as of the other; drawing has not. */
  readonly light: number
}

/** Null without contrast. */
export function linesOf({ value, values, width, height, mask, count }: Planes): Lines | null {
  const contrast = meanDeviation(values, percentile(values, 0.5)) * count
  if (contrast / Math.max(1, count) < 0.02) return null
  const radius = Math.max(1, Math.round((LINE_RADIUS * Math.max(width, height)) / WORKING_EDGE))
  const share = (of: (steps: number) => number): number => {
    const grid = createGrid(width, height, radius),
      { bytes, stride } = grid
    for (let y = 0, i = 0; y < height; y++) {
      for (let at = (y + radius) * stride + radius, end = at + width; at < end; at++, i++)
        bytes[at] = of(value[i] * LINE_STEPS + 0.5)
    }
    return Math.min(1, filledBy(grid, count === mask.length ? null : mask) / LINE_STEPS / contrast)
  }
  const dark = share(steps => steps)
  // Where there are no thin darks to speak of nobody asks for the lights.
  return { dark, light: dark < LEAST_LINES ? 0 : share(steps => GRID_MOST - steps) }
}

/** Sum of what closing adds to a grid, over the measured pixels. */
function filledBy(grid: Grid, mask: Uint8Array | null): number {
  const { bytes, width, height, radius, stride } = grid,
    open = bytes.slice()
  closeGrid(grid)
  let sum = 0
  for (let y = 0, i = 0; y < height; y++) {
    const from = (y + radius) * stride + radius
    if (mask) for (let at = from; at < from + width; at++, i++) sum += mask[i] * (bytes[at] - open[at])
    else for (let at = from; at < from + width; at++) sum += bytes[at] - open[at]
  }
  return sum
}

const FLAT = 'the picture has no contrast'
const NO_FOCUS = 'no focal area is given'

export function measureEdges(
  planes: Planes,
  focus: Area | null,
  maps: EdgeMaps = edgeMaps(planes)
): Measured<EdgesSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const whole = spansOf({ kind: 'rectangle', x: 0, y: 0, w: 1, h: 1 }, planes)
  const inside = focus && spansOf(focus, planes)
  const near = inside && ringOf(inside, NEAR_SHARE * diagonalOf(planes))
  const measured = planes.count === planes.mask.length ? planes.mask : withinRim(planes)
  const mask = measured.slice()
  for (const part of [inside, near]) if (part) clear(part, mask)
  const parts = {
    focus: inside && profileOver(inside, maps, measured),
    near: near && profileOver(near, maps, measured),
    rest: profileOver(whole, maps, mask)
  }
  const profile = (of: keyof Profile): EdgeProfile => {
    const part = (name: keyof typeof parts): Measured<number> => {
      if (!parts[name]) return notMeasurable(name === 'rest' ? 'nothing lies outside the focal area' : NO_FOCUS)
      const figure = parts[name][of]
      return figure === null ? notMeasurable('no edge there is strong enough to be judged') : round3(figure)
    }
    return { focus: part('focus'), near: part('near'), rest: part('rest') }
  }
  const lines = linesOf(planes)
  return {
    lineDependence: lines === null ? notMeasurable(FLAT) : round3(lines.dark),
    thinLights: lines === null ? notMeasurable(FLAT) : round3(lines.light),
    sharpness: profile('sharpness'),
    detail: profile('detail')
  }
}

/** What is measured without the pixels beside what is not: where a picture is cut off, that is no edge of its. */
function withinRim({ mask, width, height }: Planes): Uint8Array {
  const inner = mask.slice()
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (mask[i] === 0) continue
      const left = x >= RIM ? mask[i - RIM] : 1,
        right = x < width - RIM ? mask[i + RIM] : 1,
        up = y >= RIM ? mask[i - RIM * width] : 1,
        down = y < height - RIM ? mask[i + RIM * width] : 1
      inner[i] = left & right & up & down
    }
  }
  return inner
}

function clear({ width, top, rows }: Spans, mask: Uint8Array): void {
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2) mask.fill(0, (top + r) * width + row[s], (top + r) * width + row[s + 1])
  })
}

export interface CutOut {
  readonly sharpness: number
  readonly detail: number
  readonly pasted: boolean
}

/**
 * A marked figure against its surroundings: how many times sharper and busier it is. Null where nothing lies around it.
 */
export function cutOutOf(area: Area, planes: Planes, maps: EdgeMaps): CutOut | null {
  const spans = spansOf(area, planes)
  const figure = profileOver(spans, maps, planes.mask)
  const around = profileOver(ringOf(spans, NEAR_SHARE * diagonalOf(planes)), maps, planes.mask)
  if (!figure || !around) return null
  const ratio = (p: number, q: number): number => p / Math.max(q, 0.01)
  // Beside a ground without edges only how busy the figure is can be compared.
  const sharpness =
      figure.sharpness === null || around.sharpness === null ? 0 : ratio(figure.sharpness, around.sharpness),
    detail = ratio(figure.detail, around.detail)
  return { sharpness, detail, pasted: sharpness > CUTOUT_RATIO || detail > CUTOUT_RATIO }
}
