/**
 * Normal equations of a small motion. Every motion moves a place by a polynomial of it, so that all their products
 * are sums of few moments of the slopes: those are summed, and the products made of them once.
 */
import type { Homography } from '../numeric/homography'
import { halfOf, type Look } from './look'

/** Motions about a place: two shifts, turn, scale; then stretch, shear and two of perspective. */
export type Freedom = 4 | 8

/** The old picture and the new one, looked at by the same size. */
export type Looks = readonly [old: Look, next: Look]

export interface Sums {
  readonly a: number[][]
  /** Already with its sign turned: the step is a⁻¹ b. */
  readonly b: number[]
  /** Weighted mean square of the residuals, and sum of the weights. */
  readonly spread: number
  readonly count: number
}

export interface Weighing {
  readonly freedom: Freedom
  /** Of so many pixels along a side one is looked at: neighbours say nearly the same. */
  readonly every: number
  /** Of each patch. */
  readonly weights: Float32Array
  readonly grid: { readonly across: number; readonly down: number }
}

/** Residual that counts half, in spreads of the local value. */
const DOUBTFUL = 0.8

/** A slope, along or down, times powers of the place along and down. */
interface Term {
  readonly sign: 1 | -1
  readonly slope: 0 | 1
  readonly u: number
  readonly v: number
}
const term = (slope: 0 | 1, [u, v]: readonly [number, number], sign: 1 | -1 = 1): Term => ({ sign, slope, u, v })
/** What each motion changes a value by. */
const MOTIONS: readonly (readonly Term[])[] = [
  [term(0, [0, 0])],
  [term(1, [0, 0])],
  [term(1, [1, 0]), term(0, [0, 1], -1)],
  [term(0, [1, 0]), term(1, [0, 1])],
  [term(0, [1, 0]), term(1, [0, 1], -1)],
  [term(0, [0, 1]), term(1, [1, 0])],
  [term(0, [2, 0]), term(1, [1, 1])],
  [term(0, [1, 1]), term(1, [0, 2])]
]
/** Powers of a place that a product of two motions can have. */
const POWERS = 5
const SQUARE = POWERS * POWERS

/** Adds a row's moments, by powers of the place along it, to those of all rows. */
function addRow(
  to: Float64Array,
  at: number,
  { v, row }: { readonly v: number; readonly row: readonly number[] }
): void {
  for (let u = 0; u < row.length; u++)
    for (let power = 0, moment = row[u]; power < row.length - u; power++, moment *= v)
      to[at + u * POWERS + power] += moment
}

function equations(products: Float64Array, residuals: Float64Array, freedom: Freedom): Pick<Sums, 'a' | 'b'> {
  const some = MOTIONS.slice(0, freedom)
  const product = (p: Term, q: Term): number =>
    p.sign * q.sign * products[(p.slope + q.slope) * SQUARE + (p.u + q.u) * POWERS + p.v + q.v]
  return {
    a: some.map(k => some.map(l => k.reduce((sum, p) => l.reduce((t, q) => t + product(p, q), sum), 0))),
    b: some.map(k => k.reduce((sum, p) => sum - p.sign * residuals[p.slope * SQUARE + p.u * POWERS + p.v], 0))
  }
}

/** Over what lies in both, and of that what is `shown`. */
export function accumulate([old, next]: Looks, h: Homography, { freedom, every, weights, grid }: Weighing): Sums {
  const { width, height, data, dx, dy, shown } = old,
    { width: w, height: hh, data: other, dx: odx, dy: ody } = next
  const half = halfOf(old),
    to = halfOf(next),
    { across, down } = grid
  const products = new Float64Array(3 * SQUARE),
    residuals = new Float64Array(2 * SQUARE)
  let sum = 0,
    count = 0
  const near = old.rim,
    far = next.rim
  for (let y = near; y < height - near; y += every) {
    const v = (y + 0.5 - height / 2) / half,
      row = Math.min(down - 1, ((y * down) / height) | 0) * across
    // Of the row: slopes' squares and product, and slopes by residual, times powers of u. Named, not listed: in the
    // innermost loop of registering, numbers in a list take twice as long.
    let xx0 = 0,
      xx1 = 0,
      xx2 = 0,
      xx3 = 0,
      xx4 = 0,
      xy0 = 0,
      xy1 = 0,
      xy2 = 0,
      xy3 = 0,
      xy4 = 0,
      yy0 = 0,
      yy1 = 0,
      yy2 = 0,
      yy3 = 0,
      yy4 = 0,
      xr0 = 0,
      xr1 = 0,
      xr2 = 0,
      yr0 = 0,
      yr1 = 0,
      yr2 = 0
    for (let x = near; x < width - near; x += every) {
      const p = y * width + x
      if (shown && !shown[p]) continue
      const u = (x + 0.5 - width / 2) / half,
        z = h[6] * u + h[7] * v + h[8]
      const X = (h[0] * u + h[1] * v + h[2]) / z,
        Y = (h[3] * u + h[4] * v + h[5]) / z
      const px = X * to + w / 2 - 0.5,
        py = Y * to + hh / 2 - 0.5
      if (!(z > 0 && px >= far && py >= far && px < w - 1 - far && py < hh - 1 - far)) continue
      const ix = px | 0,
        iy = py | 0,
        fx = px - ix,
        fy = py - iy,
        i = iy * w + ix
      const w00 = (1 - fx) * (1 - fy),
        w10 = fx * (1 - fy),
        w01 = (1 - fx) * fy,
        w11 = fx * fy
      const r = other[i] * w00 + other[i + 1] * w10 + other[i + w] * w01 + other[i + w + 1] * w11 - data[p]
      // The new picture's slopes, turned into the old one's frame; both in half long edges.
      const gx = (odx[i] * w00 + odx[i + 1] * w10 + odx[i + w] * w01 + odx[i + w + 1] * w11) * to,
        gy = (ody[i] * w00 + ody[i + 1] * w10 + ody[i + w] * w01 + ody[i + w + 1] * w11) * to
      const sx = 0.5 * (dx[p] * half + (gx * (h[0] - X * h[6]) + gy * (h[3] - Y * h[6])) / z),
        sy = 0.5 * (dy[p] * half + (gx * (h[1] - X * h[7]) + gy * (h[4] - Y * h[7])) / z)
      const q = 1 / (1 + (r * r) / (DOUBTFUL * DOUBTFUL)),
        weight = q * q * weights[row + Math.min(across - 1, ((x * across) / width) | 0)]
      sum += weight * r * r
      count += weight
      const wx = weight * sx,
        wy = weight * sy,
        u2 = u * u,
        u3 = u2 * u,
        u4 = u2 * u2
      const xx = wx * sx,
        xy = wx * sy,
        yy = wy * sy,
        xr = wx * r,
        yr = wy * r
      xx0 += xx
      xx1 += xx * u
      xx2 += xx * u2
      xx3 += xx * u3
      xx4 += xx * u4
      xy0 += xy
      xy1 += xy * u
      xy2 += xy * u2
      xy3 += xy * u3
      xy4 += xy * u4
      yy0 += yy
      yy1 += yy * u
      yy2 += yy * u2
      yy3 += yy * u3
      yy4 += yy * u4
      xr0 += xr
      xr1 += xr * u
      xr2 += xr * u2
      yr0 += yr
      yr1 += yr * u
      yr2 += yr * u2
    }
    addRow(products, 0, { v, row: [xx0, xx1, xx2, xx3, xx4] })
    addRow(products, SQUARE, { v, row: [xy0, xy1, xy2, xy3, xy4] })
    addRow(products, 2 * SQUARE, { v, row: [yy0, yy1, yy2, yy3, yy4] })
    addRow(residuals, 0, { v, row: [xr0, xr1, xr2] })
    addRow(residuals, SQUARE, { v, row: [yr0, yr1, yr2] })
  }
  return { ...equations(products, residuals, freedom), spread: count ? sum / count : 0, count }
}
