import { describe, expect, it } from 'vitest'
import { measurePicture } from '../../measure/picture'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { hueHistogram } from '../../measure/harmony/hues'
import { fill, stripes } from '../../testing/paint'
import { PAINTER_ANCHORS } from '../../wheel/painter'
import { nothingKnown, type PieceKnown } from '../piece/known'
import { measurePiece } from '../piece/measure'
import { checkTarget, describeTarget, type Target } from '../target'
import { DEFAULT_STANDARDS, type HouseStandards } from '../standards'
import type { Reading } from '../reading'
import { readingsOfPiece } from './readings'

function read(
  raster: Raster,
  more: Partial<PieceKnown> = {},
  standards: Partial<HouseStandards> = {}
): (id: string) => Reading {
  const known = { ...nothingKnown('painter'), ...more },
    source = { format: 'png', width: raster.width, height: raster.height }
  const readings = readingsOfPiece(
    measurePiece({ pixels: { raster, planes: planesOf(raster) }, source, known }),
    known,
    {
      ...DEFAULT_STANDARDS,
      ...standards
    }
  )
  for (const r of readings) expect(r.sentence, r.id).toMatch(/^[A-Z0-9].*[.]$/)
  return id => {
    const found = readings.find(r => r.id === id)
    if (!found) throw new Error(`no reading ${id} among ${readings.map(r => r.id).join(', ')}`)
    return found
  }
}

describe('readings', () => {
  it('say a narrow range with its numbers, and follow other standards with the same numbers', () => {
    const grey = stripes(['#5e5e5e', '#777777', '#919191'], 30)
    expect(read(grey)('value.range')).toMatchObject({
      verdict: 'fix',
      sentence:
        'The range is narrow: 20 steps, where a full one has 70 or more. There is neither a true dark nor a true light.'
    })
    expect(read(grey, {}, { range: { full: 20, moderate: 10 } })('value.range').verdict).toBe('works')
  })

  it('praise what is there, specifically', () => {
    const good = read(stripes(['#14283f', '#2a71b0', '#f7f1e6', '#d9792b'], [50, 90, 40, 14]))
    expect(good('value.range')).toMatchObject({
      verdict: 'works',
      sentence: expect.stringMatching(/^The range is full: \d\d steps, from \d+ to \d\d/)
    })
    expect(good('harmony.scheme')).toMatchObject({
      verdict: 'works',
      sentence: expect.stringContaining('opposites: blue and orange')
    })
    const night = read(stripes(['#14283f', '#1c3a2a', '#3a2a20', '#f7f1e6'], [50, 40, 40, 14]))
    expect(night('value.black')).toMatchObject({ verdict: 'works', sentence: expect.stringContaining('no flat black') })
  })

  it('name what takes the eye from where it should go', () => {
    const raster = fill(
      fill(fill(createRaster(300, 200), '#6f7378'), '#ffffff', 240, 20, 30, 30),
      '#8d9196',
      40,
      120,
      40,
      40
    )
    expect(
      read(raster, { focus: { kind: 'rectangle', x: 0.1, y: 0.55, w: 0.2, h: 0.3 } })('focus.intended')
    ).toMatchObject({
      verdict: 'fix',
      sentence: expect.stringMatching(/comes here second: the white in the upper right is before it, for its value/),
      correction: { target: { measure: 'focus-rank', atMost: 1 } }
    })
  })

  it('say equal amounts, flat black, warm light, a half-way horizon, one dull colour', () => {
    expect(read(stripes([PAINTER_ANCHORS[0], PAINTER_ANCHORS[6]], 40))('harmony.proportion')).toMatchObject({
      verdict: 'fix',
      sentence: expect.stringContaining('No colour leads')
    })
    expect(read(stripes(['#000000', '#8a6a50', '#e8dcc8'], 30))('value.black')).toMatchObject({
      verdict: 'fix',
      sentence: 'Flat black fills 33\u00a0% of the picture, most of it on the left side.'
    })
    expect(read(stripes(['#233a57', '#808080', '#f2c58a'], 30))('temperature.light').sentence).toMatch(
      /^Warm lights, cool darks: \d+ apart\.$/
    )
    const sea = fill(fill(createRaster(120, 100), '#cfe0ea'), '#27506e', 0, 50, 120, 50)
    expect(read(sea)('composition.horizon')).toMatchObject({
      verdict: 'look',
      sentence: expect.stringContaining('cuts the picture in half')
    })
    expect(read(stripes(['#7e9a90', '#8aa59b', '#6f8c82'], 30))('harmony.saturation').sentence).toContain(
      'misses an accent'
    )
  })
})

describe('targets', () => {
  it('are measured in their own terms, and described', () => {
    const raster = fill(stripes(['#101010', '#777777', '#f0f0f0'], 40, 60), '#e32322', 50, 20, 20, 20)
    const planes = planesOf(raster)
    const subject = {
      raster,
      planes,
      hues: hueHistogram(raster, planes, 'painter'),
      report: measurePicture({
        raster,
        source: { format: 'png', width: 120, height: 60 },
        options: { wheel: 'painter' }
      })
    }
    const area = { kind: 'rectangle', x: 50 / 120, y: 1 / 3, w: 1 / 6, h: 1 / 3 } as const
    const reached = (target: Target, on: typeof area | null = null) => checkTarget(target, on, subject)?.reached ?? null
    expect(reached({ measure: 'range', atLeast: 70 })).toBe(true)
    expect(reached({ measure: 'near-black', atMost: 0.02 })).toBe(false)
    expect(reached({ measure: 'coverage', scheme: 'monochrome', atLeast: 0.85 })).toBe(true)
    expect(reached({ measure: 'separation', atLeast: 15 }, area)).toBe(false)
    expect(reached({ measure: 'separation', atLeast: 15 })).toBeNull()
    expect(reached({ measure: 'temperature', atLeast: 50 }, area)).toBe(true)
    expect(reached({ measure: 'temperature', atMost: -10 }, area)).toBe(false)
    expect(reached({ measure: 'evenness', atMost: 0.9 })).toBeNull()
    expect(describeTarget({ measure: 'coverage', scheme: 'complementary', atLeast: 0.85 })).toBe(
      'at least 85\u00a0% of the colour within opposites'
    )
  })
})
