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

/**
 * As large as the sheet is in the photograph: its longer sides, so that no pixel of it is lost; never more pixels than
 * the photograph has, whatever proportions were typed.
 */
export function flatSize(corners: readonly Point[], photo: Size, ratio: number): Size {
  const [a, b, c, d] = corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height })),
    length = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
  const across = Math.max(length(a, b), length(d, c)),
    down = Math.max(length(a, d), length(b, c)),
    most = Math.sqrt(photo.width * photo.height * ratio),
    width = Math.min(most, Math.max(across, down * ratio))
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

/** A correction, read now and then and drawn between: a row of it at a time, three numbers every `GRAIN` pixels. */
class GainRows {
  private readonly columns: number
  private readonly row: Float64Array
  private upper: Float64Array
  private lower: Float64Array
  private top = -1

  constructor(
    private readonly correction: Correction,
    private readonly size: Size
  ) {
    this.columns = Math.ceil(size.width / GRAIN) + 1
    ;[this.row, this.upper, this.lower] = [0, 1, 2].map(() => new Float64Array(3 * this.columns)) as [
      Float64Array,
      Float64Array,
      Float64Array
    ]
  }

  private read(to: Float64Array, y: number): void {
    for (let i = 0; i < this.columns; i++)
      this.correction((i * GRAIN) / this.size.width, y / this.size.height).forEach((gain, c) => (to[3 * i + c] = gain))
  }

  at(y: number): Float64Array {
    const top = y - (y % GRAIN),
      f = (y - top) / GRAIN
    if (top !== this.top) {
      this.read(this.upper, top)
      this.read(this.lower, top + GRAIN)
      this.top = top
    }
    for (let i = 0; i < this.row.length; i++) this.row[i] = this.upper[i] + f * (this.lower[i] - this.upper[i])
    return this.row
  }
}

interface Flat {
  readonly map: Homography
  readonly size: Size
  readonly correction?: Correction | null
  /** Light that each byte stands for, where it is not sRGB's. */
  readonly tone?: Float64Array
  /** Between the channels, by rows, after the correction. */
  readonly between?: readonly number[] | null
  /** Told 0–1. */
  readonly progress?: (share: number) => void
}

/** In linear light; places beyond the photograph repeat its border. */
export function straighten(
  photo: SourcePixels,
  { map, size, correction = null, tone: linear = LINEAR_OF_BYTE, between = null, progress = () => {} }: Flat
): Raster {
  const { width, height } = size,
    { data, channels } = photo,
    out = createRaster(width, height),
    each = coverOf(map, size),
    by = 1 / (each * each),
    row = photo.width * channels,
    [right, bottom] = [photo.width - 1.001, photo.height - 1.001],
    [h0, h1, h2, h3, h4, h5, h6, h7, h8] = map
  const gains = correction ? new GainRows(correction, size) : null
  for (let y = 0; y < height; y++) {
    const line = gains?.at(y)
    if (y % 64 === 0) progress(y / height)
    for (let x = 0; x < width; x++) {
      let r = 0,
        g = 0,
        b = 0,
        alpha = 255
      for (let j = 0; j < each; j++)
        for (let i = 0; i < each; i++) {
          const u = (x + (i + 0.5) / each) / width,
            v = (y + (j + 0.5) / each) / height,
            z = 1 / (h6 * u + h7 * v + h8)
          const px = Math.min(right, Math.max(0, (h0 * u + h1 * v + h2) * z - 0.5)),
            py = Math.min(bottom, Math.max(0, (h3 * u + h4 * v + h5) * z - 0.5)),
            ix = px | 0,
            iy = py | 0,
            fx = px - ix,
            fy = py - iy,
            at = iy * row + ix * channels
          const w11 = fx * fy,
            w10 = fx - w11,
            w01 = fy - w11,
            w00 = 1 - fx - w01
          // What belongs to nobody stays so: of the place itself, since half of a cut edge is no edge.
          if (channels === 4) alpha = data[at + 3]
          const next = at + channels,
            low = at + row,
            last = low + channels
          r += w00 * linear[data[at]] + w10 * linear[data[next]] + w01 * linear[data[low]] + w11 * linear[data[last]]
          g +=
            w00 * linear[data[at + 1]]
            + w10 * linear[data[next + 1]]
            + w01 * linear[data[low + 1]]
            + w11 * linear[data[last + 1]]
          b +=
            w00 * linear[data[at + 2]]
            + w10 * linear[data[next + 2]]
            + w01 * linear[data[low + 2]]
            + w11 * linear[data[last + 2]]
        }
      r *= by
      g *= by
      b *= by
      if (line) {
        const k = 3 * ((x / GRAIN) | 0),
          f = (x % GRAIN) / GRAIN
        r *= line[k] + f * (line[k + 3] - line[k])
        g *= line[k + 1] + f * (line[k + 4] - line[k + 1])
        b *= line[k + 2] + f * (line[k + 5] - line[k + 2])
      }
      if (between) {
        const [r0, g0, b0] = [r, g, b]
        r = Math.max(0, between[0] * r0 + between[1] * g0 + between[2] * b0)
        g = Math.max(0, between[3] * r0 + between[4] * g0 + between[5] * b0)
        b = Math.max(0, between[6] * r0 + between[7] * g0 + between[8] * b0)
      }
      const o = 4 * (y * width + x)
      out.data[o] = encodeByte(r < 1 ? r : 1)
      out.data[o + 1] = encodeByte(g < 1 ? g : 1)
      out.data[o + 2] = encodeByte(b < 1 ? b : 1)
      out.data[o + 3] = alpha
    }
  }
  progress(1)
  return out
}
