/** Checks that depend on whom an exercise was set to: the key colour given, and the plan that was written. */
import { percent } from '../../critique/words'
import { fitAt, HOLDS, type Fit } from '../../measure/harmony/scheme'
import { angleDistance } from '../../numeric/angle'
import { SCHEME_WORDS } from '../../wheel/schemes'
import { stepAt } from '../../wheel/wheel'
import { checkOf, type Check, type HandInMeasures } from '../exercise'
import type { Plan } from '../plan/plan'

/** A step of the wheel. */
const KEY = 30
/** Degrees over which the leading colour is looked for. */
const WINDOW = 15

/** Where most of the coloured weight lies, degrees; null without a colour. */
function leadingHue({ hues: { weight, totalWeight } }: HandInMeasures): number | null {
  if (totalWeight === 0) return null
  const sums = Array.from({ length: 360 }, (_, at) => {
    let sum = 0
    for (let by = -WINDOW; by <= WINDOW; by++) sum += weight[(at + by + 360) % 360]
    return sum
  })
  return sums.indexOf(Math.max(...sums))
}

/** @param hue degrees of the wheel. */
export const keyColour = (hue: number): Check =>
  checkOf({
    id: 'key',
    name: 'the key colour',
    asks: (_, { wheel }) => `The leading colour is the one you were given: ${stepAt(wheel, hue)}`,
    atMost: KEY,
    top: 180,
    measure: measures => {
      const lead = leadingHue(measures)
      return lead === null ? 180 : angleDistance(lead, hue)
    },
    say: (_, __, given) => {
      const lead = leadingHue(given)
      return lead === null ? 'There is no colour to measure.' : `It is ${stepAt(given.settings.wheel, lead)}.`
    },
    tip: () => 'Let the colour you were given have the largest share.'
  })

/** A plan's key is written in steps: half a step to either side is as planned. */
function fitOfPlan({ scheme, hue }: Plan, { hues }: HandInMeasures): Fit | null {
  if (hues.totalWeight === 0) return null
  let best: Fit | null = null
  for (let by = -WINDOW; by <= WINDOW; by++) {
    const fit = fitAt(scheme, hues.weight, (Math.round(hue) + by + 720) % 360)
    if (!best || fit.coverage > best.coverage) best = fit
  }
  return best
}

export const asPlanned: Check = checkOf({
  id: 'plan',
  name: 'keeping to the plan',
  asks: ({ least }) => `At least ${percent(least)} of the colour lies in the scheme and key colour you planned`,
  atLeast: HOLDS.coverage,
  top: 1,
  measure: measures => (measures.plan && fitOfPlan(measures.plan, measures)?.coverage) ?? 0,
  say: (share, _, { plan, settings: { wheel } }) =>
    plan
      ? `${percent(share)} lies in ${SCHEME_WORDS[plan.scheme]} with ${stepAt(wheel, plan.hue)} as its key.`
      : 'Nothing was planned.',
  tip: () => 'Bring what lies outside into the plan, or say why you left it.'
})

/** How far a share may lie from what was planned. Our choice: a plan is a direction. */
const AMOUNT = 0.2

export const inAmounts: Check = checkOf({
  id: 'amounts-planned',
  name: 'amounts as planned',
  asks: ({ most }) => `Leader and assistant hold what you planned, give or take ${percent(most)}`,
  atMost: AMOUNT,
  top: 1,
  measure: measures => {
    const fit = measures.plan && fitOfPlan(measures.plan, measures)
    if (!fit || !measures.plan) return 1
    const total = fit.sectors.reduce((p, q) => p + q, 0) || 1,
      found = fit.sectors.map(s => s / total).sort((p, q) => q - p)
    // Two colours have a leader and an accent; what was to assist is then the leader's greys.
    const { amounts } = measures.plan,
      wanted = found.length === 2 ? [amounts[0] + amounts[1], amounts[2]] : amounts
    return found.length === 1 ? 0 : Math.max(...[0, 1].map(i => Math.abs((found[i] ?? 0) - (wanted[i] ?? 0))))
  },
  say: off => `They are off by ${percent(off)} at most.`,
  tip: () => 'Look which has grown, and grey or shrink it.'
})
