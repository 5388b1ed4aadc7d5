/** Small pictures of masses that a plan's amounts are tried on. */
import type { Place } from '../worksheet/worksheet'
import type { Amounts } from './plan'

/** One mass. @property of 0 the leader, which is the ground, 1 the assistant, 2 the accent. */
export interface Mass extends Place {
  readonly of: 0 | 1 | 2
}
/** Units of a try, which is three to two. */
export const TRY = { w: 120, h: 80 } as const

/** An accent of so much area, as square as its room lets it be. @param at where in the room, 0–1 each way. */
function accentIn(room: Place, area: number, at: readonly [number, number]): Mass {
  const h = Math.min(Math.sqrt(area), 0.9 * room.h),
    w = area / h
  return { x: room.x + at[0] * (room.w - w), y: room.y + at[1] * (room.h - h), w, h, of: 2 }
}

/**
 * Three arrangements of the amounts as planned: the assistant along the bottom with the accent above it; down a side
 * with the accent in three places; across the middle with the accent in it.
 * @returns masses from the back to the front, whose visible areas are the amounts.
 */
export function tryMasses([, assistant, accent]: Amounts): Mass[][] {
  const { w, h } = TRY,
    all = w * h,
    ground: Mass = { x: 0, y: 0, w, h, of: 0 }
  const side = w * assistant,
    beside = (i: number): Place => ({ x: side, y: (i * h) / 3, w: w - side, h: h / 3 }),
    across: Mass = { x: 0, y: (h * (1 - assistant - accent)) / 2, w, h: h * (assistant + accent), of: 1 }
  return [
    [
      ground,
      { x: 0, y: h * (1 - assistant), w, h: h * assistant, of: 1 },
      accentIn({ x: 0, y: 0, w, h: h * (1 - assistant) }, accent * all, [0.72, 0.5])
    ],
    [
      ground,
      { x: 0, y: 0, w: side, h, of: 1 },
      ...[0.3, 0.75, 0.5].map((x, i) => accentIn(beside(i), (accent * all) / 3, [x, 0.5]))
    ],
    [ground, across, accentIn(across, accent * all, [0.24, 0.5])]
  ]
}
