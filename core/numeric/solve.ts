/** Small dense linear systems. */

/**
 * Solves A x = b by elimination with row exchange. @param a rows of n numbers. @returns x, or null when the rows do not
 * decide it.
 */
export function solve(a: readonly (readonly number[])[], b: readonly number[]): number[] | null {
  const n = b.length,
    m = a.map((row, i) => [...row, b[i]])
  for (let col = 0; col < n; col++) {
    let best = col
    for (let row = col + 1; row < n; row++) if (Math.abs(m[row][col]) > Math.abs(m[best][col])) best = row
    if (Math.abs(m[best][col]) < 1e-12) return null
    ;[m[col], m[best]] = [m[best], m[col]]
    for (let row = col + 1; row < n; row++) {
      const by = m[row][col] / m[col][col]
      if (by !== 0) for (let k = col; k <= n; k++) m[row][k] -= by * m[col][k]
    }
  }
  const x = new Array<number>(n).fill(0)
  for (let row = n - 1; row >= 0; row--) {
    let rest = m[row][n]
    for (let k = row + 1; k < n; k++) rest -= m[row][k] * x[k]
    x[row] = rest / m[row][row]
  }
  return x
}

/** Weighted least squares by the normal equations: few unknowns, well scaled. @param rows of the unknowns' factors. */
export function leastSquares(
  rows: readonly (readonly number[])[],
  wanted: readonly number[],
  weights?: readonly number[]
): number[] | null {
  const n = rows[0]?.length ?? 0
  const a = Array.from({ length: n }, () => new Array<number>(n).fill(0)),
    b = new Array<number>(n).fill(0)
  rows.forEach((row, r) => {
    const w = weights?.[r] ?? 1
    if (w === 0) return
    for (let i = 0; i < n; i++) {
      b[i] += w * row[i] * wanted[r]
      for (let j = 0; j < n; j++) a[i][j] += w * row[i] * row[j]
    }
  })
  return solve(a, b)
}
