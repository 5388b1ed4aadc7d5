import { expect, it } from 'vitest'
import { suggestExercises } from './suggest'

const black = {
    station: 'values',
    verdict: 'fix',
    weight: 0.9,
    sentence: 'Black is used flat.',
    trains: ['no-black']
  } as const,
  range = {
    station: 'values',
    verdict: 'look',
    weight: 0.9,
    sentence: 'The range is narrow.',
    trains: ['three-values']
  } as const,
  loud = {
    station: 'harmony',
    verdict: 'fix',
    weight: 0.3,
    sentence: 'Everything shouts.',
    trains: ['muted', 'limited-palette']
  } as const,
  fine = { station: 'harmony', verdict: 'works', weight: 1, sentence: 'It holds.', trains: ['opposites'] } as const
const keys = (...args: Parameters<typeof suggestExercises>) => suggestExercises(...args).map(s => s.key)

it('suggests what trains the weakest first, each with the sentence that asks for it, none for what works', () => {
  expect(suggestExercises([fine, loud, range, black], [])).toEqual([
    { key: 'no-black', station: 'values', because: 'Black is used flat.' },
    { key: 'three-values', station: 'values', because: 'The range is narrow.' },
    { key: 'muted', station: 'harmony', because: 'Everything shouts.' }
  ])
  expect(keys([fine], [])).toEqual([])
})

it('leaves out what was set just now, and takes it up again later', () => {
  expect(keys([black, range, loud], ['no-black', 'ladder-5'])).toEqual(['three-values', 'muted', 'limited-palette'])
  expect(keys([black, range, loud], ['ladder-5', 'ladder-7', 'no-black'])).toEqual([
    'no-black',
    'three-values',
    'muted'
  ])
})

it('says an exercise once, by the heaviest that asks for it', () => {
  const also = { ...black, weight: 0.2, sentence: 'A dark hole.' }
  expect(suggestExercises([also, black], [])).toEqual([
    { key: 'no-black', station: 'values', because: 'Black is used flat.' }
  ])
})
