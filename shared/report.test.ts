/**
 * What holds for every picture: the schema, no NaN, shares that sum to 1, mirrored positions, and one size like
 * another.
 */
import { describe, expect, it } from 'vitest'
import { gaussian, seededRandom, type Random } from '../core/numeric/random'
import { createRaster, type Raster } from '../core/picture/raster'
import { measurePicture } from '../core/measure/picture'
import { isMeasured, type Report, type ValueSection } from '../core/measure/report'
import { fill } from '../core/testing/paint'
import { fingerprintOf } from '../core/measure/fingerprint'
import { reportSchema } from './report'
import { fingerprintSchema } from './pieces/submission'

/** Soft and hard patches, clear holes, tiny and thin sizes: whatever comes. */
function anyPicture(random: Random): Raster {
  const width = 1 + Math.floor(random() ** 2 * 260),
    height = 1 + Math.floor(random() ** 2 * 260)
  const raster = fill(createRaster(width, height), [random(), random(), random()])
  for (let k = Math.floor(random() * 14); k > 0; k--) {
    const x = Math.floor(random() * width),
      y = Math.floor(random() * height)
    fill(
      raster,
      random() < 0.3 ? [0.2, 0.2, 0.2] : [random(), random(), random()],
      x,
      y,
      1 + Math.floor(random() * (width - x)),
      1 + Math.floor(random() * (height - y)),
      random() < 0.15 ? 0 : 255
    )
  }
  if (random() < 0.3)
    for (let i = 0; i < raster.data.length; i++) if (i % 4 < 3) raster.data[i] += 12 * gaussian(random)
  return raster
}

const reportOf = (raster: Raster): Report =>
  reportSchema.parse(
    measurePicture({
      raster,
      source: { format: 'png', width: raster.width, height: raster.height },
      options: {
        wheel: 'painter',
        focus: { kind: 'rectangle', x: 0.3, y: 0.3, w: 0.3, h: 0.3 },
        areas: [{ name: 'a', area: { kind: 'rectangle', x: 0.1, y: 0.5, w: 0.2, h: 0.2 } }]
      }
    })
  )

describe('every picture', () => {
  it('gives a valid report without NaN, whose shares sum to 1', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const report = reportOf(anyPicture(seededRandom(seed)))
      const fingerprint = fingerprintOf(report)
      expect(fingerprint === null, `seed ${seed}`).toBe(!isMeasured(report.value))
      if (fingerprint) expect(fingerprintSchema.parse(fingerprint)).toEqual(fingerprint)
      expect(JSON.stringify(report), `seed ${seed}`).not.toMatch(/null(?!,"kind":"neutral")|NaN|Infinity/)
      if (!isMeasured(report.value) || !isMeasured(report.temperature) || !isMeasured(report.harmony)) continue
      const { dark, middle, light } = report.value.thirds
      expect(Math.abs(dark + middle + light - 1), `seed ${seed}`).toBeLessThan(0.0021)
      const { warm, cool, neither } = report.temperature
      expect(Math.abs(warm + cool + neither - 1)).toBeLessThan(0.0021)
      expect(Math.abs(report.harmony.palette.reduce((sum, s) => sum + s.share, 0) - 1)).toBeLessThan(0.006)
      if (isMeasured(report.value.groups))
        expect(Math.abs(report.value.groups.reduce((sum, g) => sum + g.share, 0) - 1)).toBeLessThan(0.004)
    }
  })

  it("reads the same at twice the size, within the report's rounding", () => {
    for (let seed = 200; seed < 212; seed++) {
      const small = anyPicture(seededRandom(seed)),
        large = createRaster(small.width * 2, small.height * 2)
      for (let y = 0; y < large.height; y++)
        for (let x = 0; x < large.width; x++) {
          const p = ((y >> 1) * small.width + (x >> 1)) * 4
          large.data.set(small.data.subarray(p, p + 4), (y * large.width + x) * 4)
        }
      const [own, twice] = [small, large].map(reportOf)
      if (!isMeasured(own.value)) continue
      for (const name of ['median', 'nearBlack', 'nearWhite'] as const)
        expect(
          Math.abs((twice.value as ValueSection)[name] - own.value[name]),
          `seed ${seed} ${name}`
        ).toBeLessThanOrEqual(0.1)
      // Percentiles of a few dozen pixels step between ranks; four times the pixels step less.
      if (small.width * small.height > 2000)
        expect(Math.abs((twice.value as ValueSection).range - own.value.range), `seed ${seed}`).toBeLessThanOrEqual(0.5)
      expect(twice.temperature).toMatchObject(
        isMeasured(own.temperature) ? { mean: expect.closeTo(own.temperature.mean, 0) } : { kind: 'not-measurable' }
      )
      if (isMeasured(own.harmony) && isMeasured(twice.harmony)) expect(twice.harmony.scheme).toEqual(own.harmony.scheme)
    }
  })

  it('mirrors its positions when it is mirrored', () => {
    for (let seed = 300; seed < 312; seed++) {
      const raster = anyPicture(seededRandom(seed)),
        mirrored = createRaster(raster.width, raster.height)
      for (let y = 0; y < raster.height; y++)
        for (let x = 0; x < raster.width; x++)
          mirrored.data.set(
            raster.data.subarray((y * raster.width + x) * 4, (y * raster.width + x) * 4 + 4),
            (y * raster.width + raster.width - 1 - x) * 4
          )
      const [own, other] = [raster, mirrored].map(reportOf)
      expect(other.value).toEqual(own.value)
      if (!isMeasured(own.composition) || !isMeasured(other.composition)) continue
      if (isMeasured(own.composition.balance))
        expect((other.composition.balance as { x: number }).x).toBeCloseTo(1 - own.composition.balance.x, 2)
      expect(other.composition.symmetry).toEqual(own.composition.symmetry)
    }
  })
})
