/** A planned scheme judged against a histogram, held to the plain definition worked out bin by bin. */
import { expect, it } from 'vitest'
import { seededRandom } from '../../numeric/random'
import { SCHEMES } from '../../wheel/schemes'
import { fitTo } from './declared'
import type { HueHistogram } from './hues'

const histogram = (weight: Float64Array): HueHistogram => ({
  bins: new Int16Array(),
  pixels: new Uint32Array(360),
  weight,
  sums: new Float64Array(),
  tenths: new Uint32Array(),
  totalWeight: weight.reduce((p, q) => p + q, 0),
  colouredPixels: 0,
  vividForHue: 0
})
/** Two or three bumps of colour and some dust, as a picture has. */
function someColours(seed: number): Float64Array {
  const random = seededRandom(seed),
    centres = Array.from({ length: 2 + (seed % 2) }, () => 360 * random())
  return Float64Array.from(
    { length: 360 },
    (_, bin) =>
      0.02 * random() + centres.reduce((sum, c) => sum + Math.exp(-(((((bin - c + 540) % 360) - 180) / 12) ** 2)), 0)
  )
}
/** A bin is inside where its centre is at most the half-width from the turned centre of a sector. */
function coverageOf(name: string, weight: Float64Array, rotation: number): number {
  const { sectors } = SCHEMES.find(s => s.name === name)!
  let inside = 0,
    all = 0
  weight.forEach((w, bin) => {
    all += w
    if (sectors.some(({ centre, half }) => Math.abs(((((bin - rotation - centre) % 360) + 540) % 360) - 180) <= half))
      inside += w
  })
  return inside / all
}

it('takes the best rotation within ten degrees of the planned key, for every scheme', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const weight = someColours(seed),
      key = (seed * 67) % 360
    for (const { name } of SCHEMES) {
      const fit = fitTo(name, key, histogram(weight))!
      const best = Math.max(...Array.from({ length: 21 }, (_, i) => coverageOf(name, weight, key - 10 + i)))
      expect(fit.coverage, `${name}, seed ${seed}`).toBeCloseTo(best, 9)
      expect(coverageOf(name, weight, fit.rotation)).toBeCloseTo(best, 9)
      expect(Math.abs(((((fit.rotation - key) % 360) + 540) % 360) - 180)).toBeLessThanOrEqual(10)
    }
  }
})

it('the rotation is a place on the wheel also across yellow, and a key may be said past a full turn', () => {
  const weight = new Float64Array(360)
  weight[355] = weight[175] = 1
  const fit = fitTo('complementary', 3, histogram(weight))!
  expect(fit.coverage).toBe(1)
  expect(fit.rotation).toBeGreaterThanOrEqual(0)
  expect(fit.rotation).toBeLessThan(360)
  expect(fitTo('complementary', 360, histogram(weight))!.coverage).toBe(1)
})

it('without a key, turns to where the scheme covers most: never less than at any planned key', () => {
  const weight = someColours(5)
  for (const { name } of SCHEMES) {
    const free = fitTo(name, null, histogram(weight))!
    for (let key = 0; key < 360; key += 30)
      expect(free.coverage, `${name} at ${key}`).toBeGreaterThanOrEqual(
        fitTo(name, key, histogram(weight))!.coverage - 1e-9
      )
  }
})

it('a picture without colour keeps to no plan', () => {
  expect(fitTo('triad', 0, histogram(new Float64Array(360)))).toBeNull()
})
