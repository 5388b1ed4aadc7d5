/** The hand on the wall: boxes, corner-by-corner areas, lassos and picked points, in fractions of the picture. */
import { simplify } from '~~/core/picture/simplify'
import type { Area, FractionPoint } from '~~/core/picture/area'
import type { StrokePoint } from '~~/core/picture/stroke'
import type { Point } from '~~/shared/notes'

/** A box or lasso smaller than this share of the picture is a slip of the hand. */
const LEAST = 0.004
/** A hand-drawn line is kept to this share of the picture's size. */
const TOLERANCE = 0.003

export interface DrawingHand {
  /** @param pressure 0–1, 0.5 where the hand has none to tell. */
  readonly press: (at: Point, pressure?: number) => void
  readonly move: (at: Point, pressure?: number) => void
  readonly lift: () => void
  /** Closes a corner-by-corner area. */
  readonly close: () => void
  readonly takeBack: () => void
}

const clamp = (v: number): number => Math.min(1, Math.max(0, v))
/** Points of a stroke at most: a long one is kept with every second, third … of its places, and always its last. */
const MOST = 250
function thinned(points: readonly StrokePoint[]): StrokePoint[] {
  const every = Math.ceil(points.length / MOST)
  return points.filter((_, i) => i % every === 0 || i === points.length - 1)
}
const polygon = (points: readonly FractionPoint[]): Area => ({ kind: 'polygon', points })

/** @param near whether two places are one to the hand: the first corner, clicked again, closes the area. */
export function useDrawing(near: (a: Point, b: Point) => boolean): DrawingHand {
  const pencil = usePencilStore()
  let start: Point | null = null
  let line: FractionPoint[] = []
  let stroke: StrokePoint[] = []
  watch(
    () => pencil.tool,
    () => {
      start = null
      line = []
    }
  )

  function boxTo({ x, y }: Point): void {
    const w = Math.abs(x - start!.x),
      h = Math.abs(y - start!.y)
    if (w > LEAST && h > LEAST)
      pencil.sketch = { kind: 'rectangle', x: Math.min(x, start!.x), y: Math.min(y, start!.y), w, h }
  }
  function close(): void {
    const kept = pencil.tool === 'lasso' ? simplify([...line, line[0]!], TOLERANCE).slice(0, -1) : line
    line = []
    if (kept.length >= 3) pencil.finish(polygon(kept))
    else pencil.sketch = null
  }
  return {
    press(raw, pressure = 0.5) {
      const at = { x: clamp(raw.x), y: clamp(raw.y) }
      if (pencil.tool === 'point') pencil.finish(at)
      else if (pencil.tool === 'polygon') {
        // The first corner again, or the last one twice, closes.
        if (line.length >= 3 && [line[0]!, line.at(-1)!].some(([x, y]) => near({ x, y }, at))) return close()
        line.push([at.x, at.y])
        pencil.sketch = polygon(line.slice())
      } else if (pencil.tool) {
        start = at
        line = [[at.x, at.y]]
        stroke = [[at.x, at.y, pressure]]
      }
    },
    move(raw, pressure = 0.5) {
      const at = { x: clamp(raw.x), y: clamp(raw.y) }
      if (pencil.tool === 'polygon' && line.length > 0) pencil.sketch = polygon([...line, [at.x, at.y]])
      if (!start) return
      if (pencil.tool === 'rectangle') boxTo(at)
      else if (pencil.tool === 'arrow') pencil.marking = { kind: 'arrow', from: [start.x, start.y], to: [at.x, at.y] }
      else if (pencil.tool === 'stroke') {
        stroke.push([at.x, at.y, pressure])
        pencil.marking = { kind: 'stroke', points: thinned(stroke) }
      } else if (pencil.tool === 'lasso') {
        line.push([at.x, at.y])
        if (line.length >= 3) pencil.sketch = polygon(line.slice())
      }
    },
    lift() {
      if (!start) return
      start = null
      if (pencil.tool === 'lasso') close()
      else if (pencil.tool === 'stroke' || pencil.tool === 'arrow') {
        if (pencil.marking) pencil.finish(pencil.marking)
      } else if (pencil.sketch) pencil.finish(pencil.sketch)
    },
    close: () => {
      if (pencil.tool === 'polygon') close()
    },
    takeBack() {
      line.pop()
      pencil.sketch = line.length > 0 ? polygon(line.slice()) : null
    }
  }
}
