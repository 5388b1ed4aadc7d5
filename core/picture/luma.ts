/**
 * Luma: the encoded values weighed as compression does (ITU-R BT.601; JFIF). A JPEG keeps luma at full size and colour
 * at half of it, so that value (L*) smears where saturated colours meet; luma does not.
 */
import { createPlane, type Plane } from './plane'
import type { Raster } from './raster'

/** Luma of one pixel, 0–255. */
export const lumaOf = (r: number, g: number, b: number): number => 0.299 * r + 0.587 * g + 0.114 * b

/** 0–100, black to white. */
export function lumaPlane({ width, height, data }: Raster): Plane {
  const plane = createPlane(width, height)
  for (let p = 0, i = 0; p < plane.data.length; p++, i += 4)
    plane.data[p] = lumaOf(data[i], data[i + 1], data[i + 2]) / 2.55
  return plane
}
