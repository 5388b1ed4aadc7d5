import { converter } from 'culori'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../numeric/random'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { fill, stripes } from '../../testing/paint'
import { NO_HUE, hueHistogram } from './hues'
import { measurePalette } from './palette'
import { splitFamilies } from './families'

const paletteOf = (raster: Raster) => measurePalette(raster, planesOf(raster), 'painter')

describe('the palette', () => {
  it('gives back flat colours with their shares, names, values and temperatures', () => {
    const swatches = paletteOf(stripes(['#e32322', '#777777', '#2a71b0', '#f4e500', '#111111'], [50, 20, 15, 10, 5]))
    expect(swatches.map(s => [s.hex, s.share])).toEqual([
      ['#e32322', 0.5],
      ['#777777', 0.2],
      ['#2a71b0', 0.15],
      ['#f4e500', 0.1],
      ['#111111', 0.05]
    ])
    expect(swatches[0]).toMatchObject({ step: 'red', kind: 'hue', value: 49.1, temperature: 100 })
    expect(swatches[1]).toMatchObject({ step: null, kind: 'neutral', temperature: 0 })
  })

  it('keeps a small strong accent beside a large varied ground, and never more than eight', () => {
    const random = seededRandom(6),
      raster = createRaster(100, 100)
    for (let y = 0; y < 100; y += 4)
      for (let x = 0; x < 100; x += 4)
        fill(raster, [0.2 + 0.1 * random(), 0.25 + 0.1 * random(), 0.35 + 0.1 * random()], x, y, 4, 4)
    fill(raster, '#e32322', 44, 44, 10, 10)
    const swatches = paletteOf(raster)
    expect(swatches.length).toBeGreaterThanOrEqual(5)
    expect(swatches.length).toBeLessThanOrEqual(8)
    expect(swatches.find(s => s.step === 'red')?.share).toBeCloseTo(0.01, 2)
    expect(paletteOf(raster)).toEqual(swatches)
  })
})

describe('hue bins', () => {
  // Reference: culori's HSV and OKLCH hue, turned to yellow at the top, clockwise.
  it('agree with culori on the process and the perceptual wheel', () => {
    const random = seededRandom(9),
      raster = createRaster(64, 64)
    for (let i = 0; i < raster.data.length; i++) raster.data[i] = i % 4 === 3 ? 255 : Math.floor(256 * random())
    const planes = planesOf(raster),
      hsv = converter('hsv'),
      oklch = converter('oklch')
    const process = hueHistogram(raster, planes, 'process').bins,
      perceptual = hueHistogram(raster, planes, 'perceptual').bins
    const apart = (p: number, q: number): number => Math.abs(((p - q + 540) % 360) - 180)
    for (let i = 0; i < 64 * 64; i++) {
      const [r, g, b] = [0, 1, 2].map(c => raster.data[i * 4 + c] / 255)
      const { c, h } = oklch({ mode: 'rgb', r, g, b })
      if (c < 0.0301) continue
      expect(process[i]).not.toBe(NO_HUE)
      expect(apart(process[i], 60 - hsv({ mode: 'rgb', r, g, b }).h!)).toBeLessThanOrEqual(0.51)
      expect(apart(perceptual[i], 110 - h!)).toBeLessThanOrEqual(0.51)
    }
  })

  it('fall into families at the valleys between humps, round the circle', () => {
    const weight = new Float64Array(360)
    for (const [at, w] of [
      [355, 5],
      [2, 5],
      [120, 3],
      [125, 1],
      [240, 2]
    ])
      weight[at] += w
    const { peaks, familyOfBin } = splitFamilies(weight)
    expect(peaks).toHaveLength(3)
    expect(familyOfBin[355]).toBe(familyOfBin[2])
    expect(new Set([familyOfBin[2], familyOfBin[120], familyOfBin[240]]).size).toBe(3)
    expect(familyOfBin[125]).toBe(familyOfBin[120])
  })
})
