/** Changing an area by one of its corners. */
import { boundsOf, type Area } from '~~/core/picture/area'
import type { Point } from '~~/shared/notes'

const clamp = (v: number): number => Math.min(1, Math.max(0, v))

/** @param corner index as `cornersOf` gives them. A box stays a box: the corner opposite stays where it is. */
export function shapedBy(area: Area, corner: number, to: Point): Area {
  const x = clamp(to.x),
    y = clamp(to.y)
  if (area.kind === 'polygon')
    return { kind: 'polygon', points: area.points.map((p, i) => (i === corner ? ([x, y] as const) : p)) }
  const fixedX = corner === 0 || corner === 3 ? area.x + area.w : area.x,
    fixedY = corner < 2 ? area.y + area.h : area.y
  return {
    kind: 'rectangle',
    x: Math.min(x, fixedX),
    y: Math.min(y, fixedY),
    w: Math.max(0.004, Math.abs(x - fixedX)),
    h: Math.max(0.004, Math.abs(y - fixedY))
  }
}

/** The area moved, held to the picture as far as its middle goes. */
export function movedBy(area: Area, dx: number, dy: number): Area {
  if (area.kind === 'rectangle')
    return {
      ...area,
      x: Math.min(1 - area.w, Math.max(0, area.x + dx)),
      y: Math.min(1 - area.h, Math.max(0, area.y + dy))
    }
  return { kind: 'polygon', points: area.points.map(([x, y]) => [clamp(x + dx), clamp(y + dy)] as const) }
}

/** The area grown or shrunk about its middle. */
export function grownBy(area: Area, times: number): Area {
  const { x, y, w, h } = boundsOf(area),
    cx = x + w / 2,
    cy = y + h / 2
  const grow = (v: number, middle: number): number => clamp(middle + times * (v - middle))
  if (area.kind === 'polygon')
    return { kind: 'polygon', points: area.points.map(([px, py]) => [grow(px, cx), grow(py, cy)] as const) }
  const x0 = grow(x, cx),
    y0 = grow(y, cy)
  return {
    kind: 'rectangle',
    x: x0,
    y: y0,
    w: Math.max(0.004, grow(x + w, cx) - x0),
    h: Math.max(0.004, grow(y + h, cy) - y0)
  }
}
