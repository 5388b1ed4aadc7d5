/** Readings of the edges station, composition with it. */
import { isMeasured, type CompositionSection, type EdgesSection } from '../../../measure/report'
import { isNear, weighed } from '../../near'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { percent } from '../../words'

const WHY = {
  lines:
    'A line says where a form ends; value says how it turns. Where line does the work of value, the form stays flat.',
  falloff:
    'Sharp edges come forward.'
    + ' They should be sharpest at the focus and soften away from it, or everything is equally near.',
  symmetry: 'A picture that mirrors itself stands still. That can be meant; mostly it is not.',
  horizon: 'A division at half the height makes two pictures of equal importance.'
}

/** Null where value carries the form, as in most pictures. */
export function linesReading(
  { lineDependence: thinDarks, thinLights }: EdgesSection,
  standards: HouseStandards
): Reading | null {
  if (!isMeasured(thinDarks) || !isMeasured(thinLights)) return null
  // Grain, leaves and gravel have thin lights as well: only what is more than those was drawn.
  const lineDependence = thinDarks - 0.7 * thinLights
  if (lineDependence <= standards.lineDependence) return null
  const soft = isNear(lineDependence, standards.lineDependence)
  return {
    id: 'edges.lines',
    station: 'edges',
    verdict: 'look',
    why: WHY.lines,
    trains: ['two-values'],
    sentence: soft
      ? `Thin dark lines carry a good part of the contrast, ${percent(lineDependence)}.`
      : `Thin dark lines carry ${percent(lineDependence)} of the contrast:`
        + ' form is drawn where it could be turned by value.',
    figure: {
      unit: 'share',
      value: lineDependence,
      standard: standards.lineDependence,
      low: 0,
      high: 0.6,
      label: `lines carry ${percent(lineDependence)}, at most ${percent(standards.lineDependence)} wanted`,
      house: 'lineDependence'
    },
    evidence: { name: 'edges' },
    weight: weighed(lineDependence, standards.lineDependence, 1.2),
    correction: {
      what: 'Form is described by line.',
      todo: 'Lose the line on the light side and let the value behind it make the edge.',
      target: { measure: 'line-dependence', atMost: standards.lineDependence }
    }
  }
}

/** Sharpness within this of the rest is the same. */
const ALIKE = 0.1
/** So much softer than the rest, the focus is out of focus. */
const BLURRED = 0.7

export function fallOffReading({ sharpness }: EdgesSection): Reading | null {
  const { focus, rest } = sharpness
  if (!isMeasured(focus) || !isMeasured(rest) || rest < 1e-3) return null
  const ratio = focus / rest
  if (Math.abs(ratio - 1) <= ALIKE) return null
  const sharp = ratio > 1,
    apart = percent(Math.abs(ratio - 1))
  return {
    id: 'edges.falloff',
    station: 'edges',
    verdict: sharp ? 'works' : ratio < BLURRED ? 'fix' : 'look',
    why: WHY.falloff,
    trains: [],
    sentence: sharp
      ? `The edges are sharpest at the focus, ${apart} more than in the rest.`
      : `The edges at the focus are ${apart} softer than in the rest of the picture.`,
    evidence: { name: 'edges' },
    ...(sharp
      ? {}
      : {
          weight: weighed(1 - ratio, ALIKE, 0.6),
          correction: {
            what: 'The focus is softer than what is around it.',
            todo: 'Sharpen one edge at the focus and lose some of the others.',
            target: null
          }
        })
  }
}

export function symmetryReading(
  { symmetryAcross: symmetry }: CompositionSection,
  standards: HouseStandards
): Reading | null {
  if (!isMeasured(symmetry) || symmetry <= standards.symmetry) return null
  return {
    id: 'composition.symmetry',
    station: 'edges',
    verdict: 'look',
    why: WHY.symmetry,
    trains: ['framing'],
    sentence: `The picture nearly mirrors itself: its halves are ${percent(symmetry)} alike.`,
    evidence: { name: 'mirrored' },
    weight: 0.2
  }
}

export function horizonReading({ horizon }: CompositionSection, standards: HouseStandards): Reading | null {
  if (!isMeasured(horizon)) return null
  const halved = horizon >= standards.horizon.low && horizon <= standards.horizon.high
  return {
    id: 'composition.horizon',
    station: 'edges',
    verdict: halved ? 'look' : 'works',
    why: WHY.horizon,
    trains: ['framing'],
    sentence: halved
      ? `A division from side to side cuts the picture in half, at ${percent(horizon)} of its height.`
      : `The picture is divided ${horizon < 0.5 ? 'above' : 'below'} its middle,`
        + ` at ${percent(horizon)} of the height from the top.`,
    points: [0.03, 0.97].map(x => ({ x, y: horizon, label: '–' })),
    ...(halved ? { weight: 0.35 } : {})
  }
}
