/** Simulated observers of known threshold: the figures a drill ends with hold (Watson & Pelli 1983's own check). */
import { describe, expect, it } from 'vitest'
import { gaussian, seededRandom } from '../numeric/random'
import { DRILLS, type Drill } from './drills'
import { chanceOf, nextDifference, thresholdOf, type Answered } from './staircase'

function observed(
  { asked, questions }: Pick<Drill, 'asked' | 'questions'>,
  threshold: number,
  random: () => number
): Answered[] {
  const answers: Answered[] = []
  while (answers.length < questions) {
    const difference = nextDifference(asked, answers)
    answers.push({ difference, right: random() < chanceOf(difference / threshold, asked.guess) })
  }
  return answers
}

// One of each chance of guessing right.
describe.each((['value', 'scheme', 'eye', 'order'] as const).map(name => [name, DRILLS[name]] as const))(
  'a thousand observers of %s',
  (_, drill) => {
    const { asked } = drill
    it('are told their threshold without bias, and an interval that holds it', () => {
      const random = seededRandom(31)
      let bias = 0,
        held = 0
      const count = 1000
      for (let n = 0; n < count; n++) {
        // Between a third and three times the usual: nobody's eye is known beforehand.
        const spread = Math.max(-0.48, Math.min(0.48, 0.3 * gaussian(random))),
          threshold = Math.min(asked.most / 2, Math.max(2 * asked.least, asked.usual * 10 ** spread)),
          found = thresholdOf(asked, observed(drill, threshold, random))
        bias += found.threshold / threshold - 1
        if (found.low <= threshold && threshold <= found.high) held++
      }
      expect(Math.abs(bias / count)).toBeLessThan(0.1)
      expect(held / count).toBeGreaterThanOrEqual(0.9)
    }, 60_000)
  }
)

it('who is always right ends at a small difference, who never is at a large one, and more answers narrow it', () => {
  const { asked } = DRILLS.value
  const all = (right: boolean, count: number): Answered[] => {
    const answers: Answered[] = []
    while (answers.length < count) answers.push({ difference: nextDifference(asked, answers), right })
    return answers
  }
  expect(thresholdOf(asked, all(true, 24)).threshold).toBeLessThan(asked.usual / 2)
  expect(thresholdOf(asked, all(false, 24)).threshold).toBeGreaterThan(2 * asked.usual)
  const width = (count: number): number => {
    const answers = observed(DRILLS.value, asked.usual, seededRandom(4)).slice(0, count),
      { low, high } = thresholdOf(asked, answers)
    return Math.log(high / low)
  }
  expect(width(DRILLS.value.questions)).toBeLessThan(width(6))
})
