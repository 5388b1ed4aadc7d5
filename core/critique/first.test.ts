/** What is said first: by how much it takes from what the piece is about, at most three, each with its reason. */
import { describe, expect, it } from 'vitest'
import { asShown, firstOf, praiseOf } from './first'
import { nothingKnown, type PieceKnown } from './piece/known'
import type { PieceReading } from './stations/piece'

const reading = (key: string, part: Partial<PieceReading> = {}): PieceReading => ({
  id: key.split(':')[0]!,
  key,
  station: 'values',
  verdict: 'fix',
  sentence: `${key}.`,
  why: '',
  trains: [],
  on: 'picture',
  area: null,
  weight: 0.5,
  ...part
})
const known = (part: Partial<PieceKnown>): PieceKnown => ({ ...nothingKnown('painter'), ...part })
const box = { kind: 'rectangle', x: 0, y: 0, w: 0.5, h: 0.5 } as const
const order = (readings: readonly PieceReading[], of: Partial<PieceKnown> = {}): string[] => {
  const first = firstOf(readings, known(of))
  return [...first].sort((p, q) => p[1].rank - q[1].rank).map(([key]) => key)
}

const range = reading('value.range'),
  vivid = reading('harmony.saturation', { station: 'harmony' }),
  boat = reading('value.separation:4', { on: 'area' }),
  soft = reading('edges.falloff', { station: 'edges', on: 'focus' })
const areas = [{ id: 4, name: 'the boats', area: box }]

describe('what I would say first', () => {
  it('is at most three faults, never praise, the heavier first', () => {
    const light = reading('composition.horizon', { verdict: 'look', weight: 0.1, station: 'edges' })
    expect(order([reading('value.key', { verdict: 'works' }), range, { ...vivid, weight: 0.9 }, boat, light])).toEqual([
      'harmony.saturation',
      'value.range',
      'value.separation:4'
    ])
  })

  it('follows the question, and says so', () => {
    const all = [range, vivid, boat]
    expect(order(all, { areas, question: 'Does the boat come away?' })[0]).toBe('value.separation:4')
    expect(order(all, { areas, question: 'Do the colours clash?' })[0]).toBe('harmony.saturation')
    expect(order(all, { areas, question: 'Are my darks dark enough?' })[0]).toBe('value.range')
    const first = firstOf(all, known({ areas, question: 'Does the boat come away?' }))
    expect(first.get('value.separation:4')).toEqual({ rank: 1, because: 'because the question is about the boats' })
    expect(firstOf(all, known({ areas, about: 'boats at rest' })).get('value.separation:4')!.because).toBe(
      'because the piece is about the boats'
    )
  })

  it('puts the focus before the rest, and judges a study by its values', () => {
    expect(order([range, soft])[0]).toBe('edges.falloff')
    expect(order([vivid, range], { stage: 'study' })[0]).toBe('value.range')
    expect(order([{ ...vivid, weight: 0.6 }, range], { stage: 'finished' })[0]).toBe('harmony.saturation')
  })

  it('is shown before the rest, and is nothing where nothing is wrong', () => {
    const fine = reading('value.key', { verdict: 'works' })
    expect(order([fine])).toEqual([])
    expect(
      asShown([fine, { ...range, first: { rank: 2, because: '' } }, { ...vivid, first: { rank: 1, because: '' } }]).map(
        r => r.key
      )
    ).toEqual(['harmony.saturation', 'value.range', 'value.key'])
    expect(praiseOf([fine, { ...range, verdict: 'works' }], 2).map(r => r.id)).toEqual(['value.range'])
  })
})
