/** A study against the reference it was made from: the same value structure? */
import type { ValueSection } from '../../../measure/report'
import type { Reading } from '../../reading'
import { steps } from '../../words'

const WHY =
  'A study from a reference is first of all a study of its values:'
  + ' the same darkest dark, the same lightest light, the same masses between.'

/** Steps by which a study may differ and still hold the reference's values. */
const CLOSE = 8

export function referenceReading(own: ValueSection, reference: ValueSection): Reading {
  const parts = (
    [
      ['darkest', 'darkest dark'],
      ['median', 'middle'],
      ['lightest', 'lightest light']
    ] as const
  ).map(([name, words]) => ({ words, apart: own[name] - reference[name] }))
  const off = parts.filter(p => Math.abs(p.apart) > CLOSE),
    offBy = ({ words, apart }: (typeof parts)[number]): string =>
      `the ${words} is ${steps(Math.abs(apart))} too ${apart > 0 ? 'light' : 'dark'}`
  const worst = Math.max(...parts.map(p => Math.abs(p.apart)))
  return {
    id: 'value.reference',
    station: 'values',
    verdict: off.length === 0 ? 'works' : off.length === 1 ? 'look' : 'fix',
    why: WHY,
    trains: ['from-reference'],
    sentence:
      off.length === 0
        ? `The values hold the reference's: range ${steps(own.range)}, ${steps(reference.range)} there.`
        : `Against the reference ${off.map(offBy).join(', ')}.`,
    figure: {
      unit: 'steps',
      value: worst,
      standard: CLOSE,
      low: 0,
      high: 40,
      label: `furthest from the reference by ${steps(worst)} steps, at most ${CLOSE} wanted`
    },
    evidence: { name: 'grey' }
  }
}
