/** Changing an area by one of its corners. */
import type { Area } from '~~/core/picture/area'
import type { Point } from '~~/shared/notes'

const clamp = (v: number): number => Math.min(1, Math.max(0, v))

/** @param corner index as `cornersOf` gives them. A box stays a box: the corner opposite stays where it is. */
export function shapedBy(area: Area, corner: number, to: Point): Area {
  const x = clamp(to.x), y = clamp(to.y)
  if (area.kind === 'polygon') return { kind: 'polygon', points: area.points.map((p, i) => (i === corner ? [x, y] as const : p)) }
  const fixedX = corner === 0 || corner === 3 ? area.x + area.w : area.x, fixedY = corner < 2 ? area.y + area.h : area.y
  return { kind: 'rectangle', x: Math.min(x, fixedX), y: Math.min(y, fixedY), w: Math.max(0.004, Math.abs(x - fixedX)), h: Math.max(0.004, Math.abs(y - fixedY)) }
}
