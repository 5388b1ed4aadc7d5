import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { dueWords, minutesInWords, waitedWords } from './words'

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-03-28T09:30:00') })
}) // the night before clocks go forward in much of Europe
afterEach(() => {
  vi.useRealTimers()
})

it('says minutes as one speaks of them, to five', () => {
  expect([0, 2, 4, 25, 58, 60, 62, 100, 155, 725].map(minutesInWords)).toEqual([
    'no time',
    'no time',
    'five minutes',
    'twenty-five minutes',
    'one hour',
    'one hour',
    'one hour',
    'one hour and forty minutes',
    'two hours and thirty-five minutes',
    'twelve hours and five minutes'
  ])
})

it('says how long a piece has waited, in a word where there is one', () => {
  expect(['2026-03-28T06:30:00', '2026-03-24T09:30:00', '2026-03-14T09:30:00'].map(waitedWords)).toEqual([
    'three hours',
    'four days',
    '14 days'
  ])
})

it('says when something is due by the calendar, not by hours', () => {
  expect(['2026-03-28', '2026-03-29', '2026-03-30', '2026-04-04', '2026-03-27', '2026-03-21'].map(dueWords)).toEqual([
    '28 March, today',
    '29 March, tomorrow',
    '30 March, in 2 days',
    '4 April, in 7 days',
    '27 March, 1 day ago',
    '21 March, 7 days ago'
  ])
})
