/** A picture's values in few cells: what is left of it across a room. */
import type { Planes } from '../../picture/planes'

/**
 * @param part of the picture, fractions. @returns mean L* of n × n cells by rows; NaN never: a cell without pixels is
 * its mean 50.
 */
export function valueGrid(
  { width, height, value, mask }: Planes,
  part: { readonly x: number; readonly y: number; readonly w: number; readonly h: number },
  n: number
): Float64Array {
  const sum = new Float64Array(n * n),
    count = new Float64Array(n * n)
  const left = Math.floor(part.x * width),
    top = Math.floor(part.y * height),
    w = Math.max(1, Math.floor(part.w * width)),
    h = Math.max(1, Math.floor(part.h * height))
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const i = (top + y) * width + left + x
      if (mask[i] === 0) continue
      const cell = Math.floor((y * n) / h) * n + Math.floor((x * n) / w)
      sum[cell] += value[i]
      count[cell]++
    }
  return sum.map((s, i) => (count[i] ? s / count[i] : 50))
}

/** Mean difference place for place, in L*. */
export const gridDifference = (p: Float64Array, q: Float64Array): number =>
  p.reduce((sum, v, i) => sum + Math.abs(v - q[i]), 0) / p.length

/** Pearson's correlation, −1 to 1; 0 where one of them is flat. */
export function gridCorrelation(p: Float64Array, q: Float64Array): number {
  const mean = (g: Float64Array): number => g.reduce((a, b) => a + b, 0) / g.length,
    [mp, mq] = [mean(p), mean(q)]
  let pq = 0,
    pp = 0,
    qq = 0
  p.forEach((v, i) => {
    pq += (v - mp) * (q[i] - mq)
    pp += (v - mp) ** 2
    qq += (q[i] - mq) ** 2
  })
  return pp > 1e-9 && qq > 1e-9 ? pq / Math.sqrt(pp * qq) : 0
}
