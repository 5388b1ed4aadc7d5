/** Fewer points for a hand-drawn line: U. Ramer 1972, D. Douglas and T. Peucker, Cartographica 10(2), 1973. */
import type { FractionPoint } from './area'

/** @param tolerance furthest a left-out point may lie from the line that stands for it, in the points' own unit. */
export function simplify(points: readonly FractionPoint[], tolerance: number): FractionPoint[] {
  if (points.length < 3) return [...points]
  const [x0, y0] = points[0]!,
    [x1, y1] = points[points.length - 1]!
  const length = Math.hypot(x1 - x0, y1 - y0)
  let furthest = 0,
    most = 0
  for (let i = 1; i < points.length - 1; i++) {
    const [x, y] = points[i]!
    // A line drawn back to its start has no length: distance from the point stands for distance from the line.
    const away =
      length < 1e-9 ? Math.hypot(x - x0, y - y0) : Math.abs((x1 - x0) * (y0 - y) - (x0 - x) * (y1 - y0)) / length
    if (away > most) {
      most = away
      furthest = i
    }
  }
  if (most <= tolerance) return [points[0]!, points[points.length - 1]!]
  return [
    ...simplify(points.slice(0, furthest + 1), tolerance).slice(0, -1),
    ...simplify(points.slice(furthest), tolerance)
  ]
}
