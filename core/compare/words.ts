/** What is said of a new version: whether corrections landed, what else moved, what the light did. */
import { unitOf, type Target } from '../critique/target'
import type { Unit } from '../critique/unit'
import { capital, count, list, wholePercent } from '../critique/words'
import { rowOf } from '../critique/stations/table'
import { WHITE_STOPS, type LightBetween } from './light'
import type { Landed } from './outcome'
import type { Moved } from './moved'
import type { Landing } from './verdict'

const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth']

/** A figure as it is said, with what it counts. */
export function figureWords(unit: Unit, value: number): string {
  switch (unit) {
    case 'steps':
      return `${Math.round(value)} steps`
    case 'temperature':
      return `${value < 0 ? '−' : ''}${Math.abs(Math.round(value))}`
    case 'rank':
      return ORDINALS[value] ?? 'later'
    case 'share':
      return wholePercent(value)
    case 'times':
      return `${value.toFixed(1)} times`
    case 'difference':
      return `ΔE00 ${Math.round(value)}`
  }
}

const bare = (unit: Unit, value: number): string => figureWords(unit, value).replace(/ (steps|times)$/, '')

/** "2 → 21 steps": what it counts is said once. */
const fromTo = (unit: Unit, before: number, after: number): string =>
  `${bare(unit, before)} → ${figureWords(unit, after)}`

const wanted = (target: Target): string => {
  const unit = unitOf(target)
  return 'atLeast' in target
    ? `${bare(unit, target.atLeast)} wanted`
    : `${unit === 'rank' ? '' : 'at most '}${bare(unit, target.atMost)} wanted`
}

/** "2 → 21 steps, 15 wanted"; where it cannot be measured, why; nothing without a target. */
export function landedWords(target: Target | null, { landing, before, after }: Landed): string {
  if (!target) return ''
  if (!before || !after)
    return landing === 'cannot-tell' ? 'Its place is not in both versions, or cannot be measured there.' : ''
  return `${fromTo(unitOf(target), before.value, after.value)}, ${wanted(target)}.`
}

export const LANDING_WORDS: Readonly<Record<Landing, string>> = {
  reached: 'reached',
  nearer: 'nearer',
  unchanged: 'unchanged',
  worse: 'worse',
  'cannot-tell': 'cannot tell'
}

/** "One of three corrections landed, one is nearer." */
export function landingsSummary(landings: readonly Landing[]): string {
  if (landings.length === 0) return 'Nothing was marked on the older version.'
  const of = (landing: Landing): number => landings.filter(l => l === landing).length,
    is = (n: number): string => (n === 1 ? 'is' : 'are'),
    reached = of('reached'),
    all = landings.length
  const head =
    all === 1
      ? reached
        ? 'The one correction landed'
        : 'The one correction has not landed'
      : reached === all
        ? `${all === 2 ? 'Both' : `All ${count(all)}`} corrections landed`
        : `${reached ? capital(count(reached)) : 'None'} of ${count(all)} corrections landed`
  const rest = (
    [
      ['nearer', 'nearer'],
      ['unchanged', 'unchanged'],
      ['worse', 'worse'],
      ['cannot-tell', 'for the eye']
    ] as const
  ).flatMap(([landing, words]) => {
    const n = of(landing)
    return n === 0 ? [] : [all === 1 ? `it is ${words}` : `${count(n)} ${is(n)} ${words}`]
  })
  return `${[head, ...(rest.length ? [list(rest)] : [])].join(', ')}.`
}

/** "marked twice": how often by now; empty for the first time. */
export const markedWords = (times: number): string =>
  times < 2 ? '' : times === 2 ? 'marked twice' : `marked ${count(times)} times`

/** What is said of the new version, and how far its figure moved. */
export const movedWords = ({ unit, before, after, sentence }: Moved): string =>
  `${sentence} (${fromTo(unit, before, after)})`

/** Under this of a stop nobody would see it. */
const SLIGHT = 0.1
/** Contrast from which it is seen. */
const HARD = 0.05
const AMOUNTS = [
  [0.2, 'a little'],
  [0.29, 'a quarter of a stop'],
  [0.42, 'a third of a stop'],
  [0.58, 'half a stop'],
  [0.85, 'two thirds of a stop'],
  [1.25, 'a stop'],
  [Infinity, 'more than a stop']
] as const

/** "The new photograph is a third of a stop lighter and warmer"; null where it is neither. */
export function lightWords(light: LightBetween | null): string | null {
  if (!light?.sure) return null
  const { stops, gains, contrast } = light,
    [red, green, blue] = gains.map(Math.log2) as [number, number, number],
    warm = red - blue,
    magenta = (red + blue) / 2 - green
  const said = [
    ...(Math.abs(stops) >= SLIGHT
      ? [`${AMOUNTS.find(([most]) => Math.abs(stops) < most)![1]} ${stops > 0 ? 'lighter' : 'darker'}`]
      : []),
    ...(Math.abs(warm) >= WHITE_STOPS ? [warm > 0 ? 'warmer' : 'cooler'] : []),
    ...(Math.abs(magenta) >= WHITE_STOPS ? [magenta > 0 ? 'pinker' : 'greener'] : []),
    ...(Math.abs(contrast - 1) >= HARD ? [contrast > 1 ? 'harder in contrast' : 'flatter'] : [])
  ]
  return said.length ? `The new photograph is ${list(said)}` : null
}

/** Which readings a light that is taken out would hide, were it the painter's doing; null where none. */
export function hiddenWords(hidden: readonly Moved[]): string | null {
  const stations = [...new Set(hidden.map(m => rowOf(m.station).name.toLowerCase()))]
  return stations.length
    ? `Were it the painter’s own doing and not the light’s, that would hide a change in ${list(stations)}.`
    : null
}

/** What is written first of a correction that landed. */
export function praiseWords(what: string, target: Target | null, { before, after }: Landed): string {
  const said = what.trim().replace(/[.!]+$/, '')
  return target && before && after
    ? `“${said}” is solved: ${fromTo(unitOf(target), before.value, after.value)}.`
    : `“${said}” is solved.`
}
