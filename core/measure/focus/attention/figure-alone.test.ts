import { describe, expect, it } from 'vitest'
import { planesOf } from '../../../picture/planes'
import { createRaster, type Raster } from '../../../picture/raster'
import { fill, stripes } from '../../../testing/paint'
import { featuresOf } from './features'
import { favourHead, figureAlone } from './figure-alone'
import { attentionOf } from './attention'
import { peaksOf } from './peaks'

/** What a map that is 1 all over becomes: its rows at the middle column, top to bottom. */
function weights(raster: Raster): number[] {
  const features = featuresOf(planesOf(raster)),
    { width, height } = features,
    map = { width, height, data: new Float32Array(width * height).fill(1) },
    figure = figureAlone(features)
  if (figure) favourHead(map, figure)
  return Array.from({ length: height }, (_, y) => map.data[y * width + (width >> 1)])
}

const CLOTH = '#40464e'
/** A bust that the lower rim cuts off: a face with light on it, and a collar lighter still. */
const bust = (ground: Raster): Raster => {
  fill(fill(ground, CLOTH, 60, 130, 120, 120), '#54504c', 92, 40, 56, 90)
  return fill(fill(ground, '#d8cbb4', 108, 66, 20, 20), '#f4eedc', 100, 160, 34, 22)
}
const even = (): Raster => fill(createRaster(240, 250), '#7a776f')
/** Wallpaper in bands: the bust is not alone. */
const busy = (): Raster =>
  stripes(
    Array.from({ length: 24 }, (_, i) => (i % 2 ? '#66706f' : '#a89a70')),
    10,
    250
  )
const cutOut = (): Raster => fill(createRaster(240, 250), '#000000', 0, 0, 240, 250, 0)

describe('a figure alone is read from its head down (common practice, no source)', () => {
  it.each([
    ['before an even ground', even],
    ['cut out', cutOut]
  ])('%s: attention is 0.4 by the middle of the figure', (_, ground) => {
    const rows = weights(bust(ground()))
    expect(rows[20]).toBe(1)
    expect(rows[40]).toBeCloseTo(1, 2)
    expect(rows[145]).toBeCloseTo(0.4, 2)
    expect(rows[249]).toBeCloseTo(0.16, 2)
  })

  it.each([
    ['before a busy ground', () => bust(busy())],
    ['two that stand apart', () => fill(fill(even(), CLOTH, 30, 60, 50, 150), CLOTH, 160, 60, 50, 150)],
    ['a jug on a table', () => fill(fill(even(), CLOTH, 0, 190, 240, 60), CLOTH, 90, 80, 60, 110)],
    ['a hill under a sky', () => fill(even(), CLOTH, 0, 90, 240, 160)]
  ])('%s: nothing changes', (_, raster) => {
    expect(new Set(weights(raster()))).toEqual(new Set([1]))
  })

  it('looks at the face before the lighter collar, and at the collar where the figure is not alone', () => {
    const first = (ground: Raster): number => peaksOf(attentionOf(planesOf(bust(ground))))[0].y
    expect(first(cutOut())).toBeLessThan(0.45)
    expect(first(busy())).toBeGreaterThan(0.6)
  })

  it('takes the buttons of a coat for no display, though one is odd', () => {
    const raster = fill(cutOut(), '#d8cbb4', 60, 40, 120, 210)
    for (let i = 0; i < 12; i++)
      fill(raster, i === 10 ? '#c22a1c' : '#2a4a7c', 90 + 50 * (i % 2), 60 + 30 * (i >> 1), 12, 12)
    expect(attentionOf(planesOf(raster)).uniqueness.alike).toBe(0)
  })
})
