/** What is a horizon: the edge of the sea, straight or slanting; not a ridge, nor a sky that grows light. */
import { expect, it } from 'vitest'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { fill } from '../../testing/paint'
import { horizonOf } from './horizon'

/** Light over dark, the edge at a height for each column. */
function divided(edge: (x: number) => number): Raster {
  const raster = fill(createRaster(240, 160), '#cfe0ea')
  for (let x = 0; x < 240; x++) {
    const y = Math.round(160 * edge(x / 240))
    fill(raster, '#27506e', x, y, 1, 160 - y)
  }
  return raster
}

it('is a straight edge, and a slanting one at its middle height', () => {
  expect(horizonOf(planesOf(divided(() => 0.4)))).toBeCloseTo(0.4, 2)
  expect(horizonOf(planesOf(divided(x => 0.48 + 0.03 * x)))).toBeCloseTo(0.495, 1)
})

it('is no ridge, and no sky that grows light', () => {
  expect(horizonOf(planesOf(divided(x => 0.45 + 0.04 * Math.sin(17 * x))))).toBeNull()
  const sky = createRaster(240, 160)
  for (let y = 0; y < 160; y++) {
    const byte = Math.round(60 + y)
      .toString(16)
      .padStart(2, '0')
    fill(sky, `#${byte}${byte}${byte}`, 0, y, 240, 1)
  }
  // A step that is as steep everywhere is at no height.
  for (let i = 0; i < sky.data.length; i += 4) {
    const noise = ((i * 7919) % 13) - 6
    for (let c = 0; c < 3; c++) sky.data[i + c] = sky.data[i + c]! + noise
  }
  expect(horizonOf(planesOf(sky))).toBeNull()
})
