/** Part of a picture, a picture itself. */
import { createRaster, type Raster } from './raster'

/** Whole pixels, of the picture: what lies beyond it is left out. */
export interface PixelBox {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** @throws RangeError where the box lies beyond the picture. */
export function cropAt(raster: Raster, box: PixelBox): Raster {
  const width = Math.min(box.width, raster.width - box.x),
    height = Math.min(box.height, raster.height - box.y),
    crop = createRaster(width, height)
  for (let row = 0; row < height; row++) {
    const from = ((box.y + row) * raster.width + box.x) * 4
    crop.data.set(raster.data.subarray(from, from + width * 4), row * width * 4)
  }
  return crop
}

/** The same in fractions: for framing trials, measured like any picture. */
export function cropOf(raster: Raster, { x, y, w, h }: { x: number; y: number; w: number; h: number }): Raster {
  return cropAt(raster, {
    x: Math.max(0, Math.round(x * raster.width)),
    y: Math.max(0, Math.round(y * raster.height)),
    width: Math.max(1, Math.round(w * raster.width)),
    height: Math.max(1, Math.round(h * raster.height))
  })
}
