/** What was drawn on a sheet, at its place once the sheet was laid out of its photograph by other corners. */
import { carriedArea, carriedMark, carryBy, WHOLE, type Carry } from '../compare/carried'
import type { Mark } from '../critique/mark'
import { homographyOf, through, type Point } from '../numeric/homography'
import type { Area } from '../picture/area'
import { showsSomething, type Trial } from '../trial/trial'
import { FRAME, type PhotoSteps } from './steps'

/** From fractions of the sheet as it was to those of the sheet as it is; null where they are the same. */
export function relaidBy(before: PhotoSteps | null, after: PhotoSteps | null): Carry | null {
  const was = before?.corners ?? FRAME,
    is = after?.corners ?? FRAME
  if (was.every((p, i) => p.x === is[i].x && p.y === is[i].y)) return null
  const onSheet = homographyOf(is, WHOLE)
  return onSheet && carryBy(was.map(corner => through(onSheet, corner)))
}

/** Of a piece, all that has a place on its picture. */
export interface Drawn<C, N> {
  readonly areas: readonly { readonly id: number; readonly name: string; readonly area: Area }[]
  readonly corrections: readonly C[]
  readonly notes: N
}
interface Placed {
  readonly area: Area | null
  readonly mark: Mark | null
  readonly trial: Trial | null
}
interface Noted {
  readonly firstEye: Point | null
  readonly surroundings: Point | null
  readonly pairs: readonly { readonly lit: Point; readonly shadow: Point | null }[]
  readonly stops: readonly Area[]
}

/** What is no longer in the picture goes; a correction without its place is one for the picture as a whole. */
export function relaid<C extends Placed, N extends Noted>(
  { areas, corrections, notes }: Drawn<C, N>,
  by: Carry
): Drawn<C, N> {
  const point = (p: Point | null): Point | null => {
    const to = p && through(by, p)
    return to && to.x >= 0 && to.y >= 0 && to.x <= 1 && to.y <= 1 ? to : null
  }
  const trial = (tried: Trial | null): Trial | null => {
    if (!tried?.strokes) return tried
    const strokes = tried.strokes.flatMap(stroke => {
        const moved = carriedMark({ kind: 'stroke', points: stroke.points }, by)
        return moved?.kind === 'stroke' ? [{ ...stroke, points: moved.points }] : []
      }),
      shown = { ...tried, strokes }
    return showsSomething(shown) ? shown : null
  }
  return {
    areas: areas.flatMap(one => {
      const area = carriedArea(one.area, by)
      return area ? [{ ...one, area }] : []
    }),
    corrections: corrections.map(c => ({
      ...c,
      area: c.area && carriedArea(c.area, by),
      mark: c.mark && carriedMark(c.mark, by),
      trial: trial(c.trial)
    })),
    notes: {
      ...notes,
      firstEye: point(notes.firstEye),
      surroundings: point(notes.surroundings),
      pairs: notes.pairs.flatMap(pair => {
        const lit = point(pair.lit)
        return lit ? [{ ...pair, lit, shadow: point(pair.shadow) }] : []
      }),
      stops: notes.stops.flatMap(stop => carriedArea(stop, by) ?? [])
    }
  }
}
