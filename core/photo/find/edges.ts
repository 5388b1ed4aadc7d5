/** Where colour changes in a photograph, in which direction, and how much against what is usual thereabouts. */
import { blurPlane, boxPlane } from '../../picture/blur'
import { createPlane, type Plane } from '../../picture/plane'
import { planesOf } from '../../picture/planes'
import type { Raster } from '../../picture/raster'

/** @property strength 0–1. @property angle of the change, radians, −π/2 to π/2. */
export interface EdgeMap extends Plane {
  readonly angle: Float32Array
  /** OKLab, softened, L, a and b: 0–1 and about ±0.4. */
  readonly colour: readonly Float32Array[]
}

/** Softened by so many pixels, and the window that an edge is held against. */
const SOFT = 1,
  WINDOW = 9
/** Times what is usual there, and a change in OKLab a pixel, that count half. */
const USUAL = 1.2,
  /** More of it in a window is one edge, and no grain. */
  STRONG = 0.03,
  FAINT = 0.006

/** @param photo reduced. */
export function edgesOf(photo: Raster): EdgeMap {
  const { width, height } = photo,
    size = { width, height, scratch: new Float32Array(width * height) },
    { lightness, a, b } = planesOf(photo),
    colour = [lightness, a, b].map(plane => plane.slice())
  for (const plane of colour) blurPlane(plane, { ...size, sigma: SOFT })
  const { data: strength } = createPlane(width, height),
    angle = new Float32Array(width * height)
  for (let y = 1; y < height - 1; y++)
    for (let x = 1, i = y * width + 1; x < width - 1; x++, i++) {
      // The direction in which all three together change most (S. Di Zenzo, "A note on the gradient of a multi-image",
      // Computer Vision, Graphics, and Image Processing 33, 1986).
      let xx = 0,
        yy = 0,
        xy = 0
      for (const plane of colour) {
        const dx = 0.5 * (plane[i + 1] - plane[i - 1]),
          dy = 0.5 * (plane[i + width] - plane[i - width])
        xx += dx * dx
        yy += dy * dy
        xy += dx * dy
      }
      const turn = 0.5 * Math.atan2(2 * xy, xx - yy)
      angle[i] = turn
      strength[i] = Math.sqrt(Math.max(0, 0.5 * (xx + yy + Math.sqrt((xx - yy) ** 2 + 4 * xy * xy))))
    }
  const usual = strength.map(v => Math.min(v, STRONG))
  boxPlane(usual, { ...size, sigma: WINDOW })
  for (let i = 0; i < strength.length; i++) strength[i] = strength[i] / (strength[i] + USUAL * usual[i] + FAINT)
  return { width, height, data: strength, angle, colour }
}
