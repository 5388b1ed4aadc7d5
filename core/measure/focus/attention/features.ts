/**
 * The feature planes that attention compares: value, the two colour axes, chroma, detail and
 * orientation, all in OKLab-sized units (a full black–white step is 1), at one small working size so
 * that a picture and its enlargement are seen alike.
 */
import { blurPlane } from '../../../picture/blur'
import { fillClear } from '../../../picture/fill'
import { createPlane, reducePlane, type Plane } from '../../../picture/plane'
import type { Planes } from '../../../picture/planes'
import { fitWithin } from '../../../picture/resample'

/** Long edge of the attention raster. */
export const ATTENTION_EDGE = 256

export interface Features {
  readonly width: number
  readonly height: number
  /** Share of each cell that belongs to the picture, 0–1. */
  readonly cover: Plane
  /** L* ÷ 100. */
  readonly value: Plane
  readonly a: Plane
  readonly b: Plane
  readonly chroma: Plane
  /** Strength of edges nearby. */
  readonly detail: Plane
  /** Gradient products (structure tensor), summed over a small window: xx − yy, 2xy, xx + yy. */
  readonly along: Plane
  readonly across: Plane
  readonly energy: Plane
}

/**
 * Area mean of a plane over the measured pixels of each cell. Clear cells take what lies around them: what a
 * transparent border or a margin cuts off is not an edge.
 */
function covered(source: Float32Array, planes: Planes, cover: Plane): Plane {
  const { width, height } = cover
  if (planes.count === planes.mask.length)
    return reducePlane({ width: planes.width, height: planes.height, data: source }, width, height)
  const masked = new Float32Array(source.length)
  for (let i = 0; i < masked.length; i++) masked[i] = source[i] * planes.mask[i]
  const reduced = reducePlane({ width: planes.width, height: planes.height, data: masked }, width, height)
  for (let i = 0; i < reduced.data.length; i++) if (cover.data[i] > 0) reduced.data[i] /= cover.data[i]
  return fillClear(reduced, cover)
}

function coverOf(planes: Planes, width: number, height: number): Plane {
  if (planes.count === planes.mask.length) return { width, height, data: new Float32Array(width * height).fill(1) }
  return reducePlane(
    { width: planes.width, height: planes.height, data: Float32Array.from(planes.mask) },
    width,
    height
  )
}

export function featuresOf(planes: Planes): Features {
  const { width, height } = fitWithin(planes.width, planes.height, ATTENTION_EDGE)
  const cover = coverOf(planes, width, height)
  const value = covered(planes.value, planes, cover)
  for (let i = 0; i < value.data.length; i++) value.data[i] /= 100
  const a = covered(planes.a, planes, cover),
    b = covered(planes.b, planes, cover)
  const chroma = createPlane(width, height)
  for (let i = 0; i < chroma.data.length; i++) chroma.data[i] = Math.hypot(a.data[i], b.data[i])
  return { width, height, cover, value, a, b, chroma, ...gradients(value, a, b) }
}

/** Adds a plane's gradient products at each pixel; edges repeat. */
function addProducts(
  { width, height, data }: Plane,
  {
    along,
    across,
    energy
  }: { readonly along: Float32Array; readonly across: Float32Array; readonly energy: Float32Array }
): void {
  for (let y = 0, i = 0; y < height; y++) {
    const up = y > 0 ? width : 0,
      down = y < height - 1 ? width : 0
    for (let x = 0; x < width; x++, i++) {
      const dx = data[x < width - 1 ? i + 1 : i] - data[x > 0 ? i - 1 : i]
      const dy = data[i + down] - data[i - up]
      along[i] += dx * dx - dy * dy
      across[i] += 2 * dx * dy
      energy[i] += dx * dx + dy * dy
    }
  }
}

/** Colour counts in the gradient as value does: a red bar on equal grey has edges too. */
function gradients(value: Plane, a: Plane, b: Plane): Pick<Features, 'detail' | 'along' | 'across' | 'energy'> {
  const { width, height } = value
  const detail = createPlane(width, height),
    along = createPlane(width, height),
    across = createPlane(width, height),
    energy = createPlane(width, height)
  for (const plane of [value, a, b]) addProducts(plane, { along: along.data, across: across.data, energy: energy.data })
  for (let i = 0; i < detail.data.length; i++) detail.data[i] = Math.sqrt(energy.data[i])
  const scratch = new Float32Array(width * height)
  for (const plane of [detail, along, across, energy]) blurPlane(plane.data, { width, height, sigma: 1.5, scratch })
  return { detail, along, across, energy }
}
