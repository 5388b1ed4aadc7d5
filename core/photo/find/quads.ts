/**
 * Four lines that might be a sheet's: each side judged by how much of it is an edge, and by whether what lies beyond it
 * is the table and what lies within is not.
 */
import type { Point } from '../../numeric/homography'
import type { EdgeMap } from './edges'
import type { Line } from './lines'
import { leanOf, rectangleOf } from './rectangle'

/** @property corners clockwise from the top left, pixels. @property sides what speaks for each, 0–1. */
export interface Quad {
  readonly corners: readonly Point[]
  readonly sides: readonly number[]
  /** Of each, how much is an edge, 0–1. */
  readonly edges: readonly number[]
  readonly score: number
}

/** A line walked through the photograph, pixel by pixel: running sums of what is along it. */
interface Walked {
  readonly line: Line
  readonly cos: number
  readonly sin: number
  readonly edge: Float64Array
  /** Table-likeness beside it: toward its normal, and against it. */
  readonly beyond: Float64Array
  readonly within: Float64Array
}

/** Beside a line, so many pixels away colour is read; across it an edge is looked for. */
const BESIDE = [3.5, 5.5, 8] as const,
  ACROSS = 1.5
/** Direction within which an edge is the line's, radians. */
const ALONG = 0.22

function walked(line: Line, { edges, table }: { edges: EdgeMap; table: Float32Array }): Walked {
  const { width, height, data, angle } = edges,
    cos = Math.cos(line.angle),
    sin = Math.sin(line.angle),
    reach = Math.ceil(Math.hypot(width, height) / 2),
    length = 2 * reach + 2,
    [edge, beyond, within] = [0, 1, 2].map(() => new Float64Array(length)) as [Float64Array, Float64Array, Float64Array]
  const at = (x: number, y: number): number =>
    x >= 0 && y >= 0 && x < width && y < height ? (y | 0) * width + (x | 0) : -1
  for (let t = -reach; t <= reach; t++) {
    const x = width / 2 + line.offset * cos - t * sin,
      y = height / 2 + line.offset * sin + t * cos,
      k = t + reach + 1
    let strongest = 0
    for (let d = -ACROSS; d <= ACROSS; d += 0.75) {
      const i = at(x + d * cos, y + d * sin)
      if (i < 0) continue
      const off = Math.abs(((angle[i] - line.angle + 4.5 * Math.PI) % Math.PI) - Math.PI / 2)
      if (off < ALONG && data[i] > strongest) strongest = data[i]
    }
    const mean = (side: number): number => {
      let sum = 0,
        count = 0
      for (const d of BESIDE) {
        const i = at(x + side * d * cos, y + side * d * sin)
        if (i < 0) continue
        sum += table[i]
        count++
      }
      return count ? sum / count : 1
    }
    // From half a good edge on it is one.
    edge[k] = edge[k - 1] + Math.min(1, strongest / 0.45)
    beyond[k] = beyond[k - 1] + mean(1)
    within[k] = within[k - 1] + mean(-1)
  }
  return { line, cos, sin, edge, beyond, within }
}

const crossing = (p: Walked, q: Walked): Point | null => {
  const d = p.cos * q.sin - p.sin * q.cos
  return Math.abs(d) < 0.2
    ? null
    : {
        x: (p.line.offset * q.sin - q.line.offset * p.sin) / d,
        y: (q.line.offset * p.cos - p.line.offset * q.cos) / d
      }
}

/** Mean of running sums between two places along a line. */
const between = (sums: Float64Array, from: number, to: number): number => {
  const middle = sums.length / 2,
    low = Math.max(0, Math.min(sums.length - 1, Math.round(Math.min(from, to) + middle))),
    high = Math.max(0, Math.min(sums.length - 1, Math.round(Math.max(from, to) + middle)))
  return high > low ? (sums[high] - sums[low]) / (high - low) : 0
}

/** @returns what speaks for a side of a sheet lying between two points, 0–1. */
function sideOf(w: Walked, p: Point, q: Point): { side: number; edge: number } {
  const along = (point: Point): number => point.y * w.cos - point.x * w.sin
  const from = along(p),
    to = along(q),
    // The middle of the photograph stands for the sheet's own side.
    outward = w.line.offset >= 0
  const edge = between(w.edge, from, to),
    beyond = between(w.beyond, from, to),
    within = between(w.within, from, to)
  const [outside, inside] = outward ? [beyond, within] : [within, beyond]
  const table = Math.max(0, Math.min(1, 0.5 + 0.5 * (outside - inside)))
  return { side: WEIGHT.edge * edge + WEIGHT.table * table + WEIGHT.outside * outside, edge }
}
export const WEIGHT = { edge: 0.5, table: 0.25, outside: 0.25 }
/** Of the photograph's area, the least that a sheet takes. */
const LEAST_AREA = 0.12
/** Beyond the photograph's border a corner may lie, of its sides. */
const OVER = 0.03
/** The weakest side counts beside the mean. */
const WEAKEST = 0.5

const LOOKED_AT = 2500
/** Cosine between its sides that is still a rectangle's, and what more of it costs. */
const SQUARE = 0.06,
  ASKEW = 0.6
/** Turned further than this it is hardly a sheet that somebody photographed: degrees, and what each of them costs. */
const LEAN = 18,
  EACH_DEGREE = 0.006
const aslant = (corners: readonly Point[]): number => EACH_DEGREE * Math.max(0, Math.abs(leanOf(corners)) - LEAN)

/** @param table how like the table each pixel is, 0–1. @returns the best first; many of them nearly the same. */
export function quadsOf(lines: readonly Line[], seen: { edges: EdgeMap; table: Float32Array }): Quad[] {
  const { width, height } = seen.edges
  const level: Walked[] = [],
    upright: Walked[] = []
  for (const line of lines) {
    const w = walked(line, seen)
    if (Math.abs(w.sin) > 0.64) level.push(w)
    if (Math.abs(w.cos) > 0.64) upright.push(w)
  }
  const yOf = (w: Walked): number => w.line.offset / w.sin,
    xOf = (w: Walked): number => w.line.offset / w.cos
  level.sort((p, q) => yOf(p) - yOf(q))
  upright.sort((p, q) => xOf(p) - xOf(q))
  const found: Quad[] = []
  for (let t = 0; t < level.length; t++)
    for (let b = t + 1; b < level.length; b++) {
      if (yOf(level[b]) - yOf(level[t]) < 0.2 * height) continue
      for (let l = 0; l < upright.length; l++)
        for (let r = l + 1; r < upright.length; r++) {
          if (xOf(upright[r]) - xOf(upright[l]) < 0.2 * width) continue
          const quad = quadOf([level[t], upright[r], level[b], upright[l]], { width, height })
          if (quad) found.push(quad)
        }
    }
  // Few of them are looked at as what a camera sees: that takes longer than all the rest.
  found.sort((p, q) => q.score - p.score)
  const rectangles = found
    .slice(0, LOOKED_AT)
    .map(q => {
      const seen = rectangleOf(q.corners, { width, height })
      return { ...q, score: q.score - ASKEW * Math.max(0, (seen?.square ?? 1) - SQUARE) }
    })
    .sort((p, q) => q.score - p.score)
  return rectangles
}

function quadOf(
  [top, right, bottom, left]: readonly [Walked, Walked, Walked, Walked],
  { width, height }: { width: number; height: number }
): Quad | null {
  const corners = [crossing(top, left), crossing(top, right), crossing(bottom, right), crossing(bottom, left)]
  if (corners.some(c => !c || Math.abs(c.x) > (0.5 + OVER) * width || Math.abs(c.y) > (0.5 + OVER) * height))
    return null
  const [a, b, c, d] = corners as Point[]
  const turn = (p: Point, q: Point, r: Point): number => (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x)
  const turns = [turn(a, b, c), turn(b, c, d), turn(c, d, a), turn(d, a, b)]
  if (turns.some(v => v <= 0) || 0.5 * (turns[0] + turns[2]) < LEAST_AREA * width * height) return null
  const seen = [sideOf(top, a, b), sideOf(right, b, c), sideOf(bottom, c, d), sideOf(left, d, a)],
    sides = seen.map(s => s.side),
    mean = sides.reduce((sum, s) => sum + s, 0) / 4
  return {
    corners: [a, b, c, d].map(p => ({ x: p.x + width / 2, y: p.y + height / 2 })),
    sides,
    edges: seen.map(s => s.edge),
    score: (mean + WEAKEST * Math.min(...sides)) / (1 + WEAKEST) - aslant([a, b, c, d])
  }
}
