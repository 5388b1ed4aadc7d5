/** A term: what is a trend and what is not, and what became of corrections. */
import { linearRegression } from 'simple-statistics'
import { expect, it } from 'vitest'
import type { PieceReading } from '../critique/stations/piece'
import { seededRandom } from '../numeric/random'
import { linesOf } from './lines'
import { practiseNext } from './practise'
import { tallyOf, type Marked } from './tally'
import { slopeOf, trendOf } from './trend'
import { lineWords, tallyWords, weakestStation } from './words'

it('the slope is that of least squares where nothing is odd, and one odd piece does not turn it', () => {
  // Least squares by simple-statistics; that a median of slopes withstands up to 29 % of outliers: Sen 1968.
  const random = seededRandom(3)
  for (let n = 0; n < 20; n++) {
    const by = 8 * (random() - 0.5),
      line = Array.from({ length: 9 }, (_, i) => 40 + by * i)
    expect(slopeOf(line)).toBeCloseTo(linearRegression(line.map((v, i) => [i, v])).m, 9)
    expect(slopeOf(line.with(4, 400))).toBeCloseTo(by, 6)
  }
})

it('one point is no trend, nor are two, nor what moves within its noise', () => {
  expect([[50], [50, 80], [50, 52, 55], [50, 60, 75], [75, 60, 50]].map(values => trendOf(values, 7))).toEqual([
    null,
    null,
    'holds',
    'rises',
    'falls'
  ])
})

const reading = (id: string, value: number, verdict: PieceReading['verdict'] = 'fix'): PieceReading => ({
  id,
  key: `${id}:${value}`,
  on: 'picture',
  area: null,
  station: 'values',
  verdict,
  sentence: `${id} is ${value}.`,
  why: '',
  figure: { unit: 'steps', value, standard: 70, low: 0, high: 100, label: '' },
  trains: ['three-values']
})
const piece = (id: number, day: string, ...readings: PieceReading[]) => ({
  id,
  title: `piece ${id}`,
  at: `2026-${day}T10:00:00.000Z`,
  readings
})

it('a reading is followed in the order of time, where it is said of several places by the worst of them', () => {
  const lines = linesOf([
    piece(2, '11-20', reading('value.range', 62)),
    piece(1, '11-02', reading('value.range', 40), reading('value.separation', 12), reading('value.separation', 4)),
    piece(3, '11-28', reading('value.range', 75), reading('not.followed', 1))
  ])
  expect(lines.map(l => [l.id, l.points.map(p => [p.piece, p.value]), l.trend])).toEqual([
    [
      'value.range',
      [
        [1, 40],
        [2, 62],
        [3, 75]
      ],
      'rises'
    ],
    ['value.separation', [[1, 4]], null]
  ])
  expect(lines.map(lineWords)).toEqual([
    'Range of values: 75 steps, at least 70 steps wanted; over three pieces it goes to the better.',
    'What stands least clear: 4 steps, at least 70 steps wanted; one piece.'
  ])
})

it('a correction that was carried over is one, landed later or still open', () => {
  const marked = (id: number, landing: Marked['landing'], carriedFrom: number | null = null): Marked => ({
    id,
    station: id > 20 ? 'harmony' : 'values',
    carriedFrom,
    landing
  })
  const tally = tallyOf([
    marked(1, 'reached'),
    marked(2, 'nearer'),
    marked(3, 'reached', 2),
    marked(4, 'unchanged'),
    marked(5, null, 4),
    marked(21, null),
    // What it was carried from was taken away with its piece.
    marked(22, 'worse', 999)
  ])
  expect(tally).toEqual([
    { station: 'values', marked: 3, atFirst: 1, later: 1, open: 1, untried: 0 },
    { station: 'harmony', marked: 2, atFirst: 0, later: 0, open: 1, untried: 1 }
  ])
  expect(tallyWords(tally)).toBe(
    'Five corrections marked: one landed at first, one landed later, two still open and one not tried again yet.'
  )
  expect([weakestStation(tally), weakestStation([])]).toEqual(['harmony', null])
})

it('a class practises next what trains the weakest of most of it, and not what was just done', () => {
  const who = (name: string, set: readonly 'three-values'[] = []) => ({
    name,
    readings: [reading('value.range', 30)],
    set
  })
  expect(practiseNext([who('Alma'), who('Bo', ['three-values']), who('Cleo')])).toEqual([
    { key: 'three-values', station: 'values', learners: ['Alma', 'Cleo'], because: 'value.range is 30.' }
  ])
})
