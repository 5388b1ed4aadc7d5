/** How a correction is marked on the picture when it is not an area: a point, a freehand stroke, an arrow. */
import { cornersOf, discAt, tagCornerOf, type Area, type FractionPoint } from '../picture/area'
import { outlineOfStroke, type StrokePoint } from '../picture/stroke'

export type Mark =
  | { readonly kind: 'point'; readonly at: FractionPoint }
  | { readonly kind: 'stroke'; readonly points: readonly StrokePoint[] }
  | { readonly kind: 'arrow'; readonly from: FractionPoint; readonly to: FractionPoint }

export type MarkKind = Mark['kind']

interface Size {
  readonly width: number
  readonly height: number
}

/** What is measured about a point or an arrow's tip: a disc of this share of the diagonal. */
export const MARK_REACH = 0.02
/** Width of a marking stroke, as a share of the diagonal. */
const STROKE = 0.009
/** Length of an arrow's head, and how far its sides lean from the shaft. */
const HEAD = 0.028,
  LEAN = Math.PI / 7

/** What a mark measures: the disc about its place, or the stroke itself. */
export function areaOfMark(mark: Mark, size: Size): Area {
  switch (mark.kind) {
    case 'point':
      return discAt(mark.at[0], { y: mark.at[1], radius: MARK_REACH, size })
    case 'arrow':
      return discAt(mark.to[0], { y: mark.to[1], radius: MARK_REACH, size })
    case 'stroke':
      return outlineOfStroke(mark.points, STROKE, size)
  }
}

/** A place that a reading points at is marked with a ring of this share of the diagonal. */
const RING = 0.035
/** More places than these are not marked: the first say what is meant. */
const MOST_PLACES = 4

/**
 * The places that a reading points at as one area: rings in one outline, joined by lines without width, so that what is
 * measured there is what lies in the rings. Null without a place.
 */
export function areaOfPlaces(places: readonly { readonly x: number; readonly y: number }[], size: Size): Area | null {
  const rings = places.slice(0, MOST_PLACES).map(({ x, y }) => cornersOf(discAt(x, { y, radius: RING, size })))
  if (rings.length === 0) return null
  const out = rings.flatMap(ring => [...ring, ring[0]]),
    back = rings.slice(0, -1).map(ring => ring[0])
  return { kind: 'polygon', points: [...out, ...back.reverse()] }
}

/** Lines of a mark in fractions; a filled one is the stroke itself. */
export interface MarkLine {
  readonly points: readonly FractionPoint[]
  readonly closed: boolean
  readonly filled: boolean
}

/** What is drawn for a correction: its mark, or the outline of its area; nothing for words alone. */
export function linesOfMark(mark: Mark | null, area: Area | null, size: Size): readonly MarkLine[] {
  if (!mark) return area ? [{ points: cornersOf(area), closed: true, filled: false }] : []
  if (mark.kind !== 'arrow')
    return [{ points: cornersOf(areaOfMark(mark, size)), closed: true, filled: mark.kind === 'stroke' }]
  const { from, to } = mark,
    diagonal = Math.hypot(size.width, size.height),
    angle = Math.atan2((from[1] - to[1]) * size.height, (from[0] - to[0]) * size.width)
  const side = (by: number): FractionPoint => [
    to[0] + (HEAD * diagonal * Math.cos(angle + by)) / size.width,
    to[1] + (HEAD * diagonal * Math.sin(angle + by)) / size.height
  ]
  return [
    { points: [from, to], closed: false, filled: false },
    { points: [side(LEAN), to, side(-LEAN)], closed: false, filled: false }
  ]
}

/** Where a mark's tag is tied: an arrow's at its tail, so that it does not cover what is meant. */
export function tagPointOf(mark: Mark | null, area: Area): FractionPoint {
  if (mark?.kind === 'arrow') return mark.from
  if (mark?.kind === 'stroke') return [mark.points[0]![0], mark.points[0]![1]]
  return tagCornerOf(area)
}
