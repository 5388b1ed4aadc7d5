/**
 * A verdict proposed, from what is already there: what the critic wrote, the readings, the marks.
 * It invents nothing: every sentence stands in a reading, or names a correction.
 */
import { praiseOf } from './first'
import type { Reading } from './reading'
import { placeWords } from './stations/places'
import { list } from './words'

export interface VerdictSource {
  /** What works, as the critic wrote it at the first look; one a line. */
  readonly works: string
  /** What the piece is about, in the critic's or the learner's words. */
  readonly about: string
  /** Readings with the critic's own verdict on them. */
  readonly readings: readonly Reading[]
  /** Of a new version: what was marked on the one before it and landed, a sentence each. */
  readonly landed?: readonly string[]
  /** In order of importance. */
  readonly corrections: readonly { readonly tag: string; readonly readingId: string | null }[]
}

export interface ProposedVerdict {
  readonly works: string
  readonly verdict: string
}

const PRAISES = 2
/** So many places are enough to look at. */
const PLACES = 2

/** A strength and where it is seen, unless its sentence says so already. */
function strength({ sentence, points = [] }: Reading): string {
  const places = [...new Set(points.map(placeWords))].slice(0, PLACES)
  return places.length === 0 || places.some(place => sentence.includes(place))
    ? sentence
    : `${sentence} See ${list(places)}.`
}
/** What can be pointed at is said before what holds for the picture as a whole. */
function strengths(readings: readonly Reading[]): string[] {
  const all = praiseOf(readings, readings.length),
    placed = (r: Reading): boolean => (r.points?.length ?? 0) > 0
  return [...all.filter(placed), ...all.filter(r => !placed(r))].slice(0, PRAISES).map(strength)
}

/**
 * What the list of corrections and the exercise beside it say already is not said again: the verdict says where to
 * begin, why that matters for this piece, and what can wait.
 */
export function proposeVerdict({ works, about, readings, corrections, landed = [] }: VerdictSource): ProposedVerdict {
  const [first, ...rest] = corrections,
    why = first && readings.find(r => r.id === first.readingId)?.why
  const lines = first
    ? [
        `Begin with ${first.tag}.${why ? ` ${about.trim() ? `For “${about.trim()}”: ` : ''}${why}` : ''}`,
        ...(rest.length
          ? [
              `Let ${list(rest.map(c => c.tag))} wait until it holds:`
                + ` ${rest.length > 1 ? 'they change' : 'it changes'} with it.`
            ]
          : [])
      ]
    : []
  const said = works.trim() || strengths(readings).join('\n'),
    // What was asked for and done comes first of all that works.
    praised = landed.filter(line => !said.includes(line))
  return { works: [...praised, said].filter(Boolean).join('\n'), verdict: lines.join('\n') }
}
