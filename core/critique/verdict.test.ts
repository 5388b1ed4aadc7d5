import { expect, it } from 'vitest'
import type { Reading } from './reading'
import { proposeVerdict } from './verdict'

const reading = (
  id: string,
  verdict: Reading['verdict'],
  { sentence, why = 'Because.' }: { readonly sentence: string; readonly why?: string }
): Reading => ({
  id,
  station: 'values',
  verdict,
  sentence,
  why,
  trains: []
})
const readings = [
  reading('harmony.scheme', 'works', { sentence: 'The colour keeps to opposites.' }),
  reading('value.separation', 'fix', {
    sentence: 'The ferry merges.',
    why: 'Hue alone does not lift it at a distance.'
  }),
  reading('value.range', 'works', { sentence: 'The range is full.' }),
  reading('composition.horizon', 'works', { sentence: 'The division lies low.' })
]
const corrections = ['V1', 'V2', 'H3'].map((tag, i) => ({ tag, readingId: i ? null : 'value.separation' }))

it('says where to begin, why, and what can wait, and nothing that the list of corrections says', () => {
  const proposed = proposeVerdict({ works: '', about: 'the last ferry', readings, corrections })
  expect(proposed.works).toBe('The range is full.\nThe colour keeps to opposites.')
  expect(proposed.verdict.split('\n')).toEqual([
    'Begin with V1. For “the last ferry”: Hue alone does not lift it at a distance.',
    'Let V2 and H3 wait until it holds: they change with it.'
  ])
  expect(proposeVerdict({ works: '', about: '', readings, corrections: corrections.slice(1, 2) }).verdict).toBe(
    'Begin with V2.'
  )
})

it("keeps the critic's own words of what works, and invents nothing where nothing is marked", () => {
  expect(proposeVerdict({ works: 'The sky is one wash.', about: '', readings, corrections: [] })).toEqual({
    works: 'The sky is one wash.',
    verdict: ''
  })
  expect(
    proposeVerdict({
      works: '',
      about: '',
      readings: [reading('value.range', 'fix', { sentence: 'The range is narrow.' })],
      corrections: []
    })
  ).toEqual({ works: '', verdict: '' })
})

it('says first what can be pointed at, and where, once', () => {
  const placed = (sentence: string): Reading => ({
    ...reading('focus.path', 'works', { sentence }),
    points: [
      { x: 0.1, y: 0.1, label: '1' },
      { x: 0.9, y: 0.9, label: '2' },
      { x: 0.5, y: 0.5, label: '3' }
    ]
  })
  const works = (sentence: string): string =>
    proposeVerdict({ works: '', about: '', readings: [...readings, placed(sentence)], corrections: [] }).works
  expect(works('The eye has a way.')).toBe(
    'The eye has a way. See the upper left and the lower right.\nThe range is full.'
  )
  expect(works('The eye goes first to the sail in the upper left.').split('\n')[0]).toBe(
    'The eye goes first to the sail in the upper left.'
  )
})
