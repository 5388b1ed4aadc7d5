/** What was marked on an old version, at its place on the new one. */
import type { Mark } from '../critique/mark'
import { homographyOf, through, type Homography, type Point } from '../numeric/homography'
import { boundsOf, cornersOf, type Area, type FractionPoint } from '../picture/area'

/** From fractions of the old picture to those of the new one. */
export type Carry = Homography

/** Corners of a picture that lies on another as a whole, fractions. */
export const WHOLE: readonly Point[] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 }
]
/** @param corners of the old picture in the new one, fractions. @returns null where they are no picture's. */
export const carryBy = (corners: readonly Point[]): Carry | null => homographyOf(WHOLE, corners)

/** What a hand may mark beyond the border, in fractions. */
const LEAST = -0.5,
  MOST = 1.5
const within = (v: number): number => Math.min(MOST, Math.max(LEAST, v))

function placed(by: Carry, [x, y]: FractionPoint): FractionPoint {
  const to = through(by, { x, y })
  return [within(to.x), within(to.y)]
}
const inside = (points: readonly FractionPoint[]): boolean =>
  points.some(([x]) => x < 1)
  && points.some(([x]) => x > 0)
  && points.some(([, y]) => y < 1)
  && points.some(([, y]) => y > 0)

/** Of a rectangle's sides, so much aslant is still a rectangle. */
const STRAIGHT = 0.004

/** @returns null where nothing of it is in the new picture. */
export function carriedArea(area: Area, by: Carry): Area | null {
  const points = cornersOf(area).map(p => placed(by, p))
  if (!inside(points)) return null
  const polygon: Area = { kind: 'polygon', points }
  if (area.kind === 'polygon') return polygon
  const [a, b, c, d] = points,
    aslant = Math.max(Math.abs(a[1] - b[1]), Math.abs(b[0] - c[0]), Math.abs(c[1] - d[1]), Math.abs(d[0] - a[0]))
  return aslant < STRAIGHT ? { kind: 'rectangle', ...boundsOf(polygon) } : polygon
}

/** @returns null where its place is not in the new picture. */
export function carriedMark(mark: Mark, by: Carry): Mark | null {
  switch (mark.kind) {
    case 'point': {
      const at = placed(by, mark.at)
      return inside([at]) ? { ...mark, at } : null
    }
    case 'arrow': {
      const to = placed(by, mark.to)
      return inside([to]) ? { ...mark, from: placed(by, mark.from), to } : null
    }
    case 'stroke': {
      const points = mark.points.map(([x, y, pressure]) => [...placed(by, [x, y]), pressure] as const)
      return inside(points.map(([x, y]) => [x, y])) ? { ...mark, points } : null
    }
  }
}
