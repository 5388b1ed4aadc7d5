import { expect, it } from 'vitest'
import { bandOf, scoreRubric } from './rubric'

it('adds up as the trade does: thirteen qualities summing to 105 of 117 are 90 % (common practice, no source)', () => {
  const scores = [9, 9, 8, 8, 8, 8, 8, 8, 8, 8, 8, 8, 7] as const
  expect(scoreRubric(scores)).toEqual({ sum: 105, most: 117, percent: 90 })
  expect(scoreRubric([...scores, 'not-applicable'])).toEqual({ sum: 105, most: 117, percent: 90 })
  expect(scoreRubric(['not-applicable'])).toBeNull()
  expect([1, 3, 4, 6, 7, 9].map(bandOf)).toEqual(['low', 'low', 'fair', 'fair', 'high', 'high'])
  expect(() => scoreRubric([10])).toThrow(RangeError)
})
