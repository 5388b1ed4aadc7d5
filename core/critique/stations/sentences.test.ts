/**
 * Every sentence the core can say, with the condition it is said under: read aloud in one go. Each has its capital and
 * its stop, no bare "0 %", no number without its meaning, and none is said of a picture that gives no cause.
 */
import { expect, it } from 'vitest'
import { COLOUR_AND_LIGHT } from '../../testing/said/colour-and-light'
import { FOCUS_AND_EDGES } from '../../testing/said/focus-and-edges'
import { VALUES } from '../../testing/said/values'

const SAID = [...VALUES, ...FOCUS_AND_EDGES, ...COLOUR_AND_LIGHT]

it.each(SAID.filter(([, reading]) => reading !== null))('%s', (_, reading) => {
  const { sentence, verdict, correction } = reading!
  expect(sentence).toMatch(/^[A-Z\d“].*[.?]$/)
  expect(sentence).not.toMatch(/(^|[^\d.])0\u00a0%|NaN|undefined|null|Infinity| {2}/)
  if (verdict === 'fix') expect(correction, 'a fault has a way out').toBeDefined()
})

it('say all of it once', () => {
  expect(
    Object.fromEntries(
      SAID.map(([when, reading]) => [
        when,
        reading && `${reading.verdict}: ${reading.sentence.replaceAll('\u00a0', ' ')}`
      ])
    )
  ).toMatchSnapshot()
})
