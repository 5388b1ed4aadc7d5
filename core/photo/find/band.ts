/**
 * A smooth band around a rectangle, and grain beyond it: that is paper around a picture, and not the table that the
 * picture lies on, even where both have one colour.
 */
import { medianOf } from '../../numeric/median'
import type { Point } from '../../numeric/homography'
import type { EdgeMap } from './edges'

/** Beyond each side, of the diagonal: where paper would still be, and where the table is again. */
const NEAR = [0.009, 0.012],
  FAR = [0.04, 0.052]
/** Mean strength of edges that is smooth, and that is grain; and how much more of it there is beyond. */
const SMOOTH = 0.06,
  GRAIN = 0.15,
  TIMES = 3
const PLACES = 60

/** Mean strength of edges along a side, so far beyond it; null where that is hardly in the photograph. */
function beyond({ width, height, data }: EdgeMap, [p, q]: readonly [Point, Point], far: number): number | null {
  const length = Math.hypot(q.x - p.x, q.y - p.y),
    out = { x: ((q.y - p.y) / length) * far, y: (-(q.x - p.x) / length) * far }
  let sum = 0,
    count = 0
  for (let k = 0; k < PLACES; k++) {
    const t = (k + 0.5) / PLACES,
      x = Math.floor(p.x + t * (q.x - p.x) + out.x),
      y = Math.floor(p.y + t * (q.y - p.y) + out.y)
    if (x < 0 || y < 0 || x >= width || y >= height) continue
    sum += data[y * width + x]
    count++
  }
  return count > PLACES / 3 ? sum / count : null
}

/** @param corners clockwise, pixels of `edges`. @returns whether paper seems to go around it. */
export function hasBand(edges: EdgeMap, corners: readonly Point[]): boolean {
  const diagonal = Math.hypot(edges.width, edges.height)
  // Of the four sides the usual one: a hand lies over another.
  const usual = (distances: readonly number[]): number | null => {
    const found = corners.flatMap((p, i) =>
      distances.flatMap(d => beyond(edges, [p, corners[(i + 1) % 4]], d * diagonal) ?? [])
    )
    return found.length >= 4 ? medianOf(found) : null
  }
  const near = usual(NEAR),
    far = usual(FAR)
  return near !== null && far !== null && near < SMOOTH && far > GRAIN && far > TIMES * near
}
