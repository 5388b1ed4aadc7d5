/** How lines and words are drawn over a picture: a light casing under a dark core shows on any. */
import type Konva from 'konva'
import type { MarkLine } from '~~/core/critique/mark'
import { cornersOf, type Area } from '~~/core/picture/area'
import { GREYS } from '~/theme/greys'
import type { WallFrame } from './frame'

export const INK = GREYS.l5,
  CASING = GREYS.l96

type Fractions = readonly (readonly [number, number])[]
const onWall = (frame: WallFrame, points: Fractions): number[] => points.flatMap(([x, y]) => frame.toWall(x, y))

/** An area's outline. @param open as while its corners are still being set. */
export function outlineOf(
  frame: WallFrame,
  area: Area,
  { dash = [], open = false }: { readonly dash?: number[]; readonly open?: boolean } = {}
): Konva.LineConfig[] {
  const closed = !open,
    points = onWall(frame, cornersOf(area))
  return [
    { points, closed, stroke: CASING, strokeWidth: 3.5, dash, listening: false },
    { points, closed, stroke: INK, strokeWidth: 1.4, dash, listening: false }
  ]
}

/** A correction's own lines; a stroke is filled, its casing around it. */
export const markLinesOf = (frame: WallFrame, lines: readonly MarkLine[]): Konva.LineConfig[] =>
  lines.flatMap<Konva.LineConfig>(({ points, closed, filled }) => {
    const at = onWall(frame, points)
    return filled
      ? [{ points: at, closed, fill: INK, stroke: CASING, strokeWidth: 1.5, listening: false }]
      : [
          { points: at, closed, stroke: CASING, strokeWidth: 4, listening: false, lineJoin: 'round' },
          { points: at, closed, stroke: INK, strokeWidth: 1.8, listening: false, lineJoin: 'round' }
        ]
  })

/** Filled in one colour, as a brush would. */
export const filledLine = (frame: WallFrame, points: Fractions, fill: string): Konva.LineConfig => ({
  points: onWall(frame, points),
  closed: true,
  fill,
  listening: false
})

export const labelOf = (text: string, x: number, y: number): Konva.TextConfig => ({
  text,
  x,
  y,
  fontSize: 13,
  fontStyle: '600',
  fontFamily: 'Instrument Sans Variable',
  fill: CASING
})
