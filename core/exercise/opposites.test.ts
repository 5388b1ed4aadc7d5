import { describe, expect, it } from 'vitest'
import { hueHistogram } from '../measure/harmony/hues'
import { measurePicture } from '../measure/picture'
import { planesOf } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { stripes } from '../testing/paint'
import { PAINTER_ANCHORS } from '../wheel/painter'
import type { CheckResult } from './exercise'
import { accentShare } from './opposites'
import { checkHandIn, EXERCISE_KEYS, EXERCISES } from './shelf'

function check(raster: Raster): Record<string, CheckResult> {
  const report = measurePicture({
    raster,
    source: { format: 'png', width: raster.width, height: raster.height },
    options: { wheel: 'painter' }
  })
  const results = checkHandIn('opposites', { report, hues: hueHistogram(raster, planesOf(raster), 'painter') })
  for (const r of results) expect(r.passed).toBe(r.value >= r.atLeast && r.value <= r.atMost)
  return Object.fromEntries(results.map(r => [r.id, r]))
}

describe('the opposites exercise', () => {
  it.each([0, 1, 2, 3, 4, 5])('accepts every pair of the painter wheel, one leading (pair %d)', i => {
    const results = check(stripes(['#101010', PAINTER_ANCHORS[i], PAINTER_ANCHORS[i + 6], '#f4f4f4'], [20, 60, 8, 20]))
    expect(Object.values(results).map(r => r.passed)).toEqual([true, true, true])
  })

  it('says what is missing: an accent, a pair, the values, any colour', () => {
    expect(check(stripes(['#101010', '#2a71b0', '#f4f4f4'], 30)).accent).toMatchObject({
      passed: false,
      found: expect.stringContaining('hardly there')
    })
    expect(check(stripes(['#2a71b0', '#f18e1c'], 30)).accent).toMatchObject({
      passed: false,
      found: expect.stringContaining('compete')
    })
    expect(check(stripes([PAINTER_ANCHORS[0], PAINTER_ANCHORS[4], PAINTER_ANCHORS[8]], 30)).coverage.passed).toBe(false)
    expect(check(stripes(['#2a71b0', '#6a90b8', '#f18e1c'], [40, 40, 6])).range).toMatchObject({ passed: false })
    expect(check(stripes(['#222222', '#dddddd'], 30)).coverage).toMatchObject({
      passed: false,
      value: 0,
      found: 'There is no colour to measure.'
    })
  })

  it('counts the accent as a share of the pair', () => {
    expect(accentShare({ sectors: [0.6, 0.2] })).toBeCloseTo(0.25, 12)
    expect(accentShare({ sectors: [0, 0] })).toBe(0)
  })
})

it('asks on the sheet what it checks afterwards', () => {
  for (const key of EXERCISE_KEYS) {
    const { checks, steps } = EXERCISES[key]
    expect(steps.length).toBeGreaterThan(2)
    const results = checkHandIn(
      key,
      (() => {
        const raster = stripes(['#101010', '#2a71b0', '#f18e1c'], 20)
        return {
          report: measurePicture({
            raster,
            source: { format: 'png', width: 60, height: 20 },
            options: { wheel: 'painter' }
          }),
          hues: hueHistogram(raster, planesOf(raster), 'painter')
        }
      })()
    )
    expect(results.map(r => r.asks)).toEqual(checks.map(c => c.asks))
  }
})
