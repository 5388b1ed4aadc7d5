import { expect, it } from 'vitest'
import { measurePiece } from './piece/measure'
import { nothingKnown } from './piece/known'
import { readingsOfPiece } from './stations/readings'
import { planesOf } from '../picture/planes'
import { createRaster } from '../picture/raster'
import { fill } from '../testing/paint'
import { findingsShown } from './findings'
import { markingOf } from './marking'
import { DEFAULT_STANDARDS } from './standards'

const raster = fill(fill(createRaster(320, 240), '#5a7898'), '#c89a50', 100, 60, 90, 90)
const known = nothingKnown('painter')
const measures = measurePiece({
  pixels: { raster, planes: planesOf(raster) },
  source: { format: 'png', width: 320, height: 240 },
  known
})
const readings = readingsOfPiece(measures, known, DEFAULT_STANDARDS),
  shown = (corrections: Parameters<typeof findingsShown>[0]['corrections'], most = 3) =>
    findingsShown({ corrections, readings, report: measures.report, standards: DEFAULT_STANDARDS }, most)
const own = { area: null, reason: 'too even', readingId: null }

it('shows a correction through the lens of its reading, and those of one lens together', () => {
  const range = readings.find(r => r.id === 'value.range')!,
    marked = markingOf(range, raster)
  expect(range.evidence?.name).not.toBe('plain')
  const [first] = shown([marked, { ...own, station: 'edges' }, marked])
  expect(first).toMatchObject({ lens: range.evidence, corrections: [0, 2] })
  expect(first!.label).not.toBe('')
})

it("shows the critic's own words through their station's first lens, no plain view, and no more than has room", () => {
  expect(shown([{ ...own, station: 'verdict' }])).toEqual([])
  expect(shown([{ ...own, station: 'edges' }])[0]!.lens.name).not.toBe('plain')
  const all = (['values', 'focus', 'temperature', 'edges'] as const).map(station => ({ ...own, station }))
  expect(shown(all, 2)).toHaveLength(2)
})
