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

/** All columns at once: rows are combined with rows, whose numbers lie side by side. */
function columns({ re, im }: Complex, n: number, { cos, sin, swap }: Tables): void {
  for (let i = 0; i < n; i++) {
    const j = swap[i]
    if (j <= i) continue
    for (let x = 0, p = i * n, q = j * n; x < n; x++, p++, q++) {
      const r = re[p],
        m = im[p]
      re[p] = re[q]
      im[p] = im[q]
      re[q] = r
      im[q] = m
    }
  }
  for (let half = 1, step = n >> 1; half < n; half <<= 1, step >>= 1)
    for (let i = 0; i < n; i += 2 * half)
      for (let k = 0, t = 0; k < half; k++, t += step) {
        const c = cos[t],
          s = sin[t]
        for (let p = (i + k) * n, q = p + half * n, end = p + n; p < end; p++, q++) {
          const r = re[q] * c - im[q] * s,
            m = re[q] * s + im[q] * c
          re[q] = re[p] - r
          im[q] = im[p] - m
          re[p] += r
          im[p] += m
        }
      }
}

function transpose(a: Float64Array, n: number): void {
  for (let y = 0; y < n; y++)
    for (let x = y + 1; x < n; x++) {
      const p = y * n + x,
        q = x * n + y,
        kept = a[p]
      a[p] = a[q]
      a[q] = kept
    }
}

/**
 * The spectrum lies with columns as rows: turning it back would cost as much as a tenth of all, and nobody asks.
 * @param n side, a power of two. @throws RangeError otherwise.
 */
export function transform(of: Complex, n: number): void {
  const table = tablesFor(n)
  columns(of, n, table)
  transpose(of.re, n)
  transpose(of.im, n)
  columns(of, n, table)
}

/** The way back from a spectrum that lies as `transform` leaves it, n² times too large. */
export function transformBack({ re, im }: Complex, n: number): void {
  // The inverse is the transform with real and imaginary parts exchanged.
  transform({ re: im, im: re }, n)
}
