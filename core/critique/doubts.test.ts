/** What shakes a reading is said with it, and softens it at its bound. */
import { expect, it } from 'vitest'
import { measurePicture } from '../measure/picture'
import { createRaster } from '../picture/raster'
import { fill } from '../testing/paint'
import { withDoubts } from './doubts'
import { nothingKnown } from './piece/known'
import type { PieceReading } from './stations/piece'

const reading = (id: string, value: number): PieceReading => ({
  id,
  key: id,
  station: 'values',
  on: 'picture',
  area: null,
  verdict: 'fix',
  sentence: '',
  why: '',
  trains: [],
  figure: { unit: 'share', value, standard: 0.1, low: 0, high: 0.5, label: '' }
})
const doubted = (
  about: PieceReading,
  source: { width?: number; bitsPerPixel?: number; photograph?: true } = {}
): PieceReading => {
  const raster = fill(createRaster(40, 30), '#a07040')
  const report = measurePicture({
    raster,
    source: { format: 'jpeg', width: 2000, height: 1500, ...source },
    options: { wheel: 'painter' }
  })
  return withDoubts(about, report, nothingKnown('painter'))
}

it('carries how near it is to its bound, and asks there instead of judging', () => {
  expect(doubted(reading('value.black', 0.3))).toMatchObject({ verdict: 'fix', margin: 0.4 })
  expect(doubted(reading('value.black', 0.3)).doubts).toBeUndefined()
  expect(doubted(reading('value.black', 0.105))).toMatchObject({
    verdict: 'look',
    margin: 0.01,
    doubts: ['it is just at its bound']
  })
})

it.each([
  ['a small file', 'edges.lines', { width: 300, height: 200 }, 'the file is small, 300 × 200 pixels'],
  ['few bits a pixel', 'edges.lines', { bitsPerPixel: 0.2 }, 'the file is strongly compressed'],
  ['a camera', 'temperature.light', { photograph: true }, 'it is a photograph, and has the light of the room in it'],
  ['no focus', 'focus.path', {}, 'nobody has marked what the picture is about']
] as const)('is shaken by %s', (_, id, source, doubt) => {
  expect(doubted(reading(id, 0.4), source).doubts).toEqual([doubt])
})
