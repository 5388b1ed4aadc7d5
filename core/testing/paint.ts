/** Small pictures for tests: flat patches, in hex or linear light. */
import type { Raster } from '../picture/raster'
import { createRaster } from '../picture/raster'
import { convertLinearToByte, parseHex, type Rgb } from '../colour/srgb'

/** Fills a rectangle given in pixels. */
export function fill(
  raster: Raster,
  colour: string | Rgb,
  x = 0,
  y = 0,
  w = raster.width,
  h = raster.height,
  alpha = 255
): Raster {
  const bytes = typeof colour === 'string' ? parseHex(colour) : colour.map(convertLinearToByte)
  for (let row = y; row < y + h; row++) {
    for (let col = x; col < x + w; col++)
      raster.data.set([bytes[0], bytes[1], bytes[2], alpha], (row * raster.width + col) * 4)
  }
  return raster
}

/** Vertical stripes of equal or given width in pixels, left to right. */
export function stripes(
  colours: readonly (string | Rgb)[],
  widths: number | readonly number[] = 10,
  height = 20
): Raster {
  const each = colours.map((_, i) => (typeof widths === 'number' ? widths : widths[i]))
  const raster = createRaster(
    each.reduce((p, q) => p + q, 0),
    height
  )
  let x = 0
  colours.forEach((colour, i) => {
    fill(raster, colour, x, 0, each[i], height)
    x += each[i]
  })
  return raster
}
