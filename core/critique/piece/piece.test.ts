/**
 * The readings of a piece: one list, each with what it stands on, none twice, the same whatever was measured before.
 */
import { describe, expect, it } from 'vitest'
import { planesOf } from '../../picture/planes'
import { fill, stripes } from '../../testing/paint'
import type { PieceReading } from '../stations/piece'
import { readingsOfPiece } from '../stations/readings'
import { STATIONS } from '../stations/table'
import { DEFAULT_STANDARDS } from '../standards'
import { nothingKnown, type PieceKnown } from './known'
import { measurePiece } from './measure'

/** A dusk of three bands with a warm window in it. */
const raster = fill(stripes(['#20384c', '#6b9cbb', '#d9e4ea'], 40, 120), '#d9792b', 70, 50, 16, 14)
const source = { format: 'png', width: raster.width, height: raster.height }
const box = (x: number, y: number, w: number, h: number) => ({ kind: 'rectangle', x, y, w, h }) as const
const told = (known: PieceKnown): PieceReading[] =>
  readingsOfPiece(measurePiece({ pixels: { raster, planes: planesOf(raster) }, source, known }), known, {
    ...DEFAULT_STANDARDS,
    wheel: known.wheel
  })

const everything: PieceKnown = {
  ...nothingKnown('painter'),
  focus: box(0.55, 0.38, 0.2, 0.2),
  firstEye: { x: 0.65, y: 0.47 },
  plan: 'complementary',
  areas: [
    { id: 4, name: 'the window', area: box(0.58, 0.41, 0.13, 0.12) },
    { id: 9, name: 'Foreground', area: box(0, 0, 0.3, 1) },
    { id: 11, name: 'background', area: box(0.7, 0, 0.3, 1) }
  ],
  pairs: [{ name: 'water', lit: { x: 0.5, y: 0.2 }, shadow: { x: 0.15, y: 0.2 } }],
  surroundings: { x: 0.9, y: 0.1 },
  stops: [box(0.55, 0.38, 0.2, 0.2), box(0, 0.8, 0.2, 0.2)]
}

describe('the readings of a piece', () => {
  it('are those of its picture where nothing more is known, in the order of the route', () => {
    const all = told(nothingKnown('painter')),
      order = all.map(r => STATIONS.indexOf(r.station))
    expect(order).toEqual([...order].sort((p, q) => p - q))
    expect(new Set(all.map(r => r.station))).toEqual(new Set(['values', 'focus', 'temperature', 'harmony', 'verdict']))
    expect(new Set(all.map(r => r.on))).toEqual(new Set(['picture']))
  })

  it('say what each stands on, and are each called by one name, two areas of one kind by two', () => {
    const all = told(everything),
      keys = all.map(r => r.key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(new Set(all.map(r => r.on))).toEqual(
      new Set(['picture', 'focus', 'area', 'pairs', 'planes', 'stops', 'plan', 'first-look'])
    )
    expect(keys.filter(key => key.startsWith('value.separation'))).toEqual([
      'value.separation:4',
      'value.separation:9',
      'value.separation:11'
    ])
    expect(all.find(r => r.key === 'value.separation:4')!.area).toBe(everything.areas[0]!.area)
    expect(all.find(r => r.id === 'focus.intended')!.area).toBe(everything.focus)
    expect(all.filter(r => r.on === 'planes').map(r => r.station)).toEqual(['values', 'temperature'])
  })

  it('are on the wheel they are asked on, whatever wheel was asked for before', () => {
    const planes = planesOf(raster),
      on = (wheel: 'painter' | 'process') => {
        const known = nothingKnown(wheel)
        return readingsOfPiece(measurePiece({ pixels: { raster, planes }, source, known }), known, DEFAULT_STANDARDS)
          .filter(r => r.station === 'harmony')
          .map(r => r.evidence)
      }
    const painter = on('painter')
    expect(on('process')).not.toEqual(painter)
    expect(on('painter')).toEqual(painter)
  })

  it('survive being stored: what is written as JSON says the same when it is read', () => {
    const measures = measurePiece({ pixels: { raster, planes: planesOf(raster) }, source, known: everything })
    const stored = JSON.parse(JSON.stringify(measures)) as typeof measures
    expect(readingsOfPiece(stored, everything, DEFAULT_STANDARDS)).toEqual(
      readingsOfPiece(measures, everything, DEFAULT_STANDARDS)
    )
  })

  it('of a picture that holds nothing are none', () => {
    const empty = fill(raster, '#000000', 0, 0, 0, 0),
      clear = { ...empty, data: new Uint8ClampedArray(empty.data.length) }
    expect(
      readingsOfPiece(
        measurePiece({ pixels: { raster: clear, planes: planesOf(clear) }, source, known: nothingKnown('painter') }),
        nothingKnown('painter'),
        DEFAULT_STANDARDS
      )
    ).toEqual([])
  })
})
