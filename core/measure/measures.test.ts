/** Values, temperature, edges, composition and separation on pictures whose numbers are known beforehand. */
import { describe, expect, it } from 'vitest'
import { convertLinearToLab, valueOfLinear } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import { seededRandom } from '../numeric/random'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import { fill, stripes } from '../testing/paint'
import { measureComposition, silhouetteOf } from './composition/composition'
import { measureDepth } from './value/depth'
import { edgeMaps } from './composition/edge-maps'
import { cutOutOf } from './composition/edges'
import { linesOf } from './composition/lines'
import { greyDisagreements } from './value/greys'
import { chromaticBlacks, flatBlackPatches } from './value/patches'
import { measureSeparation, compareMeans, meanOf } from './value/separation'
import { measureTemperature } from './temperature'
import { readThumbnail } from './value/thumbnail'
import { measureValue, valueGroups } from './value/value'
import { ringOf, spansOf } from '../picture/area'
import type { Separation, TemperatureSection, ValueSection } from './report'

const valueSection = (raster: Raster): ValueSection => measureValue(planesOf(raster)) as ValueSection

describe('values', () => {
  it('come out as CIE 15 gives them for greys', () => {
    // Bytes 48, 119 and 198: L* 19.87, 50.03 and 79.89 (colorjs.io).
    const section = valueSection(stripes(['#303030', '#777777', '#c6c6c6'], [30, 40, 30]))
    expect(section).toMatchObject({
      darkest: 19.9,
      lightest: 79.9,
      range: 60,
      median: 50,
      key: 'middle',
      verdict: 'moderate',
      thirds: { dark: 0.3, middle: 0.4, light: 0.3 }
    })
    expect(section.groups).toEqual([
      { value: 19.9, share: 0.3 },
      { value: 50, share: 0.4 },
      { value: 79.9, share: 0.3 }
    ])
  })

  it('are parted into as many groups as are asked for, each with its share', () => {
    const planes = planesOf(stripes(['#101010', '#303030', '#777777', '#c6c6c6', '#ffffff'], 20))
    const d = planes.values
    for (const count of [2, 3, 4, 5]) expect(valueGroups(d, count)).toHaveLength(count)
    expect(valueGroups(d, 5).reduce((sum, g) => sum + g.share, 0)).toBeCloseTo(1, 12)
  })

  it('find flat black where it lies, and offer blacks of its value leaning as the darks do', () => {
    const raster = fill(fill(createRaster(100, 80), '#8a6a50'), '#060606', 60, 40, 30, 20)
    const planes = planesOf(raster)
    const [patch] = flatBlackPatches(planes)
    expect(patch).toMatchObject({ bounds: { x: 0.6, y: 0.5, w: 0.3, h: 0.25 }, share: 600 / 8000 })
    for (const temperature of [20, -20]) {
      for (const hex of chromaticBlacks(6, temperature)) {
        expect(Math.abs(valueOfLinear(linearOfHex(hex)) - 6)).toBeLessThan(1)
        const [, a, b] = convertLinearToLab(linearOfHex(hex))
        expect(Math.sign(a + b)).toBe(temperature > 0 ? 1 : -1)
      }
    }
  })

  it('keep or lose their variance at thumbnail size', () => {
    const big = stripes(['#202020', '#e0e0e0'], 320, 400)
    const fine = createRaster(640, 400)
    for (let i = 0; i < 640 * 400; i++) fine.data.set(i % 2 ? [32, 32, 32, 255] : [224, 224, 224, 255], i * 4)
    expect(readThumbnail(big, planesOf(big), {}).kept).toBeGreaterThan(0.98)
    expect(readThumbnail(fine, planesOf(fine), {}).kept).toBeLessThan(0.02)
  })

  it('disagree with other greys on saturated colour', () => {
    const raster = stripes(['#e32322', '#777777'], 50)
    const [largest] = greyDisagreements(raster, planesOf(raster))
    // Red #e32322: L* 49.1; its HSV value 227 is seen as L* 89.9 (CIE 15).
    expect(largest).toMatchObject({ hex: '#e32322', against: 'hsv', share: 0.5 })
    expect(largest.difference).toBeCloseTo(49.1 - 89.9, 0)
  })
})

describe('separation', () => {
  const raster = fill(fill(createRaster(200, 160), '#777777'), '#858585', 60, 50, 60, 50)
  const area = { kind: 'rectangle', x: 0.3, y: 50 / 160, w: 0.3, h: 50 / 160 } as const

  it('is the area less its ring', () => {
    // Bytes 133 and 119: L* 55.5 and 50.0.
    expect(measureSeparation({ name: 'square', area, planes: planesOf(raster), raster })).toMatchObject({
      value: 55.5,
      ring: 50,
      deltaValue: 5.5,
      merges: true
    } satisfies Partial<Separation>)
  })

  it('takes a ring of the stated width all round, by a plain count of distances', () => {
    const width = 60,
      height = 50
    const polygon = {
      kind: 'polygon',
      points: [
        [0.3, 0.3],
        [0.7, 0.35],
        [0.6, 0.7],
        [0.35, 0.6]
      ]
    } as const
    const inside = new Set<number>(),
      ring = new Set<number>()
    const collect = (spans: ReturnType<typeof spansOf>, to: Set<number>) =>
      spans.rows.forEach((row, r) => {
        for (let s = 0; s < row.length; s += 2)
          for (let x = row[s]; x < row[s + 1]; x++) to.add((spans.top + r) * width + x)
      })
    const spans = spansOf(polygon, { width, height })
    collect(spans, inside)
    collect(ringOf(spans, 5), ring)
    for (let i = 0; i < width * height; i++) {
      const near = [...inside].some(
        j => Math.hypot((i % width) - (j % width), Math.floor(i / width) - Math.floor(j / width)) <= 5
      )
      expect(ring.has(i)).toBe(near && !inside.has(i))
    }
  })

  it('compares two areas in the same terms', () => {
    const planes = planesOf(raster)
    const mean = (a: typeof area | { kind: 'rectangle'; x: number; y: number; w: number; h: number }) =>
      meanOf(spansOf(a, { width: 200, height: 160 }), planes, raster)!
    expect(compareMeans('both', mean(area), mean({ kind: 'rectangle', x: 0, y: 0, w: 0.2, h: 0.2 })).deltaValue).toBe(
      5.5
    )
  })
})

describe('temperature', () => {
  it('parts warm lights from cool darks, and calls grey neither', () => {
    const section = measureTemperature(planesOf(stripes(['#233a57', '#808080', '#f2c58a'], 30))) as TemperatureSection
    expect(section).toMatchObject({ neither: 0.333, warm: 0.333, cool: 0.333 })
    expect(section.lights).toBeGreaterThan(20)
    expect(section.darks).toBeLessThan(-10)
    expect(section.lightMinusDark).toBeCloseTo(section.lights - section.darks, 0)
  })

  it('reads a grey in a cyan scene as warm', () => {
    const raster = fill(fill(createRaster(100, 100), '#2fa7b5'), '#808080', 40, 40, 20, 20)
    const separation = measureSeparation({
      name: 'stone',
      area: { kind: 'rectangle', x: 0.4, y: 0.4, w: 0.2, h: 0.2 },
      planes: planesOf(raster),
      raster
    })
    expect((separation as Separation).deltaTemperature).toBeGreaterThan(20)
  })

  it('points out a far plane that is warmer and stronger than the near one', () => {
    const raster = stripes(['#5a4a40', '#7a8088', '#d8672f'], 30)
    const third = (i: number) => ({ kind: 'rectangle', x: i / 3, y: 0, w: 1 / 3, h: 1 }) as const
    expect(measureDepth({ near: third(0), middle: third(1), far: third(2) }, planesOf(raster), raster)).toMatchObject({
      inOrder: true,
      farWarmer: true,
      farStronger: true
    })
  })
})

describe('edges', () => {
  it('tell a drawing in line from forms in value', () => {
    const drawn = fill(createRaster(600, 600), '#f0f0f0')
    for (let y = 20; y < 600; y += 30) fill(drawn, '#222222', 10, y, 580, 2)
    expect(linesOf(planesOf(drawn))!.dark).toBeGreaterThan(0.8)
    expect(linesOf(planesOf(stripes(['#222222', '#888888', '#eeeeee'], 200, 600)))!.dark).toBeLessThan(0.02)
    expect(linesOf(planesOf(fill(createRaster(20, 20), '#888888')))).toBeNull()
  })

  it('see a hard figure on a soft ground as pasted on', () => {
    const raster = createRaster(400, 300)
    for (let x = 0; x < 400; x++) {
      const grey = Math.round(90 + x / 5)
        .toString(16)
        .padStart(2, '0')
      fill(raster, `#${grey}${grey}${grey}`, x, 0, 1, 300)
    }
    const random = seededRandom(1)
    for (let k = 0; k < 60; k++)
      fill(
        raster,
        random() < 0.5 ? '#111111' : '#eeeeee',
        160 + Math.floor(70 * random()),
        110 + Math.floor(70 * random()),
        8,
        8
      )
    const planes = planesOf(raster)
    const figure = { kind: 'rectangle', x: 0.4, y: 0.36, w: 0.2, h: 0.27 } as const
    expect(cutOutOf(figure, planes, edgeMaps(planes))).toMatchObject({ pasted: true })
    expect(cutOutOf({ kind: 'rectangle', x: 0.05, y: 0.05, w: 0.1, h: 0.1 }, planes, edgeMaps(planes))).toMatchObject({
      pasted: false
    })
  })
})

describe('composition', () => {
  it('reads mirror symmetry, balance and horizon', () => {
    const even = stripes(['#222222', '#dddddd', '#222222'], 30, 60)
    expect(measureComposition(planesOf(even))).toMatchObject({ symmetry: 1, balance: { x: 0.5, y: 0.5 } })
    const sea = fill(fill(createRaster(120, 100), '#cfe0ea'), '#27506e', 0, 62, 120, 38)
    expect(measureComposition(planesOf(sea))).toMatchObject({ horizon: 0.62 })
    expect(measureComposition(planesOf(fill(createRaster(9, 9), '#555555')))).toMatchObject({
      symmetry: { kind: 'not-measurable' },
      horizon: { kind: 'not-measurable' },
      balance: { kind: 'not-measurable' }
    })
  })

  it("knows a square's compactness π/4, and a notched shape by its hull", () => {
    expect(silhouetteOf({ kind: 'rectangle', x: 0, y: 0, w: 0.5, h: 0.5 }, 100, 100)).toMatchObject({
      solidity: 1,
      compactness: expect.closeTo(Math.PI / 4, 9)
    })
    expect(
      silhouetteOf(
        {
          kind: 'polygon',
          points: [
            [0, 0],
            [1, 0],
            [1, 1],
            [0.5, 0.5],
            [0, 1]
          ]
        },
        100,
        100
      )!.solidity
    ).toBeCloseTo(0.75, 9)
  })
})
