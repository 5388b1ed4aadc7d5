/** What is counted over pixels by the kernel is what the plain loops count. */
import { expect, it } from 'vitest'
import { assembledKernel } from '../../bin/lib/kernel'
import { distributionOf } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { planesOf } from '../picture/planes'
import { noise } from '../picture/planes.test'
import { wordsOf } from '../picture/raster'
import kernel from '../picture/tally.json' with { type: 'json' }
import { cellsInKernel, huesInKernel, temperaturesInKernel, withinInKernel } from '../picture/tally'
import { withinInScript } from '../picture/within'
import { huesInScript } from './harmony/hues'
import { cellsInScript } from './harmony/palette'
import { temperaturesInScript } from './temperature'

/** Of one chunk and less, of some and a part, with a fifth of its pixels clear. */
const PICTURES = [noise(7, 5, 1), noise(201, 199, 2)].map(raster => ({ raster, planes: planesOf(raster) }))

const furthest = (p: ArrayLike<number>, q: ArrayLike<number>): number =>
  Array.from(p).reduce((most, n, i) => Math.max(most, Math.abs(n - q[i])), 0)
const sumOf = (list: ArrayLike<number>): number => Array.from(list).reduce((p, q) => p + q, 0)

it('carries the kernel that its text says', async () => {
  expect(kernel.bytes).toBe(await assembledKernel('core/picture/tally'))
})

it('counts a distribution, what lies outside in its end bins', () => {
  for (const { planes } of PICTURES) {
    const { value, mask } = planes,
      { counts, total } = distributionOf(value, mask, { low: 20, high: 60, bins: 41 })
    const plain = new Uint32Array(41)
    value.forEach((v, i) => {
      plain[Math.min(40, Math.max(0, Math.floor(((v - 20) * 41) / 40 + 0.5)))] += mask[i]
    })
    expect(total).toBe(sumOf(mask))
    expect(furthest(counts, plain)).toBeLessThanOrEqual(1)
  }
})

it('marks what is within bounds of value and chroma', () => {
  for (const { planes } of PICTURES)
    for (const bounds of [{ over: 30, most: 0.1 }, { under: 40, least: 0.05 }, {}])
      expect(withinInKernel(planes, bounds)).toEqual(withinInScript(planes, bounds))
})

it('sums up temperatures, cells and hues', () => {
  for (const { raster, planes } of PICTURES) {
    const warmth = { perAxis: 350, neither: 5, bounds: { lights: 60, darks: 30, darkest: 10 } },
      [fast, plain] = [temperaturesInKernel(planes, warmth)!, temperaturesInScript(planes, warmth)]
    for (const of of ['warm', 'cool', 'all', 'lights', 'darks', 'darkest'] as const)
      expect(Math.abs(fast[of] - plain[of]) / planes.count, of).toBeLessThan(1e-4)
    const words = wordsOf(raster.data)
    expect(furthest(cellsInKernel(words, planes)!, cellsInScript(words, planes))).toBeLessThan(1e-9)
    for (const binned of [{ table: directions() }, { binAt: (pixel: number) => pixel % 360 }])
      expectSame(planes, binned)
  }
})

/** A table whose bins follow one another, octant by octant. */
const directions = (): Uint16Array =>
  Uint16Array.from({ length: 8 * 4097 }, (_, i) => Math.floor(i / 4097) * 45 + Math.floor(((i % 4097) * 44) / 4096))

function expectSame(planes: Planes, binned: { table: Uint16Array } | { binAt: (pixel: number) => number }): void {
  const how = { neutral: 0.03, bounds: new Float32Array(360).fill(0.12), over: 0.1, upTo: 0.15, ...binned },
    [fast, plain] = [huesInKernel(planes, how)!, huesInScript(planes, how)]
  // In single precision a direction can fall on the other side of its bin's edge.
  const elsewhere = [...fast.bins].filter((bin, i) => bin !== plain.bins[i])
  expect(elsewhere.length / planes.count).toBeLessThan(1e-3)
  expect(fast.strong).toBe(plain.strong)
  expect(furthest(fast.sums, plain.sums)).toBeLessThan(elsewhere.length > 0 ? 101 * elsewhere.length : 1e-6)
  expect(sumOf(fast.tenths)).toBe(sumOf(plain.tenths))
  expect(sumOf(fast.tenths)).toBeGreaterThan(0)
}
