/**
 * What I would say first: of all faults at most three, by how much each takes from what the piece is about, not by the
 * order of the stations. Each says in one line why it is there.
 */
import type { PieceKnown } from './piece/known'
import type { PieceReading } from './stations/piece'
import type { Station } from './stations/station'

/**
 * @property rank 1, 2 or 3. @property because said after the sentence, e.g. "because the question is about the boat".
 */
export interface First {
  readonly rank: number
  readonly because: string
}

const MOST = 3
/** A fault that takes less than this is not set apart. */
const LEAST = 0.1
/** A fault without a weight of its own; "look again" is worth half of "to fix". */
const PLAIN_WEIGHT = 0.5
const LOOK = 0.5

/** Words of a question that ask for a station, as beginners and painters use them. */
const ASKS: readonly (readonly [Station, RegExp, string])[] = [
  [
    'values',
    /\b(values?|tones?|tonal|darks?|darker|lights?|lighter|lightness|contrasts?|flat|read|reads|black|key)\b/i,
    'values'
  ],
  [
    'focus',
    /\b(eyes?|focus|focal|attention|look first|looks? at|draws?|stands? out|busy|subject)\b/i,
    'where the eye goes'
  ],
  ['temperature', /\b(warm|warmer|cool|cooler|cold|temperature|sunlight|glow)\b/i, 'warm and cool'],
  [
    'harmony',
    /\b(colou?rs?|harmon\w*|palette|clash\w*|saturat\w*|vivid|mudd?y|scheme|hues?|complement\w*)\b/i,
    'colour'
  ],
  ['light', /\b(shadows?|shade|light source|lit|lighting)\b/i, 'the light'],
  [
    'edges',
    /\b(edges?|sharp\w*|soft\w*|lines?|outlines?|horizon|composition|balance\w*|crop\w*|depth)\b/i,
    'edges and composition'
  ]
]

/** Why a fault of a station is worth saying, where nothing nearer is known. */
const OWN_REASON: Readonly<Record<Station, string>> = {
  'first-look': 'it is what a stranger meets first',
  values: 'values read first, and from farthest',
  focus: 'the eye goes elsewhere',
  temperature: 'it decides what kind of light this is',
  harmony: 'it is the whole of the colour',
  light: 'one light should hold everything',
  edges: 'it is how near things are to the eye',
  verdict: ''
}

const COMMON =
  /^(the|a|an|of|in|on|at|my|and|is|it|to|into|from|with|for|about|does|do|enough|too|more|less|this|that)$/i
const wordsIn = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(word => word.length > 2 && !COMMON.test(word))
const stem = (word: string): string => word.replace(/(es|s)$/, '')

/** The first words that a name and a text have in common. */
function shared(name: string, text: string): boolean {
  const said = new Set(wordsIn(text).map(stem))
  return wordsIn(name).some(word => said.has(stem(word)))
}

interface Reason {
  readonly times: number
  readonly because: string
}

/** Every reason that a fault matters here, strongest first; the last is its station's own. */
function reasonsFor(reading: PieceReading, known: PieceKnown): Reason[] {
  const { question, about, stage } = known,
    area = known.areas.find(a => reading.key === `${reading.id}:${a.id}`)
  const asked = ASKS.find(([station]) => station === reading.station)
  const studied = stage === 'study' && (reading.station === 'values' || reading.on === 'reference')
  return [
    area && shared(area.name, question) ? { times: 2.4, because: `the question is about ${area.name}` } : null,
    area && shared(area.name, about) ? { times: 2, because: `the piece is about ${area.name}` } : null,
    asked && asked[1].test(question) ? { times: 1.9, because: `the question is about ${asked[2]}` } : null,
    reading.on === 'focus' ? { times: 1.6, because: 'it is where the eye should go' } : null,
    reading.on === 'first-look' ? { times: 1.6, because: OWN_REASON['first-look'] } : null,
    reading.on === 'reference' ? { times: 1.5, because: 'it was made from the reference' } : null,
    reading.on === 'plan' ? { times: 1.5, because: 'it was the plan' } : null,
    studied ? { times: 1.3, because: 'a study is made for its values' } : null,
    { times: stage === 'study' && !studied ? 0.6 : 1, because: OWN_REASON[reading.station] }
  ].filter(r => r !== null)
}

const ofVerdict = { fix: 1, look: LOOK, works: 0 } as const

/**
 * @param readings with the critic's own verdicts, none that were set aside. @returns those to be said first, by their
 * keys.
 */
export function firstOf(readings: readonly PieceReading[], known: PieceKnown): ReadonlyMap<string, First> {
  const ranked = readings
    .map(reading => {
      const [reason] = reasonsFor(reading, known)
      return {
        key: reading.key,
        because: reason.because,
        takes: ofVerdict[reading.verdict] * (0.35 + 0.65 * (reading.weight ?? PLAIN_WEIGHT)) * reason.times
      }
    })
    .filter(r => r.takes >= LEAST)
    .sort((p, q) => q.takes - p.takes)
  return new Map(
    ranked.slice(0, MOST).map(({ key, because }, i) => [key, { rank: i + 1, because: `because ${because}` }])
  )
}

/** As they are shown: what is said first, in its order, then the rest station by station. */
export const asShown = (readings: readonly PieceReading[]): PieceReading[] => [
  ...readings.filter(r => r.first).sort((p, q) => p.first!.rank - q.first!.rank),
  ...readings.filter(r => !r.first)
]

/** Praise that says something of this picture comes before praise that could be said of many. */
const PRAISE_ORDER = [
  'focus.intended',
  'harmony.saturation',
  'focus.path',
  'temperature.light',
  'value.range',
  'harmony.scheme',
  'harmony.proportion',
  'focus.contrast',
  'edges.falloff',
  'value.thumbnail',
  'value.separation',
  'harmony.declared'
]

/** What carries a picture: its strongest praise, in order; nothing said of every picture. */
export function praiseOf<T extends { readonly id: string; readonly verdict: string }>(
  readings: readonly T[],
  most: number
): T[] {
  const rank = (r: T): number => PRAISE_ORDER.indexOf(r.id)
  return readings
    .filter(r => r.verdict === 'works' && rank(r) >= 0)
    .sort((p, q) => rank(p) - rank(q))
    .slice(0, most)
}
