/** The maps of edges and what is read of them, by the plain formulas: what the kernel does, where there is none. */
import { boxPlane } from '../../picture/blur'
import { createPlane, halvePlane, type Plane } from '../../picture/plane'
import type { Planes } from '../../picture/planes'
import type { EdgeMaps, EdgeScale, ProfileSums, Read } from './edge-maps'

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

export function mapsInScript(planes: Planes, { sigma, edge }: EdgeScale): EdgeMaps {
  const { width, height, value } = planes,
    gradient = new Float32Array(value.length)
  fillGradient(planes, gradient)
  const detail = detailOf(gradient, { planes, edge, sigma }),
    contrast = localContrast(planes, sigma),
    perContrast = contrast.data.map(c => 1 / (c + 2))
  for (let y = 0, i = 0; y < height; y++) {
    const row = (y >> 1) * contrast.width
    for (let x = 0; x < width; x++, i++) {
      const sharp = gradient[i] * perContrast[row + (x >> 1)]
      gradient[i] = sharp > 1 ? 1 : sharp
    }
  }
  return { sharpness: gradient, detail, contrast }
}

export function profileInScript(
  { sharpness, detail, contrast }: EdgeMaps,
  { width, height, mask, least }: Read
): ProfileSums {
  const sums = { n: 0, busy: 0, weight: 0, square: 0 }
  for (let y = 0, i = 0; y < height; y++) {
    const half = (y >> 1) * detail.width
    for (let x = 0; x < width; x++, i++) {
      if (!mask[i]) continue
      const edge = contrast.data[half + (x >> 1)] < least ? 0 : sharpness[i]
      sums.n++
      sums.busy += detail.data[half + (x >> 1)]
      sums.weight += edge
      sums.square += edge * edge
    }
  }
  return sums
}
