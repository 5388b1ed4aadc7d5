/** Marks at their place on a new version, and what is said of it. */
import { expect, it } from 'vitest'
import { discAt } from '../picture/area'
import { carriedArea, carriedMark, carryBy } from './carried'
import { landedWords, landingsSummary, lightWords, markedWords, praiseWords } from './words'

/** The old picture in the right half of the new one, upright; and turned by a quarter. */
const HALF = carryBy([
    { x: 0.5, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0.5, y: 1 }
  ])!,
  TURNED = carryBy([
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
    { x: 0, y: 0 }
  ])!,
  /** Its left half was cropped away. */
  CROPPED = carryBy([
    { x: -1, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: -1, y: 1 }
  ])!

it('a rectangle stays one where it is upright, and is a polygon where it is aslant', () => {
  const area = { kind: 'rectangle', x: 0.2, y: 0.4, w: 0.4, h: 0.2 } as const
  const half = carriedArea(area, HALF)
  expect(half?.kind === 'rectangle' && [half.x, half.y, half.w, half.h].map(v => +v.toFixed(6))).toEqual([
    0.6, 0.4, 0.2, 0.2
  ])
  const turned = carriedArea(area, TURNED)
  expect(turned?.kind === 'polygon' && turned.points[0]!.map(v => +v.toFixed(6))).toEqual([0.6, 0.2])
})

it('what was cropped away is nowhere; what is half in sight stays', () => {
  const left = { kind: 'rectangle', x: 0.05, y: 0.1, w: 0.3, h: 0.3 } as const
  expect(carriedArea(left, CROPPED)).toBeNull()
  expect(carriedArea({ ...left, w: 0.6 }, CROPPED)).not.toBeNull()
  expect(carriedMark({ kind: 'point', at: [0.2, 0.5] }, CROPPED)).toBeNull()
  expect(carriedMark({ kind: 'arrow', from: [0.2, 0.5], to: [0.75, 0.5] }, CROPPED)).toMatchObject({ to: [0.5, 0.5] })
  const disc = discAt(0.75, { y: 0.5, radius: 0.02, size: { width: 400, height: 300 } })
  expect(carriedArea(disc, CROPPED)?.kind).toBe('polygon')
})

it('is said plainly', () => {
  expect(
    landedWords(
      { measure: 'separation', atLeast: 15 },
      { landing: 'reached', before: { value: 2.4, reached: false }, after: { value: 21, reached: true } }
    )
  ).toBe('2 → 21 steps, 15 wanted.')
  expect(
    landedWords(
      { measure: 'focus-rank', atMost: 1 },
      { landing: 'nearer', before: { value: 3, reached: false }, after: { value: 2, reached: false } }
    )
  ).toBe('third → second, first wanted.')
  expect(landingsSummary(['reached', 'nearer', 'unchanged'])).toBe(
    'One of three corrections landed, one is nearer and one is unchanged.'
  )
  expect(landingsSummary(['worse'])).toBe('The one correction has not landed, it is worse.')
  expect(landingsSummary(['reached', 'reached'])).toBe('Both corrections landed.')
  expect([1, 2, 3].map(markedWords)).toEqual(['', 'marked twice', 'marked three times'])
  expect(lightWords({ gains: [1.4, 1.26, 1.13], contrast: 1.02, stops: 0.34, tint: 0.3, sure: true })).toBe(
    'The new photograph is a third of a stop lighter and warmer'
  )
  expect(lightWords({ gains: [1.02, 1, 1], contrast: 1, stops: 0.01, tint: 0.03, sure: true })).toBeNull()
  expect(praiseWords('The ship merges with the water.', null, { landing: 'reached', before: null, after: null })).toBe(
    '“The ship merges with the water” is solved.'
  )
})
