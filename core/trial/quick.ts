/**
 * Trials fast enough to follow a slider: a table over the cube of encoded colours, read between its corners by
 * tetrahedra (J. M. Kasson et al., "Performing color space conversions with three-dimensional linear interpolation",
 * Journal of Electronic Imaging 4(3), 1995). A few bytes off where the gamut ends; what is kept is always the exact
 * picture.
 */
import { convertLinearToSrgb, convertSrgbToLinear, BYTE_OF_LINEAR, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { wordsOf, type Raster } from '../picture/raster'
import type { Reach } from './reach'

/** Puts one linear colour through the operations, into `out`. */
export type Changer = (R: number, G: number, B: number, out: Float64Array) => void

/** Colours a side. */
const SIDE = 17
const STEP_R = 3 * SIDE * SIDE,
  STEP_G = 3 * SIDE,
  STEP_B = 3
/** For each byte: the corner under it, and how far it lies beyond. */
const CORNER = Int32Array.from({ length: 256 }, (_, byte) => Math.min(SIDE - 2, Math.floor((byte * (SIDE - 1)) / 255)))
const BEYOND = Float32Array.from({ length: 256 }, (_, byte) => (byte * (SIDE - 1)) / 255 - CORNER[byte]!)

/** Changed colours as encoded bytes with their fractions, at every corner of the cube. */
export function quickTable(change: Changer, light: Rgb): Float32Array {
  const table = new Float32Array(SIDE ** 3 * 3),
    made = new Float64Array(3)
  const linear = Array.from({ length: SIDE }, (_, i) => convertSrgbToLinear(i / (SIDE - 1)))
  for (let r = 0, t = 0; r < SIDE; r++)
    for (let g = 0; g < SIDE; g++)
      for (let b = 0; b < SIDE; b++, t += 3) {
        change(linear[r]!, linear[g]!, linear[b]!, made)
        for (let c = 0; c < 3; c++)
          table[t + c] = 255 * convertLinearToSrgb(Math.min(1, Math.max(0, made[c]! * light[c]!)))
      }
  return table
}

/** Blends the table's colours over the reach, by the weights, in linear light. */
export function blendQuick(
  raster: Raster,
  out: Raster,
  {
    region: { x0, y0, x1, y1 },
    weights,
    table
  }: { readonly region: Reach; readonly weights: Float32Array; readonly table: Float32Array }
): void {
  const from = wordsOf(raster.data),
    to = wordsOf(out.data),
    corner = CORNER,
    beyond = BEYOND,
    linear = LINEAR_OF_BYTE,
    byteOf = BYTE_OF_LINEAR
  for (let y = y0, at = 0; y < y1; y++) {
    for (let i = y * raster.width + x0, end = y * raster.width + x1; i < end; i++, at++) {
      const w = weights[at]!
      if (w < 0.002) continue
      const word = from[i]!,
        red = word & 255,
        green = (word >>> 8) & 255,
        blue = (word >>> 16) & 255
      const r = beyond[red]!,
        g = beyond[green]!,
        b = beyond[blue]!,
        o = STEP_R * corner[red]! + STEP_G * corner[green]! + STEP_B * corner[blue]!,
        far = o + STEP_R + STEP_G + STEP_B
      // From the near corner to the far one along the three edges, the longest way first.
      let p: number, q: number, most: number, mid: number, least: number
      if (r >= g) {
        if (g >= b) {
          p = o + STEP_R
          q = p + STEP_G
          most = r
          mid = g
          least = b
        } else if (r >= b) {
          p = o + STEP_R
          q = p + STEP_B
          most = r
          mid = b
          least = g
        } else {
          p = o + STEP_B
          q = p + STEP_R
          most = b
          mid = r
          least = g
        }
      } else if (r >= b) {
        p = o + STEP_G
        q = p + STEP_R
        most = g
        mid = r
        least = b
      } else if (g >= b) {
        p = o + STEP_G
        q = p + STEP_B
        most = g
        mid = b
        least = r
      } else {
        p = o + STEP_B
        q = p + STEP_G
        most = b
        mid = g
        least = r
      }
      const wo = 1 - most,
        wp = most - mid,
        wq = mid - least
      let R = (wo * table[o]! + wp * table[p]! + wq * table[q]! + least * table[far]! + 0.5) | 0
      let G = (wo * table[o + 1]! + wp * table[p + 1]! + wq * table[q + 1]! + least * table[far + 1]! + 0.5) | 0
      let B = (wo * table[o + 2]! + wp * table[p + 2]! + wq * table[q + 2]! + least * table[far + 2]! + 0.5) | 0
      if (w < 0.998) {
        R = byteOf[((linear[red]! + w * (linear[R]! - linear[red]!)) * 65536 + 0.5) | 0]!
        G = byteOf[((linear[green]! + w * (linear[G]! - linear[green]!)) * 65536 + 0.5) | 0]!
        B = byteOf[((linear[blue]! + w * (linear[B]! - linear[blue]!)) * 65536 + 0.5) | 0]!
      }
      to[i] = (word & 0xff000000) | (B << 16) | (G << 8) | R
    }
  }
}
