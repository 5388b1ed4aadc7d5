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
const correction = (what: string, readingId: string | null = null) => ({
  what,
  todo: `Do something about ${what.toLowerCase()}`,
  readingId
})

it('is proposed from marks and readings, most important first, at most three in front', () => {
  const proposed = proposeVerdict({
    works: '',
    about: 'the last ferry',
    readings,
    corrections: ['The ferry merges', 'B', 'C', 'D'].map((w, i) => correction(w, i ? null : 'value.separation')),
    exercise: 'Opposites'
  })
  expect(proposed.works).toBe('The range is full.\nThe colour keeps to opposites.')
  expect(proposed.verdict.split('\n')).toEqual([
    '1. The ferry merges. Do something about the ferry merges.',
    '2. B. Do something about b.',
    '3. C. Do something about c.',
    'Why it matters for “the last ferry”: Hue alone does not lift it at a distance.',
    'Later, one more: D.',
    'One next step: Do something about the ferry merges.',
    'The exercise: Opposites.'
  ])
})

it("keeps the critic's own words of what works, and invents nothing where nothing is marked", () => {
  expect(
    proposeVerdict({ works: 'The sky is one wash.', about: '', readings, corrections: [], exercise: null })
  ).toEqual({ works: 'The sky is one wash.', verdict: '' })
  expect(
    proposeVerdict({
      works: '',
      about: '',
      readings: [reading('value.range', 'fix', { sentence: 'The range is narrow.' })],
      corrections: [],
      exercise: null
    })
  ).toEqual({ works: '', verdict: '' })
})
