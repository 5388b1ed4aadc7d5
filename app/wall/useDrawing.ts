/** The hand on the wall: boxes, corner-by-corner areas, lassos and picked points, in fractions of the picture. */
import { simplify } from '~~/core/picture/simplify'
import type { Area, FractionPoint } from '~~/core/picture/area'
import type { Point } from '~~/shared/notes'

/** A box or lasso smaller than this share of the picture is a slip of the hand. */
const LEAST = 0.004
/** A hand-drawn line is kept to this share of the picture's size. */
const TOLERANCE = 0.003

export interface DrawingHand {
  readonly press: (at: Point) => void
  readonly move: (at: Point) => void
  readonly lift: () => void
  /** Closes a corner-by-corner area. */
  readonly close: () => void
  readonly takeBack: () => void
}

const clamp = (v: number): number => Math.min(1, Math.max(0, v))
const polygon = (points: readonly FractionPoint[]): Area => ({ kind: 'polygon', points })

/** @param near whether two places are one to the hand: the first corner, clicked again, closes the area. */
export function useDrawing(near: (a: Point, b: Point) => boolean): DrawingHand {
  const bench = useBenchStore()
  let start: Point | null = null
  let line: FractionPoint[] = []
  watch(() => bench.tool, () => {
    start = null
    line = []
  })

  function boxTo({ x, y }: Point): void {
    const w = Math.abs(x - start!.x), h = Math.abs(y - start!.y)
    if (w > LEAST && h > LEAST) bench.sketch = { kind: 'rectangle', x: Math.min(x, start!.x), y: Math.min(y, start!.y), w, h }
  }
  function close(): void {
    const kept = bench.tool === 'lasso' ? simplify([...line, line[0]!], TOLERANCE).slice(0, -1) : line
    line = []
    if (kept.length >= 3) bench.finishDrawing(polygon(kept))
    else bench.sketch = null
  }
  return {
    press(raw) {
      const at = { x: clamp(raw.x), y: clamp(raw.y) }
      if (bench.tool === 'point') bench.finishDrawing(at)
      else if (bench.tool === 'polygon') {
        // The first corner again, or the last one twice, closes.
        if (line.length >= 3 && [line[0]!, line.at(-1)!].some(([x, y]) => near({ x, y }, at))) return close()
        line.push([at.x, at.y])
        bench.sketch = polygon(line.slice())
      } else if (bench.tool) {
        start = at
        line = [[at.x, at.y]]
      }
    },
    move(raw) {
      const at = { x: clamp(raw.x), y: clamp(raw.y) }
      if (bench.tool === 'polygon' && line.length > 0) bench.sketch = polygon([...line, [at.x, at.y]])
      if (!start) return
      if (bench.tool === 'rectangle') boxTo(at)
      else if (bench.tool === 'lasso') {
        line.push([at.x, at.y])
        if (line.length >= 3) bench.sketch = polygon(line.slice())
      }
    },
    lift() {
      if (!start) return
      start = null
      if (bench.tool === 'lasso') close()
      else if (bench.sketch) bench.finishDrawing(bench.sketch)
    },
    close: () => { if (bench.tool === 'polygon') close() },
    takeBack() {
      line.pop()
      bench.sketch = line.length > 0 ? polygon(line.slice()) : null
    }
  }
}
