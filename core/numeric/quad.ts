/** Four corners, clockwise. */
import type { Point } from './homography'

export const middleOf = ([a, , c]: readonly Point[]): Point => ({ x: (a.x + c.x) / 2, y: (a.y + c.y) / 2 })

/** Whether a place lies between them. */
export const liesIn = (corners: readonly Point[], { x, y }: Point): boolean =>
  corners.every((a, i) => {
    const b = corners[(i + 1) % corners.length]
    return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) > 0
  })
