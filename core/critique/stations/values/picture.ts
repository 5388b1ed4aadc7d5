/** Readings of the whole picture's values. */
import type { ValueSection } from '../../../measure/report'
import { rangeVerdict } from '../../../measure/value/value'
import { isNear, weighed } from '../../near'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, count, list, percent, steps } from '../../words'
import { inPlace } from '../places'

const WHY = {
  range:
    'The jump from darkest dark to lightest light is what reads first and from farthest.'
    + ' In the middle tones alone, nothing can come forward.',
  groups:
    'A picture reads by a few big values.'
    + ' With two it is a poster, with three it has light, shade and something between.',
  black: 'Flat black draws the eye, cannot be shaded further, and hides whether the dark is warm or cool.',
  key:
    'The key sets the mood before anything is recognised: a low key is night or weight, a high key air and light.'
    + ' It should be chosen, not drifted into.'
}

/** A narrow range in a high or a low key is meant from this many steps on: under it even mist is flat. */
const MEANT = 35
/** Under this much of the picture there is none of it to speak of. */
const HARDLY = 0.005

/** What the range lacks: said only where there is none of it. */
function missing({ darkest, thirds }: ValueSection): string {
  const noDark = darkest > 25,
    noLight = thirds.light < HARDLY
  if (noDark && noLight) return ' There is neither a true dark nor a true light.'
  return noDark ? ' There is no dark.' : noLight ? ' There is no light.' : ''
}

export function rangeReading(value: ValueSection, { range }: HouseStandards): Reading {
  const verdict = rangeVerdict(value.range, range),
    bound = verdict === 'narrow' ? range.moderate : range.full
  const soft = verdict !== 'full' && isNear(value.range, bound),
    said = `${steps(value.range)} steps, from ${steps(value.darkest)} to ${steps(value.lightest)}`
  const sentence =
    verdict === 'full'
      ? `The range is full: ${said}. The lights can come forward.`
      : soft
        ? `The range is just under ${verdict === 'narrow' ? 'moderate' : 'full'}:`
          + ` ${steps(value.range)} steps, where ${bound} are wanted.${missing(value)}`
        : `The range is ${verdict}:`
          + ` ${steps(value.range)} steps, where a full one has ${range.full} or more.${missing(value)}`
  const push = value.darkest > 100 - value.lightest ? 'the darkest dark down' : 'the lightest light up'
  // A picture all in its lights or all in its darks may mean it: mist, snow, night. A moderate range is no fault by
  // itself.
  const meant = value.key !== 'middle' && value.range >= MEANT,
    lacks = missing(value) !== '' && value.key === 'middle'
  return {
    id: 'value.range',
    station: 'values',
    verdict:
      verdict === 'narrow'
        ? meant
          ? 'works'
          : soft || value.key !== 'middle'
            ? 'look'
            : 'fix'
        : verdict === 'full' || !lacks
          ? 'works'
          : 'look',
    sentence,
    why: WHY.range,
    figure: {
      unit: 'steps',
      value: value.range,
      standard: range.full,
      low: 0,
      high: 100,
      label: `range ${steps(value.range)} of 100, ${range.full} wanted`,
      house: 'range'
    },
    evidence: { name: 'grey' },
    trains: ['three-values'],
    ...(verdict === 'full'
      ? {}
      : {
          weight: weighed(range.full - value.range, 0, range.full),
          correction: {
            what: `The values stay between ${steps(value.darkest)} and ${steps(value.lightest)}.`,
            todo: `Push ${push} first, where the picture is about something, and leave the rest.`,
            target: { measure: 'range', atLeast: range.full }
          }
        })
  }
}

/** Said of a picture that is carried by two or three values: of most there is nothing to say. */
export function groupsReading(value: ValueSection): Reading | null {
  if (!Array.isArray(value.groups)) return null
  const groups = value.groups as readonly { value: number; share: number }[]
  if (groups.length > 3) return null
  const each = list(groups.map(g => `${steps(g.value)} (${percent(g.share)})`))
  return {
    id: 'value.groups',
    station: 'values',
    verdict: 'works',
    sentence:
      `${capital(count(groups.length))} values carry the picture:`
      + ` ${each}.${groups.length === 2 ? ' It reads as a poster does.' : ''}`,
    why: WHY.groups,
    evidence: { name: 'groups', count: null },
    trains: []
  }
}

/**
 * In a picture that is dark as a whole black is where the dark ends; in a light one it is a hole. So much more of it is
 * let pass.
 */
const NIGHT = 2,
  DARK = 0.5
/** Over its bound by this it is a fault, up to there a question. */
const PLAINLY = 2
/**
 * One hole is seen from so many times the bound on, many together from more: small ones here and there are accents of
 * the drawing.
 */
const SEEN = { one: 2, together: 5 } as const
/** A dark picture without flat black is worth a word; a light one has no reason to have any. */
const DARK_PICTURE = 0.3

export function blackReading({ flatBlack, thirds, key }: ValueSection, standards: HouseStandards): Reading | null {
  const { share, holes } = flatBlack,
    night = key === 'low' || thirds.dark >= DARK,
    bound = standards.nearBlack * (night ? NIGHT : 1),
    largest = Math.max(0, ...flatBlack.patches.filter(p => p.hole).map(p => p.share)),
    over = largest >= SEEN.one * bound || holes >= SEEN.together * bound,
    deep = holes <= bound && share > bound
  if (holes > bound && !over) return null
  if (!over && !deep && (share > 0 || thirds.dark < DARK_PICTURE)) return null
  const patches = over ? flatBlack.patches.filter(p => p.hole) : flatBlack.patches,
    where = [...new Set(patches.slice(0, 2).map(inPlace))].join(' and ')
  const base = {
    id: 'value.black',
    station: 'values',
    why: WHY.black,
    evidence: { name: 'near-black' },
    trains: ['no-black']
  } as const
  if (deep)
    return {
      ...base,
      verdict: 'works',
      sentence: `Flat black ${where} is the end of the darks: what lies around it leads down into it.`,
      points: patches.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) }))
    }
  if (!over)
    return {
      ...base,
      verdict: 'works',
      sentence: 'The picture is dark, and every dark still has a colour: no flat black.'
    }
  const avoid = standards.black === 'avoid'
  return {
    ...base,
    verdict: avoid && holes > PLAINLY * bound ? 'fix' : 'look',
    sentence:
      `Flat black fills ${percent(holes)} of the picture,`
      + ` most of it ${where}.${avoid ? '' : ' Is it meant everywhere?'}`,
    figure: {
      unit: 'share',
      value: holes,
      standard: bound,
      low: 0,
      high: Math.max(0.2, 1.2 * holes),
      label: `flat black ${percent(holes)}, at most ${percent(bound)} wanted`,
      house: 'nearBlack',
      ...(night ? { eased: 'doubled since the picture is dark as a whole' } : {})
    },
    points: patches.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) })),
    weight: weighed(holes, bound, 0.4),
    correction: {
      what: `The darks ${where} are flat black.`,
      todo: 'Mix a dark of the same value from two opposites, and lean it to the temperature of the other darks.',
      target: { measure: 'near-black', atMost: standards.nearBlack }
    }
  }
}

const KEY_WORDS = { low: 'a low key', high: 'a high key' } as const
/** From this share on the middle tones hold nearly everything. */
const CROWDED = 0.95

export function keyReading({ key, thirds, range }: ValueSection, standards: HouseStandards): Reading | null {
  const base = {
    id: 'value.key',
    station: 'values',
    why: WHY.key,
    evidence: { name: 'two-values' },
    trains: []
  } as const
  const { dark, middle, light } = thirds
  if (middle > CROWDED) {
    // With a narrow range that is the same fault, and said there; with a full one small darks and lights do their work.
    if (rangeVerdict(range, standards.range) !== 'moderate') return null
    return {
      ...base,
      verdict: 'look',
      sentence: `${percent(middle)} of the picture lies in the middle tones.`,
      weight: 0.2
    }
  }
  if (key === 'middle') return null
  const parts = [
    [dark, 'dark'],
    [middle, 'middle'],
    [light, 'light']
  ] as const
  const shares = list(parts.filter(([share]) => share >= HARDLY).map(([share, word]) => `${percent(share)} ${word}`))
  return { ...base, verdict: 'works', sentence: `The picture sits in ${KEY_WORDS[key]}: ${shares}.` }
}
