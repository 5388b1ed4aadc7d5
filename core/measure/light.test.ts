import { describe, expect, it } from 'vitest'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { linearOfHex, type Rgb } from '../colour/srgb'
import { gaussian, seededRandom, type Random } from '../numeric/random'
import type { Area } from '../picture/area'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import { fill } from '../testing/paint'
import { ambientOf, measureLight, type ShadowPair } from './light'
import { isMeasured, type LightSection, type MaterialLight } from './report'

interface Scene {
  readonly raster: Raster
  readonly pairs: ShadowPair[]
  readonly truth: Rgb[]
}

/** Materials lit by one light, shadowed by one ambient; each sample a grainy patch. `altered` gets another ratio. */
function render(random: Random, materials: number, altered: number | null): Scene {
  const light: Rgb = [0.85 + 0.15 * random(), 0.8 + 0.2 * random(), 0.7 + 0.3 * random()]
  const dim = 0.12 + 0.25 * random()
  const ambient: Rgb = [dim * (0.6 + 0.5 * random()), dim * (0.8 + 0.3 * random()), dim * (0.9 + 0.6 * random())]
  const raster = createRaster(materials * 40, 80),
    truth: Rgb[] = []
  const pairs: ShadowPair[] = []
  for (let m = 0; m < materials; m++) {
    const reflectance: Rgb = [0.15 + 0.75 * random(), 0.15 + 0.75 * random(), 0.15 + 0.75 * random()]
    const lit = reflectance.map((r, c) => r * light[c]) as unknown as Rgb
    const expected = lit.map((v, c) => v * ambient[c]) as unknown as Rgb
    const strange =
      random() < 0.5
        ? expected.map(v => v * (random() < 0.5 ? 2.4 : 0.3))
        : [expected[0] * 3, expected[1] * 0.8, expected[2] * 0.5]
    const shadow = m === altered ? (strange as unknown as Rgb) : expected
    truth.push(expected)
    for (const [colour, y] of [
      [lit, 0],
      [shadow, 40]
    ] as const) {
      for (let py = 0; py < 40; py += 2)
        for (let px = 0; px < 40; px += 2)
          fill(
            raster,
            colour.map(v => Math.min(1, v * (1 + 0.05 * gaussian(random)))) as unknown as Rgb,
            m * 40 + px,
            y + py,
            2,
            2
          )
    }
    const area = (y: number): Area => ({
      kind: 'rectangle',
      x: (m * 40 + 8) / raster.width,
      y: y / 80,
      w: 24 / raster.width,
      h: 0.3
    })
    pairs.push({ name: `m${m}`, lit: area(8), shadow: area(48) })
  }
  return { raster, pairs, truth }
}

const materialsOf = ({ raster, pairs }: Scene): MaterialLight[] =>
  (measureLight(pairs, planesOf(raster), raster) as LightSection).materials.filter(isMeasured)

describe('one light', () => {
  it('names the altered material in 97 %, raises no false alarm in 97 %, and expects shadows within ΔE00 3', () => {
    const random = seededRandom(2030)
    const scenes = 100
    let named = 0,
      quiet = 0,
      worst = 0
    for (let i = 0; i < scenes; i++) {
      const count = 3 + Math.floor(random() * 6),
        altered = Math.floor(random() * count)
      const odd = render(random, count, altered),
        oddMaterials = materialsOf(odd)
      if (oddMaterials.every((m, k) => m.leaves === (k === altered))) named++
      const even = render(random, count, null),
        evenMaterials = materialsOf(even)
      if (evenMaterials.every(m => !m.leaves)) quiet++
      for (const [k, m] of evenMaterials.entries())
        worst = Math.max(
          worst,
          differenceOf(convertLinearToLab(linearOfHex(m.expected)), convertLinearToLab(even.truth[k]))
        )
    }
    expect(named / scenes).toBeGreaterThanOrEqual(0.97)
    expect(quiet / scenes).toBeGreaterThanOrEqual(0.97)
    expect(worst).toBeLessThan(3)
  })

  it("reads a pair's own facts: value, stops, chroma kept, only darker, overlap", () => {
    const raster = fill(fill(createRaster(40, 40), '#c86428', 0, 0, 40, 20), '#5e2b0d', 0, 20, 40, 20)
    const pair = {
      name: 'clay',
      lit: { kind: 'rectangle', x: 0, y: 0, w: 1, h: 0.4 },
      shadow: { kind: 'rectangle', x: 0, y: 0.6, w: 1, h: 0.4 }
    } as const
    const [clay] = materialsOf({ raster, pairs: [pair], truth: [] })
    // One pair agrees with itself: nothing leaves, and the expected shadow is the shadow.
    expect(clay).toMatchObject({
      lit: '#c86428',
      shadow: '#5e2b0d',
      expected: '#5e2b0d',
      deviation: 0,
      stops: 0,
      leaves: false,
      onlyDarker: true,
      overlap: 0
    })
    expect(clay.deltaValue).toBeLessThan(-25)
    const swapped = materialsOf({ raster, pairs: [{ ...pair, lit: pair.shadow, shadow: pair.lit }], truth: [] })[0]
    expect(swapped.overlap).toBeCloseTo(-clay.deltaValue, 1)
  })

  it('asks whether the shadows carry the sky', () => {
    expect(ambientOf([0.2, 0.25, 0.4], linearOfHex('#7fa6d8'))).toMatchObject({ carried: true })
    expect(ambientOf([0.4, 0.25, 0.2], linearOfHex('#7fa6d8'))).toMatchObject({ carried: false })
    expect(ambientOf([0.3, 0.3, 0.3], linearOfHex('#7fa6d8'))).toBeNull()
  })
})
