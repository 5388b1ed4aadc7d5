/** EXIF orientation, applied to a raster (EXIF 2.32, tag 0x0112). */
import { createRaster, type Raster } from './raster'

/** Where the source pixel for target (x, y) lies, for each of the eight orientations; w and h are the source's. */
const SOURCE: Readonly<Record<number, (x: number, y: number, w: number, h: number) => [number, number]>> = {
  2: (x, y, w) => [w - 1 - x, y],
  3: (x, y, w, h) => [w - 1 - x, h - 1 - y],
  4: (x, y, _w, h) => [x, h - 1 - y],
  5: (x, y) => [y, x],
  6: (x, y, _w, h) => [y, h - 1 - x],
  7: (x, y, w, h) => [w - 1 - y, h - 1 - x],
  8: (x, y, w) => [w - 1 - y, x]
}

/** Whether an orientation exchanges width and height. */
export const swapsAxes = (orientation: number): boolean => orientation >= 5 && orientation <= 8

/** @param orientation 1–8; anything else is taken as 1, upright. */
export function orient(raster: Raster, orientation: number): Raster {
  const source = SOURCE[orientation]
  if (!source) return raster
  const { width: w, height: h } = raster
  const turned = swapsAxes(orientation) ? createRaster(h, w) : createRaster(w, h)
  const from = new Uint32Array(raster.data.buffer, raster.data.byteOffset, w * h)
  const to = new Uint32Array(turned.data.buffer)
  for (let y = 0, i = 0; y < turned.height; y++) {
    for (let x = 0; x < turned.width; x++, i++) {
      const [sx, sy] = source(x, y, w, h)
      to[i] = from[sy * w + sx]
    }
  }
  return turned
}
