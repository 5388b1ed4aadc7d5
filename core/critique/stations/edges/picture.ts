/** Readings of the edges station, composition with it. */
import { isMeasured, type CompositionSection, type EdgesSection } from '../../../measure/report'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { percent } from '../../words'

const WHY = {
  lines:
    'A line says where a form ends; value says how it turns. Where line does the work of value, the form stays flat.',
  falloff:
    'Sharp edges come forward. They should be sharpest at the focus and soften away from it, or everything is equally near.',
  symmetry: 'A picture that mirrors itself stands still. That can be meant; mostly it is not.',
  horizon: 'A division at half the height makes two pictures of equal importance.'
}

export function linesReading({ lineDependence }: EdgesSection, standards: HouseStandards): Reading | null {
  if (!isMeasured(lineDependence)) return null
  const much = lineDependence > standards.lineDependence
  return {
    id: 'edges.lines',
    station: 'edges',
    verdict: much ? 'look' : 'works',
    why: WHY.lines,
    trains: [],
    sentence: much
      ? `Thin dark lines carry ${percent(lineDependence)} of the contrast: form is drawn where it could be turned by value.`
      : `Value carries the form; thin lines have ${percent(lineDependence)} of the contrast.`,
    figure: {
      unit: 'share',
      value: lineDependence,
      standard: standards.lineDependence,
      low: 0,
      high: 0.5,
      label: `lines carry ${percent(lineDependence)}, at most ${percent(standards.lineDependence)} wanted`
    },
    evidence: { name: 'edges' },
    ...(much
      ? {
          correction: {
            what: 'Form is described by line.',
            todo: 'Lose the line on the light side and let the value behind it make the edge.',
            target: { measure: 'line-dependence', atMost: standards.lineDependence }
          }
        }
      : {})
  }
}

export function fallOffReading({ sharpness }: EdgesSection): Reading | null {
  const { focus, near, rest } = sharpness
  if (!isMeasured(focus) || !isMeasured(near) || !isMeasured(rest)) return null
  const falls = focus >= near && near >= rest * 0.95
  return {
    id: 'edges.falloff',
    station: 'edges',
    verdict: falls ? 'works' : focus < rest ? 'fix' : 'look',
    why: WHY.falloff,
    trains: [],
    sentence: falls
      ? 'Edges are sharpest at the focus and soften away from it.'
      : focus < rest
        ? 'Edges are softer at the focus than in the rest of the picture.'
        : 'Sharpness does not fall off gradually: the edges beside the focus are out of step.',
    evidence: { name: 'edges' }
  }
}

export function symmetryReading({ symmetry }: CompositionSection, standards: HouseStandards): Reading | null {
  if (!isMeasured(symmetry) || symmetry <= standards.symmetry) return null
  return {
    id: 'composition.symmetry',
    station: 'edges',
    verdict: 'look',
    why: WHY.symmetry,
    trains: [],
    sentence: `The picture nearly mirrors itself (${percent(symmetry)} alike).`,
    evidence: { name: 'mirrored' }
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
    trains: [],
    sentence: halved
      ? `The strongest division cuts the picture in half, at ${percent(horizon)} of its height.`
      : `The strongest division lies at ${percent(horizon)} of the height, off the middle.`,
    points: [0.03, 0.97].map(x => ({ x, y: horizon, label: '–' }))
  }
}
