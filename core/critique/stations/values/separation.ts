/** The reading of a marked area against what is around it. */
import type { Separation } from '../../../measure/report'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { merges } from '../../../measure/value/separation'
import { weighed } from '../../near'
import { capital, isPlural, steps } from '../../words'

const WHY = 'A shape is seen when its value differs from what lies around it. Hue alone does not lift it at a distance.'

/**
 * Steps of value that a shape is asked to come away by: more than it takes not to merge. @param merge the house's
 * standard.
 */
export const wantedSeparation = (merge: number): number => Math.max(15, merge)

/** @param what the area's name as the instructor gave it, e.g. "the boat". */
export function separationReading(what: string, separation: Separation, { merge }: HouseStandards): Reading {
  const apart = Math.abs(separation.deltaValue)
  const lost = merges(separation.deltaValue, separation.deltaE, merge)
  const thin = !lost && apart < merge.value
  const several = isPlural(what),
    it = several ? 'them' : 'it'
  const sentence = lost
    ? `${capital(what)} ${several ? 'merge with their' : 'merges with its'} surroundings:`
      + ` ${steps(apart)} apart, ${merge.value} wanted.`
    : thin
      ? `${capital(what)} ${several ? 'are' : 'is'} held apart by colour alone: only ${steps(apart)} value steps.`
      : `${capital(what)} ${several ? 'stand' : 'stands'} clear:`
        + ` ${steps(apart)} value steps ${separation.deltaValue > 0 ? 'lighter' : 'darker'} than what is around ${it}.`
  return {
    id: 'value.separation',
    station: 'values',
    verdict: lost ? 'fix' : thin ? 'look' : 'works',
    sentence,
    why: WHY,
    figure: {
      unit: 'steps',
      value: apart,
      standard: merge.value,
      low: 0,
      high: Math.max(40, apart),
      label: `${steps(apart)} value steps apart, ${merge.value} wanted`,
      house: 'merge'
    },
    evidence: { name: 'grey' },
    trains: ['three-values'],
    ...(lost || thin
      ? {
          weight: lost ? weighed(merge.value - apart, -merge.value, merge.value) : 0.2,
          correction: {
            what: `${capital(what)} ${several ? 'merge' : 'merges'} with what is around ${it}.`,
            todo:
              separation.deltaValue >= 0
                ? 'Lift it, or lower what lies behind it, until it comes away with the eyes half closed.'
                : 'Lower it, or lift what lies behind it, until it comes away with the eyes half closed.',
            target: { measure: 'separation', atLeast: wantedSeparation(merge.value) }
          }
        }
      : {})
  }
}
