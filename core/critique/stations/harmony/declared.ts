/** The maker's planned scheme against what was painted. */
import { HOLDS } from '../../../measure/harmony/scheme'
import { trainsScheme } from '../../../exercise/shelf'
import { SCHEME_WORDS, type SectorScheme } from '../../../wheel/schemes'
import type { WheelName } from '../../../wheel/steps'
import { isNear, weighed } from '../../near'
import type { Reading } from '../../reading'
import { percent, wholePercent } from '../../words'

const WHY = "A plan is the one thing a picture can be held to fairly: it is the maker's own."

/** What the maker planned, and the share of colour that keeps to it. */
export interface DeclaredFit {
  readonly scheme: SectorScheme
  readonly coverage: number
  readonly rotation: number
}

export function declaredReading({ scheme, coverage, rotation }: DeclaredFit, wheel: WheelName): Reading {
  const kept = coverage >= HOLDS.coverage,
    nearly = !kept && isNear(coverage, HOLDS.coverage)
  return {
    id: 'harmony.declared',
    station: 'harmony',
    verdict: kept || nearly ? 'works' : 'look',
    sentence: kept
      ? `The plan was ${SCHEME_WORDS[scheme]}, and ${percent(coverage)} of the colour keeps to it.`
      : `The plan was ${SCHEME_WORDS[scheme]}, ${nearly ? 'and nearly all' : 'but only part'} of the colour`
        + ` keeps to it: ${percent(coverage)}.`,
    why: WHY,
    figure: {
      unit: 'share',
      value: coverage,
      standard: HOLDS.coverage,
      low: 0,
      high: 1,
      label: `${percent(coverage)} of the colour keeps to the plan, ${wholePercent(HOLDS.coverage)} wanted`
    },
    evidence: { name: 'off-scheme', wheel, scheme, rotation },
    trains: trainsScheme(scheme),
    ...(kept || nearly
      ? {}
      : {
          weight: weighed(1 - coverage, 1 - HOLDS.coverage, 0.7),
          correction: {
            what: `The colour leaves the plan: ${SCHEME_WORDS[scheme]}.`,
            todo: 'Mix what lies outside toward the nearer of the planned colours.',
            target: { measure: 'coverage', scheme, atLeast: 0.85 }
          }
        })
  }
}
