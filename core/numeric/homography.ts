/**
 * Maps of the plane that keep straight lines straight: from a flat sheet to its photograph, from one version to
 * another.
 */
import { leastSquares } from './solve'

export interface Point {
  readonly x: number
  readonly y: number
}
/** Nine numbers by rows, the last of them 1. */
export type Homography = readonly number[]

export function through(h: Homography, { x, y }: Point): Point {
  const w = h[6] * x + h[7] * y + h[8]
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w }
}

/** Moves points to about the origin and unit size: what keeps the equations well conditioned. */
function scaling(points: readonly Point[]): { readonly x: number; readonly y: number; readonly by: number } {
  const x = points.reduce((sum, p) => sum + p.x, 0) / points.length,
    y = points.reduce((sum, p) => sum + p.y, 0) / points.length
  const spread = points.reduce((sum, p) => sum + Math.hypot(p.x - x, p.y - y), 0) / points.length
  return { x, y, by: Math.SQRT2 / (spread || 1) }
}

/**
 * Of least squares over four points or more: the normalised direct linear transform (R. Hartley, "In defense of the
 * eight-point algorithm", IEEE PAMI 19(6), 1997, for the scaling). @returns null when the points do not decide it.
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | null {
  const s = scaling(from),
    t = scaling(to)
  const rows: number[][] = [],
    wanted: number[] = []
  from.forEach((p, i) => {
    const x = (p.x - s.x) * s.by,
      y = (p.y - s.y) * s.by,
      u = (to[i].x - t.x) * t.by,
      v = (to[i].y - t.y) * t.by
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y])
    wanted.push(u, v)
  })
  const g = leastSquares(rows, wanted)
  if (!g) return null
  const scaled = [...g, 1]
  // Undone: to-scaling⁻¹ · scaled · from-scaling.
  const right = times(scaled, [s.by, 0, -s.by * s.x, 0, s.by, -s.by * s.y, 0, 0, 1])
  const all = times([1 / t.by, 0, t.x, 0, 1 / t.by, t.y, 0, 0, 1], right)
  return all.map(v => v / all[8])
}

/** First q, then p. */
export function times(p: Homography, q: Homography): number[] {
  return Array.from({ length: 9 }, (_, i) => {
    const row = 3 * Math.floor(i / 3),
      col = i % 3
    return p[row] * q[col] + p[row + 1] * q[col + 3] + p[row + 2] * q[col + 6]
  })
}

/** @returns the way back; null where there is none. */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography | null {
  const by = [e * i - f * h, c * h - b * i, b * f - c * e, f * g - d * i, a * i - c * g, c * d - a * f]
  const last = [d * h - e * g, b * g - a * h, a * e - b * d],
    all = [...by, ...last]
  return Math.abs(last[2]) < 1e-12 ? null : all.map(v => v / last[2])
}
