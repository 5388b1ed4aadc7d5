/**
 * A reflectance that has a colour: of all that have it the smoothest, within 0–1 (S. A. Burns, "Numerical methods for
 * smoothest reflectance reconstruction", Color Research & Application 45(1), 2020, the method of least slope of the
 * hyperbolic tangent). It is not the paint's own, which no photograph tells; mixed, it behaves as a plausible paint
 * does.
 */
import type { Rgb } from '../colour/srgb'
import { solve } from '../numeric/solve'
import { LINEAR_BY_WAVELENGTH, WAVELENGTHS, type Reflectance } from './spectrum'

const ROUNDS = 60,
  CLOSE = 1e-8
/** The darkest and the lightest that is aimed at: nothing reflects none of the light, or all of it. */
const LEAST = 1e-4,
  MOST = 1 - 1e-4
/** Of the way that Newton's step asks for, where a whole one leads away. */
const LONGEST = 3

/** @param linear inside the gamut. @returns its reflectance. @throws RangeError for a colour that no surface has. */
export function reflectanceOf(linear: Rgb): Reflectance {
  const wanted = linear.map(v => Math.min(MOST, Math.max(LEAST, v)))
  const z = new Float64Array(WAVELENGTHS).fill(Math.atanh(2 * (wanted.reduce((s, v) => s + v, 0) / 3) - 1)),
    lambda = [0, 0, 0]
  for (let round = 0; round < ROUNDS; round++) {
    const rest = step(z, lambda, wanted)
    if (rest < CLOSE) return Array.from(z, v => (Math.tanh(v) + 1) / 2)
  }
  throw new RangeError('no reflectance between 0 and 1 has this colour')
}

/** One step of Newton's method on where the slope is least and the colour right. @returns how far off it was. */
function step(z: Float64Array, lambda: number[], wanted: readonly number[]): number {
  const n = WAVELENGTHS,
    size = n + 3
  const rows: number[][] = Array.from({ length: size }, () => new Array<number>(size).fill(0)),
    right = new Array<number>(size).fill(0)
  const off = wanted.map(v => -v)
  for (let i = 0; i < n; i++) {
    const t = Math.tanh(z[i]),
      slope = (1 - t * t) / 2,
      bend = -(1 - t * t) * t,
      pull = LINEAR_BY_WAVELENGTH[i].reduce((sum, v, c) => sum + v * lambda[c], 0)
    const ends = i === 0 || i === n - 1
    rows[i][i] = (ends ? 2 : 4) + bend * pull
    if (i > 0) rows[i][i - 1] = -2
    if (i < n - 1) rows[i][i + 1] = -2
    right[i] = -((ends ? 2 : 4) * z[i] - 2 * (i > 0 ? z[i - 1] : 0) - 2 * (i < n - 1 ? z[i + 1] : 0) + slope * pull)
    for (let c = 0; c < 3; c++) {
      const v = slope * LINEAR_BY_WAVELENGTH[i][c]
      rows[i][n + c] = v
      rows[n + c][i] = v
      off[c] += ((t + 1) / 2) * LINEAR_BY_WAVELENGTH[i][c]
    }
  }
  for (let c = 0; c < 3; c++) right[n + c] = -off[c]
  const found = solve(rows, right)
  if (!found) throw new RangeError('no reflectance between 0 and 1 has this colour')
  const far = Math.max(...found.slice(0, n).map(Math.abs)),
    by = Math.min(1, LONGEST / (far || 1))
  for (let i = 0; i < n; i++) z[i] += by * found[i]
  for (let c = 0; c < 3; c++) lambda[c] += by * found[n + c]
  return Math.max(...off.map(Math.abs), far)
}
