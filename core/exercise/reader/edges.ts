/** A marker's corners to a fraction of a pixel: a line laid through each of its sides, and crossed with the next. */
import type { Raster } from '../../picture/raster'
import { medianOf } from '../../numeric/median'
import type { Point } from '../../numeric/homography'
import { lumaAt } from './luma'

/**
 * Along a side, places looked at, leaving out the rounded ends; across it, as a share of the side: not as far as the
 * marker's next module.
 */
const ALONG = 16,
  ENDS = 0.12,
  ACROSS = 0.085,
  STEPS = 24

/** @property width of the edge's rise, pixels: how sharp the photograph is. */
interface Crossing extends Point {
  readonly width: number
}

/**
 * Where brightness crosses half way between the marker's dark and the paper. @param out one pixel outward. @param reach
 * pixels.
 */
function crossing(
  photo: Raster,
  from: Point,
  { out, reach }: { readonly out: Point; readonly reach: number }
): Crossing | null {
  const profile = Array.from({ length: 2 * STEPS + 1 }, (_, i) => {
    const r = ((i - STEPS) / STEPS) * reach
    return lumaAt(photo, { x: from.x + out.x * r, y: from.y + out.y * r })
  })
  const dark = Math.min(...profile.slice(0, STEPS)),
    light = Math.max(...profile.slice(STEPS))
  if (light - dark < 25) return null
  const at = (share: number): number | null => {
    const level = dark + share * (light - dark)
    for (let i = 1; i < profile.length; i++)
      if (profile[i - 1] < level && profile[i] >= level)
        return ((i - 1 + (level - profile[i - 1]) / (profile[i] - profile[i - 1]) - STEPS) / STEPS) * reach
    return null
  }
  const half = at(0.5),
    low = at(0.2),
    high = at(0.8)
  if (half === null || low === null || high === null) return null
  return { x: from.x + out.x * half, y: from.y + out.y * half, width: Math.max(0, high - low) }
}

interface FittedLine {
  readonly through: Point
  /** Unit vector. */
  readonly along: Point
}

/** Total least squares, twice: the second time without what lies far from the first. */
function fitLine(points: readonly Point[]): FittedLine | null {
  let kept = points
  for (let round = 0; ; round++) {
    if (kept.length < 5) return null
    const x = kept.reduce((sum, p) => sum + p.x, 0) / kept.length,
      y = kept.reduce((sum, p) => sum + p.y, 0) / kept.length
    let xx = 0,
      xy = 0,
      yy = 0
    for (const p of kept) {
      xx += (p.x - x) ** 2
      xy += (p.x - x) * (p.y - y)
      yy += (p.y - y) ** 2
    }
    const turn = 0.5 * Math.atan2(2 * xy, xx - yy)
    const line = { through: { x, y }, along: { x: Math.cos(turn), y: Math.sin(turn) } }
    if (round === 1) return line
    const away = (p: Point): number => Math.abs((p.x - x) * line.along.y - (p.y - y) * line.along.x)
    const bound = Math.max(0.3, 2.5 * medianOf(points.map(away)))
    kept = points.filter(p => away(p) <= bound)
  }
}

function cross(p: FittedLine, q: FittedLine): Point | null {
  const det = p.along.x * q.along.y - p.along.y * q.along.x
  if (Math.abs(det) < 1e-6) return null
  const dx = q.through.x - p.through.x,
    dy = q.through.y - p.through.y,
    t = (dx * q.along.y - dy * q.along.x) / det
  return { x: p.through.x + t * p.along.x, y: p.through.y + t * p.along.y }
}

/**
 * @param corners of a marker as it was found, in order round it, pixels.
 * @returns the four, finer, or as they were where an edge is not seen; and how wide its edges are, pixels.
 */
export function refineCorners(photo: Raster, corners: readonly Point[]): { corners: Point[]; blur: number } {
  const middle = {
    x: corners.reduce((sum, p) => sum + p.x, 0) / 4,
    y: corners.reduce((sum, p) => sum + p.y, 0) / 4
  }
  const widths: number[] = []
  const sides = corners.map((p, i) => {
    const q = corners[(i + 1) % 4],
      length = Math.hypot(q.x - p.x, q.y - p.y)
    let out = { x: (q.y - p.y) / length, y: (p.x - q.x) / length }
    if ((p.x - middle.x) * out.x + (p.y - middle.y) * out.y < 0) out = { x: -out.x, y: -out.y }
    const points = Array.from({ length: ALONG }, (_, k) => {
      const t = ENDS + ((1 - 2 * ENDS) * k) / (ALONG - 1)
      return crossing(
        photo,
        { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) },
        { out, reach: Math.max(2.5, length * ACROSS) }
      )
    }).filter(c => c !== null)
    widths.push(...points.map(c => c.width))
    return fitLine(points)
  })
  const finer = corners.map((corner, i) => {
    const before = sides[(i + 3) % 4],
      after = sides[i]
    const found = before && after && cross(before, after)
    return found
      && Math.hypot(found.x - corner.x, found.y - corner.y)
        < 8 + 0.1 * Math.hypot(corners[0].x - corners[2].x, corners[0].y - corners[2].y)
      ? found
      : corner
  })
  return { corners: finer, blur: widths.length ? medianOf(widths) : Infinity }
}
