/** Black as a hole in a picture, and as the deep end of its darks. */
import { expect, it } from 'vitest'
import { DEFAULT_STANDARDS } from '../../critique/standards'
import { blackReading } from '../../critique/stations/values/picture'
import { planesOf } from '../../picture/planes'
import { createRaster } from '../../picture/raster'
import { fill } from '../../testing/paint'
import { flatBlackOf } from './flat-black'
import { isMeasured } from '../report'
import { measureValue } from './value'

/** The same black on a middle ground, at once or through two darker bands. */
function black(through: boolean): ReturnType<typeof planesOf> {
  const raster = fill(createRaster(400, 300), '#8a6a50')
  if (through) fill(fill(raster, '#5a4030', 60, 60, 280, 180), '#2a1c12', 100, 90, 200, 120)
  return planesOf(fill(raster, '#060606', 140, 120, 120, 60))
}

it('is a hole where something light stands around it, and none where the darks lead down into it', () => {
  expect(flatBlackOf(black(false), 1)).toMatchObject({ share: 0.06, holes: 0.06, patches: [{ hole: true }] })
  expect(flatBlackOf(black(true), 1)).toMatchObject({ share: 0.06, holes: 0, patches: [{ hole: false }] })
})

it('is a fault as a hole alone', () => {
  const verdictOf = (planes: ReturnType<typeof planesOf>): string | undefined => {
    const value = measureValue(planes)
    return isMeasured(value) ? blackReading(value, DEFAULT_STANDARDS)?.verdict : undefined
  }
  expect(verdictOf(black(false))).toBe('fix')
  expect(verdictOf(black(true))).toBe('works')
  // As much of it in small places is how a drawing is accented; very much is a fault again.
  const scattered = (places: number): ReturnType<typeof planesOf> => {
    const raster = fill(createRaster(400, 300), '#8a6a50')
    for (let i = 0; i < places; i++) fill(raster, '#060606', 15 + 64 * (i % 6), 20 + 70 * Math.floor(i / 6), 48, 50)
    return planesOf(raster)
  }
  expect(verdictOf(scattered(3))).toBe(undefined)
  expect(verdictOf(scattered(6))).toBe('fix')
})
