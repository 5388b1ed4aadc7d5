/**
 * Freehand strokes: smoothed, as wide as the hand pressed (outline by perfect-freehand), and their cover on a raster.
 */
import { getStroke } from 'perfect-freehand'
import { spansOf, type Area } from './area'
import { diagonalOf, type Raster } from './raster'
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, linearOfHex } from '../colour/srgb'
import { simplify } from './simplify'

/** A place the hand passed, in fractions of the picture, and how hard it pressed, 0–1; 0.5 where nothing is known. */
export type StrokePoint = readonly [x: number, y: number, pressure: number]

interface Size {
  readonly width: number
  readonly height: number
}

/** The outline is made in thousandths of the diagonal, so that a stroke has one shape at every size. */
const UNITS = 1000
/** Furthest the kept outline may lie from the one made, in those units. */
const TOLERANCE = 0.4

/**
 * @param width of the stroke, as a share of the diagonal. @returns its outline, which may cross itself: fill by the
 * non-zero rule.
 */
export function outlineOfStroke(points: readonly StrokePoint[], width: number, size: Size): Area & { kind: 'polygon' } {
  const sx = (UNITS * size.width) / diagonalOf(size),
    sy = (UNITS * size.height) / diagonalOf(size)
  const outline = getStroke(
    points.map(([x, y, pressure]) => [x * sx, y * sy, pressure]),
    { size: width * UNITS, thinning: 0.5, smoothing: 0.5, streamline: 0.3, simulatePressure: false, last: true }
  )
  const kept = simplify(
    outline.map(([x, y]) => [x!, y!] as const),
    TOLERANCE
  )
  return { kind: 'polygon', points: kept.map(([x, y]) => [x / sx, y / sy] as const) }
}

/** Rows and columns a pixel is divided into to tell how much of it is covered. */
const SUB = 4

/** Paints an opaque stroke over `data` in place, its edge blended in linear light. @param strength 0–1. */
export function paintOutline(
  { width, height, data }: Raster,
  { outline, hex, strength }: { readonly outline: Area; readonly hex: string; readonly strength: number }
): void {
  const { top, rows } = spansOf(outline, { width: SUB * width, height: SUB * height, rule: 'non-zero' }),
    paint = linearOfHex(hex)
  const cover = new Uint8Array(width)
  for (let y = Math.floor(top / SUB), last = Math.floor((top + rows.length - 1) / SUB); y <= last; y++) {
    cover.fill(0)
    for (let sub = 0; sub < SUB; sub++) {
      const row = rows[SUB * y + sub - top] ?? []
      for (let s = 0; s < row.length; s += 2) for (let x = row[s]!; x < row[s + 1]!; x++) cover[x >> 2]!++
    }
    for (let x = 0; x < width; x++) {
      if (cover[x] === 0) continue
      const w = (strength * cover[x]!) / (SUB * SUB),
        p = 4 * (y * width + x)
      for (let c = 0; c < 3; c++) {
        const under = LINEAR_OF_BYTE[data[p + c]!]!
        data[p + c] = BYTE_OF_LINEAR[Math.round(65536 * (under + w * (paint[c]! - under)))]!
      }
    }
  }
}
