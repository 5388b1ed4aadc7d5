/** Every exercise with a picture that passes all of it, and for each of its checks one that fails that check alone. */
import { describe, expect, it } from 'vitest'
import { check, failed } from '../testing/exercises/check'
import { EXAMPLES } from '../testing/exercises/examples'
import { anchor, ENDS, grey, painted, sixty } from '../testing/exercises/fields'
import type { Raster } from '../picture/raster'
import { shareAmong } from './checks/colour'
import type { Plan } from './plan/plan'
import { differentHues, PLAIN_SETTINGS, type Settings } from './settings'
import { BOARDS, EXERCISE_KEYS, exerciseOf } from './shelf'

describe.each(EXERCISE_KEYS)('%s', key => {
  const { passes, fails, beside, failsBeside } = EXAMPLES[key],
    { checks, steps } = exerciseOf(key)
  it('accepts what it asks for, and asks beforehand what it checks', () => {
    const results = check(key, passes, beside)
    expect(failed(results)).toEqual([])
    expect(results.map(r => r.asks)).toEqual(checks.map(c => c.asks(PLAIN_SETTINGS)))
    expect(steps.length).toBeGreaterThan(2)
  })

  it.each(Object.entries(fails))('says when %s alone is missing', (id, raster) => {
    const results = check(key, raster, failsBeside?.[id] ?? beside)
    expect(failed(results)).toEqual([id])
    expect(results.find(r => !r.passed)!.tip).not.toBe('')
  })

  it('has an example for each of its checks', () => {
    // A picture smeared between seven or nine steps has no even steps either.
    const left = key === 'ladder-7' || key === 'ladder-9' ? ['masses'] : []
    expect([...Object.keys(fails), ...left].sort()).toEqual(checks.map(c => c.id).sort())
  })
})

describe('opposites', () => {
  it.each([0, 1, 2, 3, 4, 5])('are every pair of the painter wheel, one leading (pair %d)', i => {
    expect(failed(check('opposites', painted(anchor(i, 60), anchor(i + 6, 8), ...ENDS)))).toEqual([])
  })

  it('are told what is missing in words', () => {
    const said = (raster: Raster, id: string): string => check('opposites', raster).find(r => r.id === id)!.found
    expect(said(painted(anchor(8, 60), ...ENDS), 'accent')).toContain('hardly there')
    expect(said(painted(anchor(8, 30), anchor(2, 30)), 'accent')).toContain('compete')
    expect(said(painted(grey(15, 30), grey(85, 30)), 'coverage')).toBe('There is no colour to measure.')
  })
})

it('counts the smallest and the largest as shares of what lies within', () => {
  expect(shareAmong({ sectors: [0.6, 0.2] }, 'smallest')).toBeCloseTo(0.25, 12)
  expect(shareAmong({ sectors: [0.6, 0.2] }, 'largest')).toBeCloseTo(0.75, 12)
  expect(shareAmong({ sectors: [0, 0] }, 'smallest')).toBe(0)
})

describe('what an exercise is set with', () => {
  it('asks for the key colour that was given, in the words of the wheel', () => {
    const blue = check('opposites', painted(...sixty, ...ENDS), { settings: { hue: 240 } })
    expect(failed(blue)).toEqual([])
    const green = check('opposites', painted(...sixty, ...ENDS), { settings: { hue: 300 } })
    expect(failed(green)).toEqual(['key'])
    expect(green.at(-1)).toMatchObject({
      asks: 'The leading colour is the one you were given: green',
      found: 'It is blue.'
    })
  })

  it('gives way for a beginner, and less for who has done it before', () => {
    const nearly = painted(anchor(8, 60), anchor(2, 22), ...ENDS)
    const of = (tolerance: Settings['tolerance']) => failed(check('opposites', nearly, { settings: { tolerance } }))
    expect(of('wide')).toEqual([])
    expect(of('usual')).toEqual(['accent'])
  })

  it('is held against the plan: its scheme, its key, its amounts', () => {
    const plan: Plan = { subject: 'a boat', goal: '', scheme: 'complementary', hue: 240, amounts: [0.65, 0.3, 0.05] }
    expect(failed(check('opposites', painted(...sixty, ...ENDS), { plan }))).toEqual([])
    expect(failed(check('opposites', painted(...sixty, ...ENDS), { plan: { ...plan, hue: 120 } }))).toEqual([
      'plan',
      'amounts-planned'
    ])
    expect(failed(check('opposites', painted(anchor(8, 60), anchor(2, 18), ...ENDS), { plan }))).toEqual([
      'amounts-planned'
    ])
  })

  it('is different for everybody: no two of twelve alike, neighbours of a list far apart', () => {
    const hues = differentHues(12)
    expect(new Set(hues).size).toBe(12)
    hues.slice(1).forEach((hue, i) => {
      const apart = Math.abs(hue - hues[i])
      expect(Math.min(apart, 360 - apart)).toBeGreaterThanOrEqual(120)
    })
  })
})

it('every exercise stands on one board of the shelf', () => {
  expect(BOARDS.flatMap(b => b.keys).sort()).toEqual([...EXERCISE_KEYS].sort())
})
