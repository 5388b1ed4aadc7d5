import { expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { blurPlane, boxRadii } from './blur'

/** The same blur written plainly: three means over clamped windows, rows then columns. */
function plainBlur(
  plane: Float32Array,
  { width, height, sigma }: { readonly width: number; readonly height: number; readonly sigma: number }
): Float64Array {
  let now = Float64Array.from(plane)
  const at = (x: number, y: number): number =>
    now[Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))]
  for (const wanted of boxRadii(sigma)) {
    for (const [dx, dy, r] of [
      [1, 0, Math.min(wanted, width - 1)],
      [0, 1, Math.min(wanted, height - 1)]
    ]) {
      now = now.map((_, i) => {
        let sum = 0
        for (let k = -r; k <= r; k++) sum += at((i % width) + k * dx, Math.floor(i / width) + k * dy)
        return sum / (2 * r + 1)
      })
    }
  }
  return now
}

it.each([
  [40, 30, 3],
  [9, 25, 6],
  [1, 12, 4],
  [12, 1, 2],
  [5, 5, 30]
])('a %d × %d plane blurs by σ %d as the plain version does', (width, height, sigma) => {
  const random = seededRandom(width)
  const plane = Float32Array.from({ length: width * height }, () => 100 * random())
  const reference = plainBlur(plane, { width, height, sigma })
  blurPlane(plane, { width, height, sigma, scratch: new Float32Array(plane.length) })
  plane.forEach((v, i) => expect(Math.abs(v - reference[i])).toBeLessThan(1e-3))
})

it('spreads a point as a Gaussian does: variance σ² (Kovesi 2010)', () => {
  for (const sigma of [2, 5, 11]) {
    const width = 151,
      plane = new Float32Array(width)
    plane[75] = 1
    blurPlane(plane, { width, height: 1, sigma, scratch: new Float32Array(width) })
    const variance = plane.reduce((sum, v, x) => sum + v * (x - 75) ** 2, 0)
    expect(Math.abs(Math.sqrt(variance) - sigma)).toBeLessThan(0.2)
  }
})
