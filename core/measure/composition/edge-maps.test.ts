import { expect, it } from 'vitest'
import { assembledKernel } from '../../../bin/lib/kernel'
import { seededRandom } from '../../numeric/random'
import { planesOf } from '../../picture/planes'
import { createRaster } from '../../picture/raster'
import kernel from './edges.json' with { type: 'json' }
import { mapsInKernel, profileInKernel } from './edges-kernel'
import { mapsInScript, profileInScript } from './edges-script'

/** Flat patches and noise beside each other: edges, texture and nothing. */
function patches(width: number, height: number): ReturnType<typeof planesOf> {
  const random = seededRandom(width * height),
    raster = createRaster(width, height)
  for (let i = 0; i < width * height; i++) {
    const x = i % width,
      grey = x % 40 < 20 ? 250 : 40 + (i > (width * height) / 2 ? 120 * random() : 0)
    raster.data.set([grey, grey, grey, random() < 0.05 ? 0 : 255], 4 * i)
  }
  return planesOf(raster)
}

const furthest = (p: Float32Array, q: Float32Array): number =>
  p.reduce((most, v, i) => Math.max(most, Math.abs(v - q[i])), 0)

it('finds the same in the kernel as in script, at any size', async () => {
  expect(kernel.bytes).toBe(await assembledKernel('core/measure/composition/edges'))
  for (const [width, height, sigma] of [
    [1, 1, 1],
    [7, 1, 1],
    [1, 9, 2],
    [64, 48, 3],
    [203, 101, 6]
  ] as const) {
    const planes = patches(width, height),
      at = { sigma, edge: 4 },
      [fast, plain] = [mapsInKernel(planes, at)!, mapsInScript(planes, at)]
    expect(furthest(fast.detail.data, plain.detail.data), `detail, ${width} × ${height}`).toBeLessThan(1e-6)
    // Where nothing varies the script's rounding of squares is all there is.
    expect(furthest(fast.contrast.data, plain.contrast.data), `contrast, ${width} × ${height}`).toBeLessThan(0.05)
    expect(furthest(fast.sharpness, plain.sharpness), `sharpness, ${width} × ${height}`).toBeLessThan(0.005)
    const where = { width, height, mask: planes.mask, least: 6 },
      [quick, slow] = [profileInKernel(plain, where)!, profileInScript(plain, where)]
    for (const of of ['n', 'busy', 'weight', 'square'] as const)
      expect(quick[of], `${of}, ${width} × ${height}`).toBeCloseTo(slow[of], 2)
  }
})
