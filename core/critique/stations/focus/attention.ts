/** Readings of where the eye goes, and of what stops it there. */
import { SHARED } from '../../../measure/focus/attention/order'
import { isMeasured, type Causes, type FocusSection, type Peak } from '../../../measure/report'
import { areaHolds, type Area } from '../../../picture/area'
import { weighed } from '../../near'
import type { Reading } from '../../reading'
import { capital, count, list } from '../../words'
import { inPlace, placeWords, thingWords } from '../places'

const WHY = {
  path:
    'The eye goes where something differs: the strongest contrast, the sharpest detail, the whitest white,'
    + ' the strongest colour. What it meets first is what the picture is taken to be about.',
  intended:
    'The place the picture is about should have the strongest contrast, the strongest colour or the sharpest detail.'
    + ' Whatever has more of them is looked at instead.',
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

/** From here on it is met first plainly. */
const PLAINLY = 1.5

const numbered = (peaks: readonly Peak[]): Reading['points'] =>
  peaks.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) }))

/** Things the eye meets, each called once, and no ninth of the picture twice: what lies there belongs together. */
function called(peaks: readonly Peak[]): string[] {
  const places = peaks.map(placeWords)
  return [...new Set(peaks.filter((_, i) => places.indexOf(places[i]) === i).map(thingWords))]
}
const forCause = (peak: Peak): string => (peak.known ? '' : `, for ${causeWords(peak)}`)

export function pathReading({ peaks }: FocusSection): Reading | null {
  if (!isMeasured(peaks) || peaks.length === 0) return null
  const first = peaks[0],
    sharing = first.known ? [first] : peaks.filter(p => p.strength * SHARED > first.strength)
  const [thing, ...others] = called(sharing.length > 1 ? sharing : peaks),
    shared = sharing.length > 1 && others.length > 0
  // Which of many is first is not for the measure to say: it is no fault by itself.
  const sentence = !shared
    ? `The eye goes first to ${thing}${forCause(first)}.`
      + (others.length > 0 ? ` Then to ${list(others.slice(0, 2))}.` : ' Nothing else calls it away.')
    : others.length > 2
      ? `Several places share the first look, among them ${list([thing, ...others.slice(0, 2)])}.`
      : `${capital(count(others.length + 1))} places share the first look: ${list([thing, ...others])}.`
  return {
    id: 'focus.path',
    station: 'focus',
    verdict: 'works',
    why: WHY.path,
    trains: [],
    sentence,
    evidence: { name: 'attention' },
    points: numbered(shared ? sharing : peaks)
  }
}

export function intendedReading(focus: FocusSection): Reading | null {
  const { peaks, rank: ranked, competitors } = focus
  if (!isMeasured(peaks) || peaks.length === 0 || ranked === undefined || competitors === undefined) return null
  const rank = isMeasured(ranked) ? ranked : null,
    own = rank === null ? null : peaks[rank - 1],
    rival = competitors.find(p => own === null || p.strength * SHARED > own.strength) ?? null
  const base = {
    id: 'focus.intended',
    station: 'focus',
    why: WHY.intended,
    trains: ['studies-first', 'framing'],
    evidence: { name: 'attention' },
    points: numbered(peaks)
  } as const
  if (own && !rival)
    return {
      ...base,
      verdict: 'works',
      sentence: `The eye goes first where it should, to ${thingWords(own)}${forCause(own)}.`
    }
  const thief = rival ?? competitors[0]
  const over = own === null ? Infinity : thief.strength / own.strength
  const sentence =
    own === null
      ? `Nothing stops the eye where it should go: ${thingWords(thief)} takes it${forCause(thief)}.`
      : over < SHARED
        ? `The focus shares the first look with ${thingWords(thief)}.`
        : `The eye comes here ${['', 'first', 'second', 'third', 'fourth', 'fifth'][rank!]}:`
          + ` ${thingWords(thief)} is before it${forCause(thief)}.`
  return {
    ...base,
    verdict: over >= PLAINLY ? 'fix' : 'look',
    sentence,
    weight: own === null ? 1 : weighed(over, 1, 3),
    correction: {
      what: `The eye goes to ${thingWords(thief)} before it comes here.`,
      todo: `Quiet ${thingWords(thief)} first; then push what the picture is about, in one way only.`,
      target: { measure: 'focus-rank', atMost: 1 }
    }
  }
}

/** Among windows of its size the focus has more contrast than this share of them, or less than that. */
const STANDS_OUT = 0.9,
  FALLS_SHORT = 0.5

export function contrastReading(focus: FocusSection): Reading | null {
  const { contrast, elsewhere, standing, rank, saturationRatio } = focus
  if (contrast === undefined || elsewhere === undefined || standing === undefined) return null
  if (!isMeasured(elsewhere) || !isMeasured(standing)) return null
  const strong = standing >= STANDS_OUT,
    weak = standing < FALLS_SHORT
  // A focus that is met first, or stands out by its colour, needs no contrast of value as well.
  const byOther = rank === 1 || (saturationRatio !== undefined && isMeasured(saturationRatio) && saturationRatio > 1.2)
  if (!strong && (!weak || byOther)) return null
  const tenths = count(Math.max(1, Math.min(9, Math.round(10 * (strong ? standing : 1 - standing)))))
  return {
    id: 'focus.contrast',
    station: 'focus',
    verdict: strong ? 'works' : 'look',
    why: WHY.contrast,
    trains: [],
    sentence: strong
      ? 'The contrast is spent where it should be:'
        + ` ${Math.round(contrast)} steps at the focus, more than in ${tenths} of ten places as large.`
      : `The focus has ${Math.round(contrast)} steps of contrast, less than ${tenths} of ten places as large.`,
    figure: {
      unit: 'steps',
      value: contrast,
      standard: elsewhere,
      low: 0,
      high: 100,
      label: `contrast at the focus ${Math.round(contrast)}, the most elsewhere ${Math.round(elsewhere)}`
    },
    evidence: { name: 'grey' },
    ...(strong ? {} : { weight: weighed(1 - standing, 1 - FALLS_SHORT, 1) })
  }
}

/** Beyond so many nobody counts them. */
const COUNTED = 4

/** @param focus where the eye should go: whites beside it are rivals, without it they are only told. */
export function whitesReading({ whites }: FocusSection, focus: Area | null): Reading | null {
  if (whites.length === 0) return null
  const base = {
    id: 'focus.whites',
    station: 'focus',
    why: WHY.whites,
    trains: [],
    evidence: { name: 'near-white' },
    points: whites.map((w, i) => ({ x: w.x, y: w.y, label: String(i + 1) }))
  } as const
  const [largest, ...others] = whites
  if (others.length === 0)
    return { ...base, verdict: 'works', sentence: `One bare white, ${inPlace(largest)}: the lightest accent.` }
  const many = whites.length > COUNTED ? 'Many' : capital(count(whites.length)),
    rivals = focus === null ? 0 : whites.filter(w => !areaHolds(focus, w.x, w.y)).length
  return {
    ...base,
    verdict: rivals > 2 ? 'look' : 'works',
    sentence:
      `${many} bare whites;`
      + ` the largest lies ${inPlace(largest)}.${rivals > 2 ? ' They compete with the focus.' : ''}`,
    ...(rivals > 2 ? { weight: weighed(rivals, 1, 12) } : {})
  }
}
