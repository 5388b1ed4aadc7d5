/** Sides laid anew at a larger size: through the crests of the edges beside each, without what lies off. */
import type { Point } from '../../numeric/homography'
import type { EdgeMap } from './edges'

/** Along a side, pixels between places looked at, and its ends left out: corners may be round. */
const STEP = 5,
  ENDS = 0.07
/** To both sides, of the diagonal. */
const REACH = 0.008
/** Pixels off a line that still count as on it, and the share of places that it takes. */
const ON = 1.3,
  ENOUGH = 0.35
/** Direction within which an edge is the side's, radians. */
const ALONG = 0.2

interface Crest {
  /** Along the side and across it, pixels. */
  readonly t: number
  readonly off: number
  readonly weight: number
}

function crestsOf({ width, height, data, angle }: EdgeMap, p: Point, q: Point): Crest[] {
  const length = Math.hypot(q.x - p.x, q.y - p.y),
    along = { x: (q.x - p.x) / length, y: (q.y - p.y) / length },
    out = { x: along.y, y: -along.x },
    normal = Math.atan2(out.y, out.x),
    reach = REACH * Math.hypot(width, height)
  const crests: Crest[] = []
  for (let t = ENDS * length; t < (1 - ENDS) * length; t += STEP) {
    let best: Crest | null = null
    for (let off = -reach; off <= reach; off += 0.5) {
      const x = Math.floor(p.x + t * along.x + off * out.x),
        y = Math.floor(p.y + t * along.y + off * out.y)
      if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) continue
      const i = y * width + x,
        turned = Math.abs(((angle[i] - normal + 4.5 * Math.PI) % Math.PI) - Math.PI / 2)
      if (turned < ALONG && data[i] > (best?.weight ?? 0.15)) best = { t, off, weight: data[i] }
    }
    if (best) crests.push(best)
  }
  return crests
}

/** off = at + slope · t. @returns null where too few agree. */
function lineThrough(crests: readonly Crest[], places: number): { at: number; slope: number } | null {
  let best: Crest[] = [],
    most = 0
  const step = Math.max(1, Math.floor(crests.length / 40))
  for (let i = 0; i < crests.length; i += step)
    for (let j = i + step; j < crests.length; j += step) {
      const slope = (crests[j].off - crests[i].off) / (crests[j].t - crests[i].t)
      if (Math.abs(slope) > 0.06) continue
      const on = crests.filter(c => Math.abs(c.off - crests[i].off - slope * (c.t - crests[i].t)) < ON),
        weight = on.reduce((sum, c) => sum + c.weight, 0)
      if (weight > most) [best, most] = [on, weight]
    }
  if (best.length < Math.max(6, ENOUGH * places)) return null
  const n = best.length,
    t = best.reduce((sum, c) => sum + c.t, 0) / n,
    off = best.reduce((sum, c) => sum + c.off, 0) / n,
    spread = best.reduce((sum, c) => sum + (c.t - t) ** 2, 0)
  const slope = spread > 0 ? best.reduce((sum, c) => sum + (c.t - t) * (c.off - off), 0) / spread : 0
  return { at: off - slope * t, slope }
}

/** @param corners clockwise, pixels of `edges`. @returns them moved; a side that has no edge to speak of stays. */
export function refineCorners(edges: EdgeMap, corners: readonly Point[]): Point[] {
  const sides = corners.map((p, i) => {
    const q = corners[(i + 1) % 4],
      length = Math.hypot(q.x - p.x, q.y - p.y),
      along = { x: (q.x - p.x) / length, y: (q.y - p.y) / length },
      out = { x: along.y, y: -along.x },
      line = lineThrough(crestsOf(edges, p, q), ((1 - 2 * ENDS) * length) / STEP) ?? { at: 0, slope: 0 }
    const on = (t: number): Point => {
      const off = line.at + line.slope * t
      return { x: p.x + t * along.x + off * out.x, y: p.y + t * along.y + off * out.y }
    }
    return [on(0), on(length)] as const
  })
  return corners.map((corner, i) => crossing(sides[(i + 3) % 4], sides[i]) ?? corner)
}

function crossing([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): Point | null {
  const ux = b.x - a.x,
    uy = b.y - a.y,
    vx = d.x - c.x,
    vy = d.y - c.y,
    cross = ux * vy - uy * vx
  if (Math.abs(cross) < 1e-9) return null
  const t = ((c.x - a.x) * vy - (c.y - a.y) * vx) / cross
  return { x: a.x + t * ux, y: a.y + t * uy }
}
