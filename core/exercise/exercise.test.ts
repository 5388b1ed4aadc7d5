/**
 * Every exercise with a picture that passes all of it, and for each of its checks one that fails that check alone. Pictures are flat
 * stripes of the painter's anchors and of greys of a given L*.
 */
import { describe, expect, it } from 'vitest'
import { convertValueToLuminance } from '../colour/lab'
import { convertOklabToLinear } from '../colour/oklab'
import type { Rgb } from '../colour/srgb'
import { hueHistogram } from '../measure/harmony/hues'
import { measurePicture } from '../measure/picture'
import { planesOf } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { stripes } from '../testing/paint'
import { painterAnchorAt, PAINTER_ANCHORS } from '../wheel/painter'
import { shareAmong } from './checks/colour'
import type { CheckResult } from './exercise'
import { checkHandIn, EXERCISE_KEYS, EXERCISES, type ExerciseKey } from './shelf'

function check(key: ExerciseKey, raster: Raster): CheckResult[] {
  const report = measurePicture({
    raster,
    source: { format: 'png', width: raster.width, height: raster.height },
    options: { wheel: 'painter' }
  })
  const planes = planesOf(raster)
  const results = checkHandIn(key, { report, planes, hues: hueHistogram(raster, planes, 'painter') })
  for (const r of results) expect(r.passed).toBe(r.value >= r.atLeast && r.value <= r.atMost)
  return results
}

type Stripe = readonly [colour: string | Rgb, width: number]
const painted = (...all: readonly Stripe[]): Raster =>
  stripes(
    all.map(([c]) => c),
    all.map(([, w]) => w)
  )
const anchor = (step: number, width: number): Stripe => [PAINTER_ANCHORS[((step % 12) + 12) % 12], width]
/** A grey of a value. */
const grey = (value: number, width: number): Stripe => {
  const y = convertValueToLuminance(value)
  return [[y, y, y], width]
}
/** The anchor of a step at another lightness and strength: times of its own. */
const mixed = (
  step: number,
  { light, strong }: { readonly light: number; readonly strong: number },
  width: number
): Stripe => {
  const [, a, b] = painterAnchorAt(30 * step)
  return [convertOklabToLinear([light, a * strong, b * strong]), width]
}
const ENDS: readonly Stripe[] = [grey(8, 6), grey(96, 6)]
const NARROW: readonly Stripe[] = []

/** Of one colour from dark to light. */
const tints = (step: number, lights: readonly number[], width = 16): Stripe[] =>
  lights.map(light => mixed(step, { light, strong: 0.45 }, width))
const greyedSteps = (strengths: readonly number[], width = 14): Stripe[] =>
  strengths.map((strong, i) => mixed(i % 2 ? 2 : 8, { light: 0.45 + 0.06 * (i % 3), strong }, width))
const darks = (a: number, b: number): Stripe[] => [
  mixed(4, { light: 0.22, strong: 0.25 }, a),
  mixed(9, { light: 0.22, strong: 0.35 }, b)
]

interface Example {
  readonly passes: Raster
  /** By the check that fails, alone. */
  readonly fails: Readonly<Record<string, Raster>>
}

const masses = (values: readonly (readonly [value: number, width: number])[]): Raster =>
  painted(...values.map(([v, w]) => grey(v, w)))
/** Even steps from dark to light, with what is added. */
const ladder = (n: number, bend = 1, ...more: readonly Stripe[]): Raster =>
  painted(...Array.from({ length: n }, (_, i) => grey(12 + 80 * (i / (n - 1)) ** bend, 20)), ...more)
/** Between the steps of a ladder, in a share of it. */
const smear = (n: number): Stripe[] => Array.from({ length: n - 1 }, (_, i) => grey(12 + (80 * (i + 0.5)) / (n - 1), 8))
const ladders = (n: number): Example => ({
  passes: ladder(n),
  fails: {
    even: ladder(n, n === 9 ? 1.5 : 2),
    range: masses(Array.from({ length: n }, (_, i) => [40 + (58 * i) / (n - 1), 20] as const)),
    ...(n === 5 ? { masses: ladder(n, 1, ...smear(n)) } : {})
  }
})

const EXAMPLES: Readonly<Record<ExerciseKey, Example>> = {
  'two-values': {
    passes: masses([
      [20, 60],
      [80, 40]
    ]),
    fails: {
      masses: masses([
        [10, 30],
        [28, 30],
        [75, 20],
        [92, 20]
      ]),
      apart: masses([
        [40, 60],
        [62, 40]
      ]),
      large: masses([
        [20, 95],
        [80, 5]
      ])
    }
  },
  'three-values': {
    passes: masses([
      [15, 30],
      [50, 40],
      [85, 30]
    ]),
    fails: {
      masses: masses([
        [10, 20],
        [26, 20],
        [55, 20],
        [70, 10],
        [94, 30]
      ]),
      apart: masses([
        [40, 30],
        [54, 40],
        [85, 30]
      ]),
      large: masses([
        [15, 45],
        [50, 50],
        [85, 5]
      ])
    }
  },
  'ladder-5': ladders(5),
  'ladder-7': ladders(7),
  'ladder-9': ladders(9),
  'one-colour': {
    passes: painted(...tints(8, [0.15, 0.3, 0.42, 0.54, 0.66, 0.78, 0.92])),
    fails: {
      coverage: painted(...tints(8, [0.15, 0.3, 0.42, 0.54]), ...tints(2, [0.66, 0.78, 0.92])),
      values: painted(...tints(8, [0.15, 0.16, 0.92, 0.93])),
      range: painted(...tints(8, [0.41, 0.5, 0.59, 0.68, 0.77], 20))
    }
  },
  muted: {
    passes: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]), ...ENDS),
    fails: {
      coverage: painted(
        ...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]),
        mixed(5, { light: 0.5, strong: 0.6 }, 50),
        ...ENDS
      ),
      greyed: painted(...greyedSteps([0.5, 0.5]), ...ENDS),
      muted: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]), anchor(2, 20), ...ENDS),
      range: painted(...greyedSteps([0.9, 0.75, 0.6, 0.45, 0.3, 0.15]))
    }
  },
  'no-black': {
    passes: painted(...darks(20, 20), anchor(2, 40), grey(92, 20)),
    fails: {
      black: painted(...darks(12, 12), grey(3, 8), anchor(2, 40), grey(92, 20)),
      dark: painted(
        mixed(4, { light: 0.42, strong: 0.3 }, 20),
        mixed(9, { light: 0.42, strong: 0.4 }, 20),
        grey(92, 60)
      ),
      both: painted(...darks(40, 1), anchor(2, 40), grey(92, 20)),
      range: painted(...darks(20, 20), mixed(2, { light: 0.5, strong: 0.3 }, 60))
    }
  },
  'limited-palette': {
    passes: painted(anchor(2, 40), anchor(7, 30), ...ENDS),
    fails: {
      steps: painted(...[0, 2, 4, 6, 8, 10].map(step => anchor(step, 16)), ...ENDS),
      range: painted(anchor(2, 40), mixed(8, { light: 0.62, strong: 0.8 }, 30), ...NARROW)
    }
  },
  neighbours: {
    passes: painted(anchor(7, 30), anchor(8, 30), anchor(9, 30), ...ENDS),
    fails: {
      coverage: painted(anchor(6, 30), anchor(8, 30), anchor(10, 30), anchor(1, 30), ...ENDS),
      steps: painted(anchor(8, 60), ...ENDS),
      range: painted(...[7, 8, 9].map(step => mixed(step, { light: 0.55, strong: 0.8 }, 30)))
    }
  },
  opposites: {
    passes: painted(anchor(8, 60), anchor(2, 8), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 50), anchor(2, 8), anchor(5, 8), anchor(11, 8), ...ENDS),
      accent: painted(anchor(8, 60), ...ENDS),
      range: painted(mixed(8, { light: 0.5, strong: 0.8 }, 60), mixed(2, { light: 0.55, strong: 0.5 }, 10))
    }
  },
  'one-step-off': {
    passes: painted(anchor(8, 60), anchor(1, 6), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 60), anchor(1, 6), anchor(5, 8), anchor(11, 6), ...ENDS),
      accent: painted(anchor(8, 40), anchor(1, 30), ...ENDS),
      turn: painted(anchor(8, 60), anchor(2, 6), ...ENDS),
      range: painted(mixed(8, { light: 0.5, strong: 0.8 }, 60), mixed(1, { light: 0.55, strong: 0.5 }, 10))
    }
  },
  'split-opposites': {
    passes: painted(anchor(8, 60), anchor(1, 10), anchor(3, 10), ...ENDS),
    fails: {
      coverage: painted(anchor(8, 70), anchor(1, 8), anchor(3, 8), anchor(5, 10), anchor(11, 10), ...ENDS),
      each: painted(anchor(8, 60), anchor(1, 12), ...ENDS),
      leads: painted(anchor(8, 30), anchor(1, 20), anchor(3, 20), ...ENDS),
      range: painted(
        ...([8, 1, 3] as const).map(step =>
          mixed(step, { light: 0.55, strong: step === 8 ? 1 : 0.25 }, step === 8 ? 60 : 20)
        )
      )
    }
  },
  triad: {
    passes: painted(anchor(0, 50), anchor(4, 14), anchor(8, 14), ...ENDS),
    fails: {
      coverage: painted(anchor(0, 60), anchor(4, 10), anchor(8, 12), anchor(2, 30), ...ENDS),
      each: painted(anchor(0, 50), anchor(4, 14), ...ENDS),
      leads: painted(anchor(0, 30), anchor(4, 24), anchor(8, 40), ...ENDS),
      range: painted(
        ...([0, 4, 8] as const).map(step => mixed(step, { light: 0.6, strong: 0.7 }, step === 0 ? 60 : 12))
      )
    }
  },
  'two-pairs': {
    passes: painted(anchor(0, 50), anchor(2, 12), anchor(6, 16), anchor(8, 12), ...ENDS),
    fails: {
      coverage: painted(
        anchor(0, 60),
        anchor(2, 24),
        anchor(6, 30),
        anchor(8, 40),
        anchor(4, 18),
        anchor(10, 28),
        ...ENDS
      ),
      each: painted(anchor(0, 50), anchor(2, 12), anchor(6, 16), ...ENDS),
      leads: painted(anchor(0, 20), anchor(2, 20), anchor(6, 32), anchor(8, 26), ...ENDS),
      range: painted(
        ...([0, 2, 6, 8] as const).map(step => mixed(step, { light: 0.6, strong: 0.6 }, step === 0 ? 60 : 14))
      )
    }
  }
}

const failed = (results: readonly CheckResult[]): string[] => results.filter(r => !r.passed).map(r => r.id)

describe.each(EXERCISE_KEYS)('%s', key => {
  const { passes, fails } = EXAMPLES[key],
    { checks, steps } = EXERCISES[key]
  it('accepts what it asks for, and asks beforehand what it checks', () => {
    const results = check(key, passes)
    expect(failed(results)).toEqual([])
    expect(results.map(r => r.asks)).toEqual(checks.map(c => c.asks))
    expect(steps.length).toBeGreaterThan(2)
  })

  it.each(Object.entries(fails))('says when %s alone is missing', (id, raster) => {
    expect(failed(check(key, raster))).toEqual([id])
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
