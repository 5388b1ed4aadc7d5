/**
 * Paper around a picture: the picture's own frame is the strongest rectangle there is, and the sheet's edge, a white on
 * a light table, a weak one. What is looked for is a rectangle about it with nothing in between.
 */
import type { Point } from '../../numeric/homography'
import type { EdgeMap } from './edges'
import type { Quad } from './quads'

/** Each side lies so far out, of the diagonal. */
const NEAREST = 0.006,
  FARTHEST = 0.11
/** The widest strip of paper against the narrowest, seen aslant. */
const UNEVEN = 2.8
/** Of each side, what has to be an edge; and how much less the whole may say than the picture's frame does. */
const EDGE = 0.5,
  LESS = 0.18
/** Between both, mean strength of edges: paper is plain. */
const PLAIN = 0.17
/** And how like the table it may be. */
const TABLE = 0.4
const PLACES = 14
/**
 * Sides that both share, strips that are hardly more than an edge, of the diagonal; and an edge that is there nearly
 * all along.
 */
const SHARED = 0.004,
  NARROW = 0.016,
  GOOD = 0.8

/** How far a point lies outside the side p–q of a clockwise quad. */
function outside(point: Point, p: Point, q: Point): number {
  const length = Math.hypot(q.x - p.x, q.y - p.y)
  return ((point.x - p.x) * (q.y - p.y) - (point.y - p.y) * (q.x - p.x)) / length
}

function stripsOf(inner: Quad, outer: Quad): number[] {
  return inner.corners.map((p, i) => {
    const q = inner.corners[(i + 1) % 4]
    return Math.min(outside(outer.corners[i], p, q), outside(outer.corners[(i + 1) % 4], p, q))
  })
}

interface Strip {
  readonly side: number
  readonly size: EdgeMap
}

/** Mean of something in the middle of one side's strip. */
function inStrip(
  of: Float32Array,
  [inner, outer]: readonly [Quad, Quad],
  { side, size: { width, height } }: Strip
): number {
  const next = (side + 1) % 4,
    [p, q] = [inner.corners[side], inner.corners[next]],
    [r, s] = [outer.corners[side], outer.corners[next]]
  let sum = 0,
    count = 0
  for (let k = 0; k < PLACES; k++) {
    const t = (k + 0.5) / PLACES
    for (const by of [0.4, 0.5, 0.6]) {
      const x = Math.floor((1 - by) * (p.x + t * (q.x - p.x)) + by * (r.x + t * (s.x - r.x))),
        y = Math.floor((1 - by) * (p.y + t * (q.y - p.y)) + by * (r.y + t * (s.y - r.y)))
      if (x < 0 || y < 0 || x >= width || y >= height) continue
      sum += of[y * width + x]
      count++
    }
  }
  return count ? sum / count : 1
}

/** @param all the best first. @returns null where there is none. */
export function paperAround(
  picture: Quad,
  all: readonly Quad[],
  { edges, table }: { edges: EdgeMap; table: Float32Array }
): Quad | null {
  const diagonal = Math.hypot(edges.width, edges.height)
  return (
    all.find(outer => {
      if (outer.score < picture.score - LESS || Math.min(...outer.edges) < EDGE) return false
      const strips = stripsOf(picture, outer).map(s => s / diagonal)
      if (strips.some(s => s < -SHARED || (s > SHARED && s < NEAREST) || s > FARTHEST)) return false
      const beyond = [0, 1, 2, 3].filter(i => strips[i] >= NEAREST),
        widths = beyond.map(i => strips[i])
      if (beyond.length < 2 || Math.max(...widths) > UNEVEN * Math.min(...widths)) return false
      return beyond.every(side => {
        const mean = (of: Float32Array): number => inStrip(of, [picture, outer], { side, size: edges })
        // Where some sides are shared, what lies between has to be no table.
        if (beyond.length < 4 && mean(table) > TABLE) return false
        // A narrow strip is hardly more than its two edges: those have to be good ones.
        return strips[side] < NARROW ? outer.edges[side] > GOOD : mean(edges.data) < PLAIN
      })
    }) ?? null
  )
}
