/** Readings of the whole picture's values. */
import type { ValueSection } from '../../../measure/report'
import { rangeVerdict } from '../../../measure/value'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, count, percent, steps } from '../../words'

const WHY = {
  range:
    'The jump from darkest dark to lightest light is what reads first and from farthest. In the middle tones alone, nothing can come forward.',
  groups:
    'A picture reads by a few big values. With two it is a poster, with four to six it has room for light, shade and accents; beyond that the eye finds no order.',
  black: 'Flat black draws the eye, cannot be shaded further, and hides whether the dark is warm or cool.',
  key: 'The key sets the mood before anything is recognised: a low key is night or weight, a high key air and light. It should be chosen, not drifted into.'
}

export function rangeReading(value: ValueSection, { range }: HouseStandards): Reading {
  const verdict = rangeVerdict(value.range, range)
  const missing =
    value.darkest > 25 && value.lightest < 80
      ? 'There is neither a true dark nor a true light.'
      : value.darkest > 25
        ? 'There is no dark.'
        : value.lightest < 80
          ? 'There is no light.'
          : ''
  const sentence =
    verdict === 'full'
      ? `The range is full: ${steps(value.range)} steps, from ${steps(value.darkest)} to ${steps(value.lightest)}. The lights can come forward.`
      : `The range is ${verdict}: ${steps(value.range)} steps, where a full one has ${range.full} or more.${missing ? ` ${missing}` : ''}`
  const push = value.darkest > 100 - value.lightest ? 'the darkest dark down' : 'the lightest light up'
  return {
    id: 'value.range',
    station: 'values',
    verdict: verdict === 'full' ? 'works' : verdict === 'moderate' ? 'look' : 'fix',
    sentence,
    why: WHY.range,
    figure: {
      unit: 'steps',
      value: value.range,
      standard: range.full,
      low: 0,
      high: 100,
      label: `range ${steps(value.range)} of 100, ${range.full} wanted`
    },
    evidence: { name: 'grey' },
    trains: [],
    ...(verdict === 'full'
      ? {}
      : {
          correction: {
            what: `The values stay between ${steps(value.darkest)} and ${steps(value.lightest)}.`,
            todo: `Push ${push} first, where the picture is about something, and leave the rest.`,
            target: { measure: 'range', atLeast: range.full }
          }
        })
  }
}

export function groupsReading(value: ValueSection): Reading | null {
  if (!Array.isArray(value.groups)) return null
  const n = value.groups.length
  const values = (value.groups as readonly { value: number }[]).map(g => steps(g.value)).join(', ')
  const sentence =
    n === 2
      ? `Two values carry the picture: ${values}. It reads as a poster does.`
      : `${capital(count(n))} values carry the picture: ${values}.`
  return {
    id: 'value.groups',
    station: 'values',
    verdict: n >= 3 ? 'works' : 'look',
    sentence,
    why: WHY.groups,
    evidence: { name: 'groups', count: null },
    trains: []
  }
}

export function blackReading(value: ValueSection, standards: HouseStandards): Reading {
  const over = value.nearBlack > standards.nearBlack
  return {
    id: 'value.black',
    station: 'values',
    verdict: !over ? 'works' : standards.black === 'avoid' ? 'fix' : 'look',
    sentence: over
      ? `Flat black fills ${percent(value.nearBlack)} of the picture.${standards.black === 'avoid' ? '' : ' Is it meant everywhere?'}`
      : value.nearBlack > 0
        ? `Black is kept to ${percent(value.nearBlack)} of the picture.`
        : 'No flat black: every dark still has a colour.',
    why: WHY.black,
    ...(over
      ? {
          figure: {
            unit: 'share',
            value: value.nearBlack,
            standard: standards.nearBlack,
            low: 0,
            high: Math.max(0.2, 1.2 * value.nearBlack),
            label: `flat black ${percent(value.nearBlack)}, at most ${percent(standards.nearBlack)} wanted`
          }
        }
      : {}),
    evidence: { name: 'near-black' },
    trains: [],
    ...(over
      ? {
          correction: {
            what: 'The darks are flat black.',
            todo: 'Mix a dark of the same value from two opposites, and lean it to the temperature of the other darks.',
            target: { measure: 'near-black', atMost: standards.nearBlack }
          }
        }
      : {})
  }
}

export function keyReading(value: ValueSection): Reading {
  const where = {
    low: 'The picture sits in a low key',
    middle: 'The picture sits in the middle key',
    high: 'The picture sits in a high key'
  }[value.key]
  const { dark, middle, light } = value.thirds
  const crowded = middle > 0.85
  return {
    id: 'value.key',
    station: 'values',
    verdict: crowded ? 'look' : 'works',
    sentence: crowded
      ? `${percent(middle)} of the picture lies in the middle tones.`
      : `${where}: ${percent(dark)} dark, ${percent(middle)} middle, ${percent(light)} light.`,
    why: WHY.key,
    evidence: { name: 'two-values' },
    trains: []
  }
}
