import { describe, expect, it } from 'vitest'
import { convertSrgbToLinear, type Rgb } from '../../colour/srgb'
import { gaussian, seededRandom, type Random } from '../../numeric/random'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { fill, stripes } from '../../testing/paint'
import { PAINTER_ANCHORS } from '../../wheel/painter'
import { SCHEMES, type SectorScheme } from '../../wheel/schemes'
import { anchorAt } from '../../wheel/wheel'
import { fitToGamut } from '../../colour/gamut'
import { balancingShares, proportionOf } from './proportion'
import { measureHarmony } from './harmony'
import { isMeasured, type HarmonySection } from '../report'
import { fitAt } from './scheme'

const harmonyOf = (raster: Raster): HarmonySection =>
  measureHarmony({ raster, planes: planesOf(raster), wheel: 'painter' }) as HarmonySection

/** One pixel of a hue taken toward white, black or grey, with hue scatter. */
function mixedColour(random: Random, position: number, scatter: number): Rgb {
  const anchor = fitToGamut(anchorAt('painter', position + scatter * gaussian(random)))
  const toward = [0, 0.05, convertSrgbToLinear(0.47), 1][Math.floor(random() * 4)]
  const amount = random() * 0.45
  return anchor.map(c => c * (1 - amount) + toward * amount) as unknown as Rgb
}

/** A picture of a scheme: patches with tints, tones and shades, unequal amounts, a neutral ground. */
function pictureOf(name: SectorScheme, random: Random): Raster {
  const raster = fill(createRaster(96, 72), ['#777777', '#cfcfcf', '#2c2c2c'][Math.floor(random() * 3)])
  const rotation = random() * 360
  const centres = hueCentres(name).map(c => c + rotation)
  const shares = centres.map(() => 0.35 + random())
  const total = shares.reduce((p, q) => p + q, 0)
  const patches = centres.flatMap((centre, i) =>
    new Array<number>(Math.max(10, Math.round((shares[i] / total) * 90))).fill(centre)
  )
  const scatter = 5 + 2 * random()
  patches.forEach((centre, i) => {
    const x = (i % 12) * 8,
      y = Math.floor(i / 12) * 7
    if (y + 7 > 72) return
    for (let k = 0; k < 4; k++)
      fill(raster, mixedColour(random, centre, scatter), x + (k % 2) * 4, y + (k >> 1) * 3, 4, 3)
  })
  return raster
}

/** Where a painter following the scheme puts his hues: the neighbours of an analogous sector are 30° apart. */
function hueCentres(name: SectorScheme): number[] {
  if (name === 'analogous') return [-30, 0, 30]
  if (name === 'analogous-accent') return [-30, 0, 30, 180]
  if (name === 'wide-analogous') return [-60, -30, 0, 30, 60]
  return SCHEMES.find(s => s.name === name)!.sectors.map(s => s.centre)
}

describe('scheme recognition', () => {
  it('names at least 97 % of generated pictures of every scheme, at random rotations', () => {
    const random = seededRandom(77)
    const misses: string[] = []
    const each = 30
    for (const { name } of SCHEMES) {
      for (let i = 0; i < each; i++) {
        const named = harmonyOf(pictureOf(name, random)).scheme.name
        if (named !== name) misses.push(`${name} → ${named}`)
      }
    }
    expect(misses.length / (each * SCHEMES.length), misses.join('; ')).toBeLessThanOrEqual(0.03)
  })

  it('covers what a plain count over the definition covers', () => {
    const random = seededRandom(4)
    const weight = Float64Array.from({ length: 360 }, () => random() ** 4)
    const total = weight.reduce((p, q) => p + q, 0)
    const distance = (p: number, q: number): number => Math.min(Math.abs(p - q), 360 - Math.abs(p - q))
    for (const { name, sectors, width } of SCHEMES) {
      const rotation = Math.floor(random() * 360)
      let inside = 0,
        away = 0
      weight.forEach((w, bin) => {
        const gaps = sectors.map(s => distance(bin, (s.centre + rotation + 360) % 360))
        if (gaps.some((g, i) => g <= sectors[i].half)) inside += w
        away += w * Math.min(...gaps)
      })
      const fit = fitAt(name, weight, rotation)
      expect(fit.coverage).toBeCloseTo(inside / total, 9)
      expect(fit.score).toBeCloseTo(inside / total - (0.3 * width) / 360 - away / total / 500, 9)
    }
  })
})

describe('families, proportion, palette', () => {
  it('reads two equal opposites as two colours in equal amounts', () => {
    const harmony = harmonyOf(stripes([PAINTER_ANCHORS[0], PAINTER_ANCHORS[6]], 40))
    expect(harmony.colours).toBe(2)
    expect(harmony.scheme).toMatchObject({ name: 'complementary', coverage: 1 })
    const families = harmony.families as readonly { step: string; position: number; area: number }[]
    expect(families.map(f => f.step).sort()).toEqual(['violet', 'yellow'])
    for (const f of families) {
      expect(f.area).toBeCloseTo(0.5, 3)
      expect(Math.abs(((f.position + 90) % 180) - 90)).toBeLessThan(0.6)
    }
    expect(harmony.palette.map(s => s.hex).sort()).toEqual(['#6d398b', '#f4e500'])
  })

  it('calls greys achromatic, and greys with one red an accent', () => {
    expect(harmonyOf(stripes(['#222222', '#888888', '#dddddd'])).scheme).toMatchObject({
      name: 'achromatic',
      rotation: { kind: 'not-measurable' }
    })
    const accent = harmonyOf(stripes(['#222222', '#888888', '#dddddd', '#e32322'], [30, 30, 30, 8]))
    expect(accent.scheme.name).toBe('achromatic-accent')
    expect(accent.neutrals).toBeCloseTo(90 / 98, 3)
  })

  it('calls six unlike hues an open palette', () => {
    const harmony = harmonyOf(
      stripes(
        [0, 2, 4, 6, 8, 10].map(i => PAINTER_ANCHORS[i]),
        20
      )
    )
    expect(harmony.scheme.name).toBe('open')
    expect(harmony.colours).toBe(6)
    expect(isMeasured(harmony.offScheme) && harmony.offScheme > 0.2).toBe(true)
  })

  it('measures evenness by Shannon (Pielou 1966)', () => {
    expect(proportionOf([0.5, 0.5])!.evenness).toBeCloseTo(1, 12)
    expect(proportionOf([0.1, 0.7, 0.2])).toMatchObject({
      shares: [expect.closeTo(0.7), expect.closeTo(0.2), expect.closeTo(0.1)]
    })
    expect(proportionOf([0.7, 0.2, 0.1])!.evenness).toBeCloseTo(0.8018 / Math.log(3), 4)
    expect(proportionOf([1])).toBeNull()
  })

  // Goethe's light values, as taught with the contrast of extension (from memory): areas in inverse ratio.
  it.each([
    [0, 180, 1 / 3],
    [60, 240, 1 / 2],
    [120, 300, 1]
  ])('balances position %d against %d at %f', (p, q, ratio) => {
    const [first, second] = balancingShares([p, q])
    expect(first / second).toBeCloseTo(ratio, 9)
  })
})
