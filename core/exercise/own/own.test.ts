/** Every kind of check that an exercise can be built of: its pictures pass and fail by the bound as it is set. */
import { describe, expect, it } from 'vitest'
import { parseHex } from '../../colour/srgb'
import { hueHistogram } from '../../measure/harmony/hues'
import { measurePicture } from '../../measure/picture'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { PLAIN_SETTINGS } from '../settings'
import { CHECK_KIND_KEYS, checkKind, type Drawn, type Field } from './kinds'
import { ownExercise } from './own'

/** Fields side by side, as they are drawn. */
function drawn(fields: readonly Field[]): Raster {
  const raster = createRaster(600, 20),
    total = fields.reduce((sum, f) => sum + f.share, 0)
  let from = 0
  for (const { hex, share } of fields) {
    const to = Math.min(600, from + (600 * share) / total)
    for (let x = Math.round(from); x < Math.round(to); x++)
      for (let y = 0; y < 20; y++) raster.data.set([...parseHex(hex), 255], 4 * (600 * y + x))
    from = to
  }
  return raster
}
const measuresOf = (raster: Raster) => {
  const planes = planesOf(raster)
  return {
    raster,
    planes,
    report: measurePicture({
      raster,
      source: { format: 'png', width: raster.width, height: raster.height },
      options: { wheel: 'painter' }
    }),
    hues: hueHistogram(raster, planes, 'painter'),
    reference: null,
    studies: 0,
    plan: null
  }
}
const PAIR: Drawn = { wheel: 'painter', scheme: 'complementary', hue: 240 }
const THREE: Drawn = { wheel: 'painter', scheme: 'triad', hue: 0 }

describe.each(CHECK_KIND_KEYS)('%s', key => {
  const { low, high, usual, inScheme, make, show } = checkKind(key)
  const bounds = [...new Set([low, usual, (low + high) / 2, high].map(Math.round))]
  it.each(bounds)('its pictures pass and fail at %d', bound => {
    for (const on of inScheme ? (key === 'accent' ? [PAIR] : [PAIR, THREE]) : [PAIR])
      for (const passes of [true, false]) {
        const check = make(bound, on.scheme)
        expect(check.run(measuresOf(drawn(show(bound, passes, on))), PLAIN_SETTINGS).passed, `${passes}`).toBe(passes)
      }
  })
})

it('an exercise of one’s own keeps the worksheet and scheme of the one it began as, and tells its checks apart', () => {
  const own = ownExercise({
    base: 'opposites',
    title: 'Opposites, large',
    trains: 'What we did on Thursday',
    steps: ['Paint it.'],
    checks: [
      { kind: 'coverage', bound: 80 },
      { kind: 'range', bound: 30 },
      { kind: 'range', bound: 60 }
    ]
  })
  expect(own).toMatchObject({ title: 'Opposites, large', plan: 'complementary', keyed: true })
  expect(own.checks.map(c => c.id)).toEqual(['coverage', 'range', 'range-3'])
  const results = own.checks.map(c =>
    c.run(
      measuresOf(
        drawn([
          { hex: '#555555', share: 1 },
          { hex: '#cccccc', share: 1 }
        ])
      ),
      PLAIN_SETTINGS
    )
  )
  expect(results.map(r => [r.id, r.passed])).toEqual([
    ['coverage', false],
    ['range', true],
    ['range-3', false]
  ])
})
