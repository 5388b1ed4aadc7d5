/** Lots: the same for everybody who knows the seed, and no place better than another. */
import { expect, it } from 'vitest'
import { chiSquaredDistributionTable } from 'simple-statistics'
import { drawLots } from './order'

const TEN = Array.from({ length: 10 }, (_, i) => 100 + i)

it('are drawn the same by everybody who knows the seed, whoever came first', () => {
  expect(drawLots([...TEN].reverse(), 2_026_1130)).toEqual(drawLots(TEN, 2_026_1130))
  expect([...drawLots(TEN, 5)].sort()).toEqual(TEN)
  expect(drawLots(TEN, 5)).not.toEqual(drawLots(TEN, 6))
  expect(drawLots([], 1)).toEqual([])
})

it('favour nobody: the first drawn is each of ten as often as chance has it', () => {
  const firsts = new Map<number, number>(),
    draws = 5000
  for (let seed = 0; seed < draws; seed++) {
    const [first] = drawLots(TEN, seed * 7919)
    firsts.set(first!, (firsts.get(first!) ?? 0) + 1)
  }
  const wanted = draws / TEN.length,
    chi = TEN.reduce((sum, id) => sum + ((firsts.get(id) ?? 0) - wanted) ** 2 / wanted, 0)
  // Pearson's test, nine degrees of freedom, one in a hundred: the table of simple-statistics.
  expect(chi).toBeLessThan(chiSquaredDistributionTable[9]![0.01]!)
})
