/** Readings of where the eye goes, and of what stops it there. */
import type { Causes, FocusSection, Peak } from '../../../measure/report'
import { isMeasured } from '../../../measure/report'
import type { Reading } from '../../reading'
import { count, list } from '../../words'
import { placeWords } from '../places'

const WHY = {
  path: 'The eye goes where something differs: the strongest contrast, the sharpest detail, the whitest white, the strongest colour. What it meets first is what the picture is taken to be about.',
  intended:
    'The place the picture is about should have the strongest contrast, the strongest colour or the sharpest detail. Whatever has more of them is looked at instead.',
  whites: 'A bare white is the lightest thing there is. One is an accent; several compete with each other.',
  contrast: 'Contrast is spent where the eye should stop. The same contrast elsewhere is a second picture.'
}

const CAUSE_WORDS: Readonly<Record<keyof Causes, string>> = {
  value: 'its value against what is around it',
  chroma: 'its strong colour',
  hue: 'its odd hue',
  detail: 'its detail',
  orientation: 'its odd direction'
}

/** The one or two strongest causes of a peak. */
export function causeWords({ causes }: Peak): string {
  const ranked = (Object.entries(causes) as [keyof Causes, number][]).sort((p, q) => q[1] - p[1])
  return list(ranked.slice(0, ranked[1][1] > 0.6 * ranked[0][1] ? 2 : 1).map(([name]) => CAUSE_WORDS[name]))
}

const numbered = (peaks: readonly Peak[]): Reading['points'] =>
  peaks.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) }))

export function pathReading({ peaks }: FocusSection): Reading | null {
  if (!isMeasured(peaks) || peaks.length === 0) return null
  const [first, ...others] = peaks
  const places = [...new Set(others.map(placeWords))].filter(place => place !== placeWords(first))
  const rest = places.length ? ` Then ${list(places)}.` : ' Nothing else calls it away.'
  return {
    id: 'focus.path',
    station: 'focus',
    verdict: 'works',
    why: WHY.path,
    trains: [],
    sentence: `The eye goes first to ${placeWords(first)}, for ${causeWords(first)}.${rest}`,
    evidence: { name: 'attention' },
    points: numbered(peaks)
  }
}

export function intendedReading(focus: FocusSection): Reading | null {
  const { peaks } = focus
  if (!isMeasured(peaks) || peaks.length === 0 || focus.rank === undefined || focus.competitors === undefined)
    return null
  const rank = isMeasured(focus.rank) ? focus.rank : null
  const thief = focus.competitors[0]
  const sentence =
    rank === 1
      ? 'The eye goes first where it should.'
      : rank === null
        ? `Nothing stops the eye where it should go; ${placeWords(thief)} takes it, for ${causeWords(thief)}.`
        : `The eye comes here ${['', 'first', 'second', 'third', 'fourth', 'fifth'][rank]}; ${placeWords(thief)} is before it, for ${causeWords(thief)}.`
  return {
    id: 'focus.intended',
    station: 'focus',
    verdict: rank === 1 ? 'works' : rank === 2 ? 'look' : 'fix',
    sentence,
    why: WHY.intended,
    trains: [],
    evidence: { name: 'attention' },
    points: numbered(peaks),
    ...(rank === 1
      ? {}
      : {
          correction: {
            what: 'The eye is taken elsewhere before it comes here.',
            todo: `Quiet ${placeWords(thief)} first; then push what the picture is about, in one way only.`,
            target: { measure: 'focus-rank', atMost: 1 }
          }
        })
  }
}

export function contrastReading({ contrast, elsewhere, ratio }: FocusSection): Reading | null {
  if (
    contrast === undefined
    || elsewhere === undefined
    || ratio === undefined
    || !isMeasured(elsewhere)
    || !isMeasured(ratio)
  )
    return null
  const strong = ratio >= 1
  return {
    id: 'focus.contrast',
    station: 'focus',
    verdict: strong ? 'works' : ratio > 0.8 ? 'look' : 'fix',
    why: WHY.contrast,
    trains: [],
    sentence: strong
      ? `The strongest contrast is at the focus: ${Math.round(contrast)} steps, ${Math.round(elsewhere)} elsewhere.`
      : `The focus has ${Math.round(contrast)} steps of contrast; another place as large has ${Math.round(elsewhere)}.`,
    figure: {
      unit: 'steps',
      value: contrast,
      standard: elsewhere,
      low: 0,
      high: 100,
      label: `contrast at the focus ${Math.round(contrast)}, elsewhere ${Math.round(elsewhere)}`
    },
    evidence: { name: 'grey' }
  }
}

export function whitesReading({ whites }: FocusSection): Reading | null {
  if (whites.length === 0) return null
  const single = whites.length === 1
  return {
    id: 'focus.whites',
    station: 'focus',
    verdict: single ? 'works' : 'look',
    why: WHY.whites,
    trains: [],
    sentence: single
      ? `One bare white, in ${placeWords(whites[0])}.`
      : `${count(whites.length).replace(/^./, c => c.toUpperCase())} bare whites; the largest lies in ${placeWords(whites[0])}.`,
    evidence: { name: 'near-white' },
    points: whites.map((w, i) => ({ x: w.x, y: w.y, label: String(i + 1) }))
  }
}
