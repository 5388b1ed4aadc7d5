/** The route: each station's lenses are its own, can be drawn, and follow the house's school. */
import { expect, it } from 'vitest'
import { renderLens } from '../../lens/lens'
import { measurePicture } from '../../measure/picture'
import { planesOf } from '../../picture/planes'
import { createRaster } from '../../picture/raster'
import { fill, stripes } from '../../testing/paint'
import { DEFAULT_STANDARDS } from '../standards'
import { rowOf, STATION_ROWS, tagOf } from './table'

const raster = fill(stripes(['#f4e500', '#6d398b', '#777777', '#f4e500'], 16, 48), '#f8f8f8', 20, 10, 8, 8)
const planes = planesOf(raster),
  report = measurePicture({
    raster,
    source: { format: 'png', width: raster.width, height: raster.height },
    options: { wheel: 'painter' },
    planes
  })

it('gives every station a letter of its own, and goes to the first where there is none of the name', () => {
  expect(new Set(STATION_ROWS.map(row => row.letter)).size).toBe(STATION_ROWS.length)
  expect(tagOf({ station: 'edges', order: 3 })).toBe('E3')
  expect(rowOf('nowhere' as never).station).toBe('first-look')
})

it.each(STATION_ROWS.map(p => [p.name, p] as const))(
  '%s: every lens has a name of its own, a key from 1 to 9, and shows something',
  (_, plan) => {
    const lenses = plan.lenses(report, DEFAULT_STANDARDS),
      seen = new Set<string>()
    expect(lenses[0]).toEqual({ label: 'plain', request: { name: 'plain' } })
    expect(lenses.length).toBeLessThanOrEqual(9)
    expect(new Set(lenses.map(l => l.label)).size).toBe(lenses.length)
    for (const { label, request } of lenses) {
      const out = new Uint8ClampedArray(raster.data.length)
      renderLens(request, { raster, planes, out })
      for (let i = 3; i < out.length; i += 4)
        if (out[i] !== 255) throw new Error(`${label} makes the picture transparent`)
      seen.add(Buffer.from(out).toString('base64'))
    }
    // Two lenses that show the same would be one too many; a flat-black lens of a picture without black sinks it all,
    // as detail may.
    expect(seen.size).toBe(lenses.length)
  }
)

it('without a report, or for a picture without colour, asks for no lens that needs one', () => {
  const neutral = stripes(['#202020', '#e0e0e0'], 20),
    of = measurePicture({
      raster: neutral,
      source: { format: 'png', width: 40, height: 20 },
      options: { wheel: 'painter' }
    })
  expect(
    rowOf('harmony')
      .lenses(null, DEFAULT_STANDARDS)
      .map(l => l.label)
  ).toEqual(['plain', 'grey, L*', 'squint'])
  expect(
    rowOf('harmony')
      .lenses(of, DEFAULT_STANDARDS)
      .map(l => l.label)
  ).not.toContain('off scheme')
  expect(
    rowOf('values').lenses(
      measurePicture({
        raster: createRaster(1, 1),
        source: { format: 'png', width: 1, height: 1 },
        options: { wheel: 'painter' }
      }),
      DEFAULT_STANDARDS
    )[2]!.label
  ).toBe('values')
})

it("the house's grey comes first and the others last", () => {
  const labels = (grey: 'value' | 'luma' | 'hsl' | 'hsv') =>
    rowOf('values')
      .lenses(report, { ...DEFAULT_STANDARDS, grey })
      .map(l => l.label)
  expect([labels('luma')[1], labels('luma').slice(-3)]).toEqual(['luma', ['grey, L*', 'HSL', 'HSV']])
  expect([labels('hsv')[1], labels('hsv').slice(-3)]).toEqual(['HSV', ['grey, L*', 'luma', 'HSL']])
})
