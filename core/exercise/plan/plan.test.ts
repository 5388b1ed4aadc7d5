/** A plan's amounts stay in order, its tries show just these amounts, and its page holds what is drawn on it. */
import { describe, expect, it } from 'vitest'
import { SCHEMES } from '../../wheel/schemes'
import { PAPER_SIZE, PAPERS } from '../worksheet/worksheet'
import { planColours } from './colours'
import { TRY, tryMasses } from './masses'
import { fitAmounts, soundAmounts, USUAL_AMOUNTS, type Amounts } from './plan'
import { planSvg } from './sheet'

const WANTED = [-0.2, 0, 0.05, 0.12, 0.3, 0.4, 0.475, 0.6, 0.9, 1.3].flatMap(leader =>
  [-1, 0, 0.05, 0.17, 0.3, 1].map(accent => fitAmounts(leader, accent))
)

it('holds amounts in order, whatever is dragged where', () => {
  for (const amounts of WANTED) expect(soundAmounts(amounts), amounts.join()).toBe(true)
  fitAmounts(0.6, 0.1).forEach((share, i) => expect(share).toBeCloseTo(USUAL_AMOUNTS[i]!, 9))
})

/** Shares of what is seen, counted on a fine grid from the front. */
function seen(masses: ReturnType<typeof tryMasses>[number]): number[] {
  const counts = [0, 0, 0],
    fine = 4
  for (let y = 0.5; y < TRY.h * fine; y++)
    for (let x = 0.5; x < TRY.w * fine; x++) {
      const at = { x: x / fine, y: y / fine }
      const on = masses.findLast(m => at.x >= m.x && at.x < m.x + m.w && at.y >= m.y && at.y < m.y + m.h)
      counts[on!.of]!++
    }
  return counts.map(n => n / (TRY.w * TRY.h * fine * fine))
}

it('tries the amounts as they are', () => {
  for (const amounts of WANTED)
    for (const masses of tryMasses(amounts))
      seen(masses).forEach((share, i) => expect(Math.abs(share - amounts[i as 0]), amounts.join()).toBeLessThan(0.012))
})

describe.each(PAPERS)('the page on %s', paper => {
  const { width, height } = PAPER_SIZE[paper],
    long = 'A long subject that goes on and on, so that it has to be broken into more lines than one '.repeat(2),
    amounts: Amounts = [0.5, 0.3, 0.2]
  it.each(SCHEMES.map(s => s.name))('keeps %s on the paper, with a name for every colour', scheme => {
    const plan = { subject: long, goal: long, scheme, hue: 210, amounts }
    const svg = planSvg({ plan, wheel: 'painter', title: 'Opposites', name: 'Ada', paper })
    const places = [...svg.matchAll(/<rect x="([\d.-]+)" y="([\d.-]+)" width="([\d.]+)" height="([\d.]+)"/g)].map(m =>
      m.slice(1).map(Number)
    )
    expect(places.length).toBeGreaterThan(20)
    for (const [x, y, w, h] of places as [number, number, number, number][]) {
      expect(x).toBeGreaterThanOrEqual(8)
      expect(x + w).toBeLessThanOrEqual(width - 8)
      expect(y + h).toBeLessThanOrEqual(height - 14)
    }
    for (const { name } of planColours('painter', scheme, 210)) expect(svg).toContain(`>${name}</text>`)
  })
})
