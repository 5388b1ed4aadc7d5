/** Where one picture lies in another: maps between their middles, in half long edges, and the corners those give. */
import { homographyOf, through, type Homography, type Point } from '../numeric/homography'
import { halfOf } from './look'

export type Size = { readonly width: number; readonly height: number }

/** Corners of a picture in its own coordinates, clockwise from the top left. */
export function cornersOf(size: Size): Point[] {
  const half = halfOf(size),
    x = size.width / 2 / half,
    y = size.height / 2 / half
  return [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y }
  ]
}

/** How many times larger, by its half long edge, the old picture is in the new one's. */
export const grownBy = (map: Homography): number => Math.sqrt(Math.abs(map[0] * map[4] - map[1] * map[3])) || 1

/** Of the old picture's diagonal: how far apart two maps take its corners, at the worst. */
export function apart(size: Size, p: Homography, q: Homography): number {
  const corners = cornersOf(size),
    diagonal = Math.hypot(2 * corners[2].x, 2 * corners[2].y)
  // Measured in the old picture's size, whatever the scale between both.
  const grown = grownBy(p)
  return Math.max(
    ...corners.map(c => {
      const a = through(p, c),
        b = through(q, c)
      return Math.hypot(a.x - b.x, a.y - b.y) / grown / diagonal
    })
  )
}

/** A photograph held by hand: nothing turned over, no side a multiple of its opposite, no tiny or huge copy. */
export function sane(size: Size, map: Homography): boolean {
  const [a, b, c, d] = cornersOf(size).map(p => through(map, p))
  const side = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
  const turns = [
    [a, b, c],
    [b, c, d],
    [c, d, a],
    [d, a, b]
  ].map(([p, q, r]) => (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x))
  if (turns.some(t => !(t > 0))) return false
  const ratios = [side(a, b) / side(d, c), side(b, c) / side(a, d)].map(r => Math.max(r, 1 / r))
  const grown = Math.sqrt((turns[0] + turns[2]) / 2 / (4 * cornersOf(size)[2].x * cornersOf(size)[2].y))
  return Math.max(...ratios) < 1.6 && grown > 0.5 && grown < 2.1
}

/** The old picture's corners in the new one, clockwise from its top left: fractions of it. */
export function cornersIn(old: Size, next: Size, map: Homography): Point[] {
  const half = halfOf(next)
  return cornersOf(old)
    .map(p => through(map, p))
    .map(({ x, y }) => ({ x: (x * half) / next.width + 0.5, y: (y * half) / next.height + 0.5 }))
}

/** The map that gives these corners. @returns null where they are no picture's. */
export function mapOf(old: Size, next: Size, corners: readonly Point[]): Homography | null {
  const half = halfOf(next)
  return homographyOf(
    cornersOf(old),
    corners.map(({ x, y }) => ({ x: ((x - 0.5) * next.width) / half, y: ((y - 0.5) * next.height) / half }))
  )
}
