/**
 * A photographed sheet laid flat: perspective, white and uneven light taken out in one step from the original's own
 * pixels, so that nothing is resampled twice.
 */
import { encodeByte, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { homographyOf, through, type Homography, type Point } from '../numeric/homography'
import { createRaster, type Raster } from '../picture/raster'
import type { SourcePixels } from '../picture/resample'
import { rectangleOf } from './find/rectangle'

type Size = { readonly width: number; readonly height: number }

/** Linear light that a place of the flat sheet is multiplied by, fractions of it. */
export type Correction = (u: number, v: number) => Rgb

/** @param ratio width over height, as it was typed. @returns width over height of the sheet itself. */
export function ratioOf(corners: readonly Point[] | null, photo: Size, ratio: number | null): number {
  if (ratio) return ratio
  if (!corners) return photo.width / photo.height
  const pixels = corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height }))
  return rectangleOf(pixels, photo)?.ratio ?? photo.width / photo.height
}

/** As large as the sheet is in the photograph: its longer sides, so that no pixel of it is lost. */
export function flatSize(corners: readonly Point[], photo: Size, ratio: number): Size {
  const [a, b, c, d] = corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height })),
    length = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
  const across = Math.max(length(a, b), length(d, c)),
    down = Math.max(length(a, d), length(b, c)),
    width = Math.max(across, down * ratio)
  return { width: Math.max(1, Math.round(width)), height: Math.max(1, Math.round(width / ratio)) }
}

/** From fractions of the flat sheet to pixels of the photograph. @returns null where the corners are no sheet's. */
export const flatMap = (corners: readonly Point[], photo: Size): Homography | null =>
  homographyOf(
    [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 }
    ],
    corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height }))
  )

/** Pixels of the photograph that one of the flat sheet covers, along each axis at the most: samples that are taken. */
const MOST = 8
const coverOf = (map: Homography, size: Size): number => {
  const a = through(map, { x: 0.5, y: 0.5 }),
    b = through(map, { x: 0.5 + 1 / size.width, y: 0.5 }),
    c = through(map, { x: 0.5, y: 0.5 + 1 / size.height })
  return Math.min(
    MOST,
    Math.max(1, Math.round(Math.max(Math.hypot(b.x - a.x, b.y - a.y), Math.hypot(c.x - a.x, c.y - a.y))))
  )
}

/** How far the correction is read, in pixels: between, by straight lines. */
const GRAIN = 16

interface Flat {
  readonly map: Homography
  readonly size: Size
  readonly correction?: Correction | null
  /** Told 0–1. */
  readonly progress?: (share: number) => void
}

/** In linear light; places beyond the photograph repeat its border. */
export function straighten(photo: SourcePixels, { map, size, correction = null, progress = () => {} }: Flat): Raster {
  const { width, height } = size,
    { data, channels } = photo,
    out = createRaster(width, height),
    each = coverOf(map, size),
    samples = each * each,
    w = photo.width,
    h = photo.height,
    row = w * channels
  const columns = Math.ceil(width / GRAIN) + 1,
    gains = new Float64Array(6 * columns)
  const readGains = (y: number): void => {
    for (let half = 0; half < 2; half++)
      for (let i = 0; i < columns; i++) {
        const gain = correction!((i * GRAIN) / width, (y + half * GRAIN) / height)
        for (let c = 0; c < 3; c++) gains[6 * i + 3 * half + c] = gain[c]
      }
  }
  for (let y = 0; y < height; y++) {
    if (correction && y % GRAIN === 0) readGains(y)
    if (y % 64 === 0) progress(y / height)
    const below = (y % GRAIN) / GRAIN
    for (let x = 0; x < width; x++) {
      let r = 0,
        g = 0,
        b = 0
      for (let j = 0; j < each; j++)
        for (let i = 0; i < each; i++) {
          const u = (x + (i + 0.5) / each) / width,
            v = (y + (j + 0.5) / each) / height,
            z = map[6] * u + map[7] * v + map[8]
          const px = Math.min(w - 1.001, Math.max(0, (map[0] * u + map[1] * v + map[2]) / z - 0.5)),
            py = Math.min(h - 1.001, Math.max(0, (map[3] * u + map[4] * v + map[5]) / z - 0.5)),
            ix = px | 0,
            iy = py | 0,
            fx = px - ix,
            fy = py - iy,
            at = iy * row + ix * channels
          const w11 = fx * fy,
            w10 = fx - w11,
            w01 = fy - w11,
            w00 = 1 - fx - w01
          const next = at + channels,
            low = at + row,
            last = low + channels
          r +=
            w00 * LINEAR_OF_BYTE[data[at]]
            + w10 * LINEAR_OF_BYTE[data[next]]
            + w01 * LINEAR_OF_BYTE[data[low]]
            + w11 * LINEAR_OF_BYTE[data[last]]
          g +=
            w00 * LINEAR_OF_BYTE[data[at + 1]]
            + w10 * LINEAR_OF_BYTE[data[next + 1]]
            + w01 * LINEAR_OF_BYTE[data[low + 1]]
            + w11 * LINEAR_OF_BYTE[data[last + 1]]
          b +=
            w00 * LINEAR_OF_BYTE[data[at + 2]]
            + w10 * LINEAR_OF_BYTE[data[next + 2]]
            + w01 * LINEAR_OF_BYTE[data[low + 2]]
            + w11 * LINEAR_OF_BYTE[data[last + 2]]
        }
      const o = 4 * (y * width + x)
      let [by0, by1, by2] = [1 / samples, 1 / samples, 1 / samples]
      if (correction) {
        const k = 6 * ((x / GRAIN) | 0),
          across = (x % GRAIN) / GRAIN
        const gain = (c: number): number =>
          (gains[k + c] * (1 - across) + gains[k + 6 + c] * across) * (1 - below)
          + (gains[k + 3 + c] * (1 - across) + gains[k + 9 + c] * across) * below
        by0 *= gain(0)
        by1 *= gain(1)
        by2 *= gain(2)
      }
      out.data[o] = encodeByte(Math.min(1, r * by0))
      out.data[o + 1] = encodeByte(Math.min(1, g * by1))
      out.data[o + 2] = encodeByte(Math.min(1, b * by2))
      out.data[o + 3] = 255
    }
  }
  progress(1)
  return out
}
