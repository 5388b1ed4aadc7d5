/**
 * Areas marked on a picture. Positions are fractions of width and height, so an area holds at any
 * size; on a raster an area is rows of spans, which are summed faster than a mask is walked.
 */
export type FractionPoint = readonly [x: number, y: number]
export type Area =
  | { readonly kind: 'rectangle'; readonly x: number; readonly y: number; readonly w: number; readonly h: number }
  | { readonly kind: 'polygon'; readonly points: readonly FractionPoint[] }

/** Rows of an area: for each row, pairs of first and past-the-last pixel, ascending and apart. */
export interface Spans {
  readonly width: number
  readonly height: number
  readonly top: number
  /** rows[i] belongs to picture row top + i. */
  readonly rows: readonly (readonly number[])[]
}

/** Corners of an area, in fractions. */
export function cornersOf(area: Area): readonly FractionPoint[] {
  if (area.kind === 'polygon') return area.points
  const { x, y, w, h } = area
  return [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h]
  ]
}

/** The corner nearest the top left: where a mark's tag is tied to its area. */
export function tagCornerOf(area: Area): FractionPoint {
  return cornersOf(area).reduce((best, p) => (p[0] + p[1] < best[0] + best[1] ? p : best))
}

/** Bounding rectangle in fractions. */
export function boundsOf(area: Area): { x: number; y: number; w: number; h: number } {
  const points = cornersOf(area)
  const xs = points.map(p => p[0]),
    ys = points.map(p => p[1])
  const x = Math.min(...xs),
    y = Math.min(...ys)
  return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y }
}

/** Which parts of a line that crosses itself are inside. */
export type FillRule = 'even-odd' | 'non-zero'

/**
 * Pixels whose centres lie in the area. An area too small for any centre still holds the pixel it lies in;
 * one wholly outside the picture has no row.
 */
export function spansOf(
  area: Area,
  { width, height, rule = 'even-odd' }: { readonly width: number; readonly height: number; readonly rule?: FillRule }
): Spans {
  const points = cornersOf(area).map(([x, y]) => [x * width, y * height] as const)
  const ys = points.map(p => p[1])
  const top = Math.max(0, Math.ceil(Math.min(...ys) - 0.5))
  const bottom = Math.min(height - 1, Math.ceil(Math.max(...ys) - 0.5) - 1)
  const rows: number[][] = []
  for (let y = top; y <= bottom; y++) rows.push(crossings(points, { y: y + 0.5, width, rule }))
  if (rows.some(row => row.length > 0)) return { width, height, top, rows }
  const cx = Math.floor(points.reduce((sum, p) => sum + p[0], 0) / points.length)
  const cy = Math.floor(points.reduce((sum, p) => sum + p[1], 0) / points.length)
  if (cx < 0 || cy < 0 || cx >= width || cy >= height) return { width, height, top: 0, rows: [] }
  return { width, height, top: cy, rows: [[cx, cx + 1]] }
}

function crossings(
  points: readonly (readonly [number, number])[],
  { y, width, rule }: { readonly y: number; readonly width: number; readonly rule: FillRule }
): number[] {
  const met: { readonly x: number; readonly turn: number }[] = []
  for (let i = 0; i < points.length; i++) {
    const [x0, y0] = points[i],
      [x1, y1] = points[(i + 1) % points.length]
    if (y0 <= y !== y1 <= y) met.push({ x: x0 + ((y - y0) / (y1 - y0)) * (x1 - x0), turn: y1 > y0 ? 1 : -1 })
  }
  met.sort((p, q) => p.x - q.x)
  const row: number[] = []
  for (let i = 0, winding = 0; i + 1 < met.length; i++) {
    winding += rule === 'non-zero' ? met[i].turn : 1
    if (rule === 'non-zero' ? winding === 0 : winding % 2 === 0) continue
    const from = Math.max(0, Math.ceil(met[i].x - 0.5)),
      to = Math.min(width, Math.ceil(met[i + 1].x - 0.5))
    if (to <= from) continue
    if (row.length > 0 && row[row.length - 1] === from) row[row.length - 1] = to
    else row.push(from, to)
  }
  return row
}

/** Calls `visit` with the index of every pixel of the area. */
export function eachPixel({ width, top, rows }: Spans, visit: (index: number) => void): void {
  for (let r = 0; r < rows.length; r++) {
    const base = (top + r) * width,
      row = rows[r]
    for (let s = 0; s < row.length; s += 2) for (let x = row[s]; x < row[s + 1]; x++) visit(base + x)
  }
}

/**
 * Rows of the ring around an area: pixels within `radius` of it (Euclid) and not in it.
 * Each row is the union of the neighbouring rows' spans, widened by the disc's half-width there.
 */
export function ringOf(spans: Spans, radius: number): Spans {
  const { width, height, rows } = spans
  const reach = Math.max(1, Math.round(radius))
  const top = Math.max(0, spans.top - reach)
  const bottom = Math.min(height - 1, spans.top + rows.length - 1 + reach)
  const half = Int32Array.from({ length: reach + 1 }, (_, d) => Math.floor(Math.sqrt(reach * reach - d * d)))
  const edge = new Int32Array(width + 1)
  const ring: number[][] = []
  for (let y = top; y <= bottom; y++) {
    let first = width,
      last = 0
    for (
      let at = Math.max(0, y - reach - spans.top), end = Math.min(rows.length - 1, y + reach - spans.top);
      at <= end;
      at++
    ) {
      const row = rows[at],
        widen = half[Math.abs(at + spans.top - y)]
      for (let s = 0; s < row.length; s += 2) {
        const from = Math.max(0, row[s] - widen),
          to = Math.min(width, row[s + 1] + widen)
        edge[from]++
        edge[to]--
        if (from < first) first = from
        if (to > last) last = to
      }
    }
    ring.push(spansLeft(edge, rows[y - spans.top] ?? [], { first, last }))
    edge.fill(0, first, last + 1)
  }
  return { width, height, top, rows: ring }
}

/** The covered runs of a difference row between two columns, less the area's own spans. */
function spansLeft(
  edge: Int32Array,
  own: readonly number[],
  { first, last }: { readonly first: number; readonly last: number }
): number[] {
  for (let s = 0; s < own.length; s += 2) {
    edge[own[s]] -= 1 << 20
    edge[own[s + 1]] += 1 << 20
  }
  const row: number[] = []
  let cover = 0,
    start = -1
  for (let x = first; x <= last; x++) {
    cover += edge[x]
    const inside = x < last && cover > 0
    if (inside && start < 0) start = x
    else if (!inside && start >= 0) {
      row.push(start, x)
      start = -1
    }
  }
  return row
}

/** Whether a point in fractions lies in an area (even–odd rule). */
export function areaHolds(area: Area, x: number, y: number): boolean {
  const points = cornersOf(area)
  return points.reduce((inside, [x0, y0], i) => {
    const [x1, y1] = points[(i + 1) % points.length]
    return y0 <= y !== y1 <= y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0) ? !inside : inside
  }, false)
}

/** A small disc about a point as an area: what a colour is sampled over. @param radius share of the diagonal. */
export function discAt(
  x: number,
  {
    y,
    radius,
    size: { width, height }
  }: { readonly y: number; readonly radius: number; readonly size: { width: number; height: number } }
): Area {
  const r = radius * Math.hypot(width, height)
  return {
    kind: 'polygon',
    points: Array.from(
      { length: 16 },
      (_, i) => [x + (r * Math.cos((i * Math.PI) / 8)) / width, y + (r * Math.sin((i * Math.PI) / 8)) / height] as const
    )
  }
}
