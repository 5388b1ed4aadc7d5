/**
 * The discrete Fourier transform of a square of complex numbers, in place (J. W. Cooley & J. W. Tukey, "An algorithm
 * for the machine calculation of complex Fourier series", Math. Comp. 19, 1965).
 */
export interface Complex {
  readonly re: Float64Array
  readonly im: Float64Array
}
export const createComplex = (size: number): Complex => ({
  re: new Float64Array(size * size),
  im: new Float64Array(size * size)
})

interface Tables {
  readonly cos: Float64Array
  readonly sin: Float64Array
  readonly swap: Int32Array
}
const tables = new Map<number, Tables>()
function tablesFor(n: number): Tables {
  const known = tables.get(n)
  if (known) return known
  const bits = Math.log2(n)
  if (!Number.isInteger(bits)) throw new RangeError(`a transform's side is a power of two, not ${n}`)
  const swap = Int32Array.from({ length: n }, (_, i) => {
    let turned = 0
    for (let b = 0; b < bits; b++) turned |= ((i >> b) & 1) << (bits - 1 - b)
    return turned
  })
  const at = (i: number): number => (-2 * Math.PI * i) / n
  const made = {
    cos: Float64Array.from({ length: n / 2 }, (_, i) => Math.cos(at(i))),
    sin: Float64Array.from({ length: n / 2 }, (_, i) => Math.sin(at(i))),
    swap
  }
  tables.set(n, made)
  return made
}

interface Line {
  readonly from: number
  readonly stride: number
  /** How many numbers lie on it. */
  readonly n: number
}
/** One row or column. */
function line({ re, im }: Complex, { from, stride, n }: Line, { cos, sin, swap }: Tables): void {
  for (let i = 0; i < n; i++) {
    const j = swap[i]
    if (j <= i) continue
    const p = from + i * stride,
      q = from + j * stride
    const r = re[p],
      m = im[p]
    re[p] = re[q]
    im[p] = im[q]
    re[q] = r
    im[q] = m
  }
  for (let half = 1, step = n >> 1; half < n; half <<= 1, step >>= 1)
    for (let i = 0; i < n; i += 2 * half)
      for (let k = 0, t = 0; k < half; k++, t += step) {
        const p = from + (i + k) * stride,
          q = p + half * stride
        const r = re[q] * cos[t] - im[q] * sin[t],
          m = re[q] * sin[t] + im[q] * cos[t]
        re[q] = re[p] - r
        im[q] = im[p] - m
        re[p] += r
        im[p] += m
      }
}

/** @param n side, a power of two. @throws RangeError otherwise. */
export function transform(of: Complex, n: number): void {
  const table = tablesFor(n)
  for (let y = 0; y < n; y++) line(of, { from: y * n, stride: 1, n }, table)
  for (let x = 0; x < n; x++) line(of, { from: x, stride: n, n }, table)
}

/** The way back, n² times too large. */
export function transformBack({ re, im }: Complex, n: number): void {
  // The inverse is the transform with real and imaginary parts exchanged.
  transform({ re: im, im: re }, n)
}
