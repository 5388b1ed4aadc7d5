/** Each question shows what it says: the right answer is right by culori, the reference library. */
import { differenceCiede2000, lab65, oklch } from 'culori'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../numeric/random'
import { DRILL_NAMES, drillOf } from '../drills'
import { isRight, type Question } from '../question'

const value = (hex: string): number => lab65(hex)!.l
const warmth = (hex: string): number => {
  const { c, h } = oklch(hex)!
  return c * Math.cos((((h ?? 0) - 45) * Math.PI) / 180)
}
const chosen = ({ patches, right, words }: Question): string[] =>
  words ? [] : right.map(r => patches.find(p => p.choice === r)!.hex)
const others = ({ patches, right }: Question): string[] =>
  patches.flatMap(p => (p.choice !== null && !right.includes(p.choice) ? [p.hex] : []))

describe.each(DRILL_NAMES.flatMap(name => drillOf(name).settings.map(setting => [name, setting] as const)))(
  '%s, %s',
  (name, setting) => {
    const { make, asked, unit } = drillOf(name)
    const random = seededRandom(8),
      asks = Array.from({ length: 60 }, (_, n) => {
        const difference = Math.min(asked.most * 0.6, asked.usual * 2 ** ((n % 5) - 2))
        return { difference, question: make(random, { difference, setting, wheel: 'painter' }) }
      })

    it('shows about the difference that is asked for, and has one answer', () => {
      for (const { difference, question } of asks) {
        // A screen has steps: half an L*, and more in degrees where there is little chroma.
        expect(Math.abs(question.difference - difference)).toBeLessThan(
          Math.max(unit === '°' ? 9 : 1.2, 0.35 * difference)
        )
        expect(isRight(question, question.right)).toBe(true)
        expect(isRight(question, [])).toBe(false)
        expect(question.patches.every(p => p.x >= 0 && p.x + p.w <= 1 && p.y >= 0 && p.y + p.h <= 1)).toBe(true)
      }
      const rights = new Set(asks.map(a => a.question.right.join()))
      expect(rights.size).toBeGreaterThan(1)
    })

    it('has its right answer where the eye of a meter has it', () => {
      for (const { question } of asks) {
        const [right] = chosen(question),
          [wrong] = others(question),
          asked = question.patches.find(p => p.choice === null)?.hex
        if (name === 'value')
          expect(Math.abs(value(right!) - value(asked!))).toBeLessThan(Math.abs(value(wrong!) - value(asked!)))
        if (name === 'warmer') expect(warmth(right!)).toBeGreaterThan(warmth(wrong!))
        if (name === 'order') {
          const values = chosen(question).map(value)
          expect(values).toEqual([...values].sort((p, q) => q - p))
        }
        if (name === 'eye') {
          expect(new Set(others(question)).size).toBe(1)
          expect(differenceCiede2000()(right!, wrong!)).toBeCloseTo(question.difference, 0)
        }
        if (name === 'count')
          expect(question.words![question.right[0]!]).toBe(String(new Set(question.patches.map(p => p.hex)).size))
      }
    })
  }
)
