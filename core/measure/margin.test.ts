/** What is a margin and what is not: paper round a picture, a mat in a frame; not a ground with something on it. */
import { describe, expect, it } from 'vitest'
import { nothingKnown } from '../critique/piece/known'
import { measurePiece } from '../critique/piece/measure'
import { readingsOfPiece } from '../critique/stations/readings'
import { DEFAULT_STANDARDS } from '../critique/standards'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import { fill } from '../testing/paint'
import { insideMargin } from './margin'
import { isMeasured, type FocusSection } from './report'

/** A dusk of bands with a sun, at a place of a larger paper. */
function on(paper: string, at: { x: number; y: number; w: number; h: number }): Raster {
  const raster = fill(createRaster(400, 300), paper)
  for (let band = 0; band < 5; band++) {
    fill(
      raster,
      ['#20384c', '#3d5c74', '#6b9cbb', '#46657c', '#182c3c'][band]!,
      at.x,
      at.y + (band * at.h) / 5,
      at.w,
      at.h / 5
    )
  }
  return fill(raster, '#d9792b', at.x + at.w * 0.6, at.y + at.h * 0.3, 30, 30)
}
const inside = (raster: Raster) => insideMargin(planesOf(raster))
const measured = (raster: Raster, wholeFile = false) => {
  const known = { ...nothingKnown('painter'), wholeFile }
  const source = { format: 'png', width: raster.width, height: raster.height }
  const measures = measurePiece({ pixels: { raster, planes: planesOf(raster) }, source, known })
  return { report: measures.report, readings: readingsOfPiece(measures, known, DEFAULT_STANDARDS) }
}

describe('a margin', () => {
  it('is found to the pixel, of paper, of a dark mat, and of a mat within a frame', () => {
    expect(inside(on('#f7f5ef', { x: 30, y: 24, w: 340, h: 250 }))).toEqual({
      kind: 'rectangle',
      x: 30 / 400,
      y: 24 / 300,
      w: 340 / 400,
      h: 250 / 300
    })
    expect(inside(on('#101010', { x: 20, y: 20, w: 360, h: 260 }))).toMatchObject({ x: 0.05, w: 0.9 })
    const framed = on('#f7f5ef', { x: 50, y: 45, w: 300, h: 210 })
    for (const [x, y, w, h] of [
      [0, 0, 400, 16],
      [0, 284, 400, 16],
      [0, 0, 16, 300],
      [384, 0, 16, 300]
    ] as const) {
      fill(framed, '#5a3a20', x, y, w, h)
    }
    expect(inside(framed)).toMatchObject({ x: 50 / 400, y: 45 / 300 })
  })

  it('is not a ground with a thing on it, a sky, or a picture that is cut off on one side', () => {
    expect(inside(fill(fill(createRaster(400, 300), '#6f7378'), '#ffffff', 100, 80, 200, 140))).toBeNull()
    expect(inside(on('#f7f5ef', { x: 0, y: 24, w: 400, h: 250 }))).toBeNull()
    expect(inside(on('#f7f5ef', { x: 150, y: 120, w: 100, h: 60 }))).toBeNull()
  })

  it('is left out of what is measured, said once, and counted in when the critic wants it', () => {
    const raster = on('#ffffff', { x: 40, y: 30, w: 320, h: 240 }),
      without = measured(raster),
      within = measured(raster, true)
    const lightest = ({ report: { value } }: typeof without): number => (isMeasured(value) ? value.lightest : NaN)
    // #6b9cbb, the lightest of the bands, is L* 62 (CIE 15); the paper is 100.
    expect(lightest(without)).toBeLessThan(70)
    expect(lightest(within)).toBe(100)
    expect(without.readings.filter(r => /margin/.test(r.sentence)).map(r => r.id)).toEqual(['picture.margin'])
    expect(within.readings.map(r => r.id)).not.toContain('picture.margin')
    const { peaks, whites } = without.report.focus as FocusSection
    expect(whites).toEqual([])
    for (const { x, y } of isMeasured(peaks) ? peaks : [])
      expect(Math.min(x - 0.1, 0.9 - x, y - 0.1, 0.9 - y)).toBeGreaterThan(0.01)
  })
})
