import { expect, it } from 'vitest'
import { keyReadings } from './key-readings'
import type { PieceReading } from './stations/piece'
import type { ReadingVerdict } from './reading'

const reading = (id: string, verdict: ReadingVerdict): PieceReading => ({
  id,
  key: id,
  on: 'picture',
  area: null,
  station: 'values',
  verdict,
  sentence: id,
  why: '',
  trains: []
})
const all = [
  reading('a', 'works'),
  reading('b', 'look'),
  reading('c', 'fix'),
  reading('d', 'fix'),
  reading('e', 'works')
]
const names = (source: Partial<Parameters<typeof keyReadings>[0]>, most = 9): string[] =>
  keyReadings({ readings: all, judged: [], said: [], ...source }, most).map(r => `${r.id} ${r.verdict}`)

it('puts what is to fix first, then what works and what to look at, and leaves out what a correction says', () => {
  expect(names({})).toEqual(['c fix', 'd fix', 'a works', 'e works', 'b look'])
  expect(names({ said: ['c', ''] }, 2)).toEqual(['d fix', 'a works'])
})

it("takes the instructor's word: another verdict moves a reading, a dismissed one is not told", () => {
  expect(
    names({
      judged: [
        { key: 'b', verdict: 'fix' },
        { key: 'c', verdict: 'dismissed' },
        { key: 'd', verdict: 'works' }
      ]
    })
  ).toEqual(['b fix', 'a works', 'd works', 'e works'])
})
