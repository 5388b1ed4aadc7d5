import { expect, it } from 'vitest'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import { learnedFrom } from './learned'
import { mixtureOf } from './mixture'
import type { OwnPaint } from './own'

const paint = (name: string, masstone: string, tint: string): OwnPaint => ({
  name,
  medium: 'gouache',
  pigment: '',
  masstone,
  tint
})
const off = (p: string, q: string): number =>
  differenceOf(convertLinearToLab(linearOfHex(p)), convertLinearToLab(linearOfHex(q)))
const WHITE = paint('white', '#f8f8f5', '#f8f8f5'),
  BLUE = paint('blue', '#1f2a86', '#b3bedf'),
  YELLOW = paint('yellow', '#f3e33a', '#fbf6cf')
/** Twice as strong as its owner believes. */
const STRONG_BLUE = {
  ...BLUE,
  tint: mixtureOf([
    { paint: BLUE, amount: 2 },
    { paint: WHITE, amount: 10 }
  ])!
}

const given = (blue: OwnPaint, amounts: readonly [blue: number, yellow: number, white: number]) => ({
  parts: [
    { name: 'blue', amount: amounts[0] },
    { name: 'yellow', amount: amounts[1] },
    { name: 'white', amount: amounts[2] }
  ].filter(p => p.amount),
  hex: mixtureOf([
    { paint: blue, amount: amounts[0] },
    { paint: YELLOW, amount: amounts[1] },
    { paint: WHITE, amount: amounts[2] }
  ])!
})

it('learns from painted mixtures that a paint is stronger than its tint says, and leaves the others alone', () => {
  const read = [given(STRONG_BLUE, [1, 3, 0]), given(STRONG_BLUE, [1, 0, 5]), given(STRONG_BLUE, [1, 2, 4])]
  const learned = learnedFrom([BLUE, YELLOW, WHITE], read)
  expect(learned.map(l => l.name)).toEqual(['blue'])
  expect(off(learned[0]!.tint, STRONG_BLUE.tint)).toBeLessThan(1.5)
  expect(learned[0]!.after).toBeLessThan(learned[0]!.before / 3)
})

it('changes nothing where mixtures gave what they should, or where nothing was read', () => {
  expect(learnedFrom([BLUE, YELLOW, WHITE], [given(BLUE, [1, 3, 0]), given(BLUE, [1, 0, 5])])).toEqual([])
  expect(learnedFrom([BLUE, YELLOW, WHITE], [])).toEqual([])
})
