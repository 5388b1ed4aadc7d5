/**
 * A verdict proposed, from what is already there: what the critic wrote, the readings, the marks.
 * It invents nothing: every sentence stands in a reading, or names a correction.
 */
import { praiseOf } from './first'
import type { Reading } from './reading'
import { list } from './words'

export interface VerdictSource {
  /** What works, as the critic wrote it at the first look; one a line. */
  readonly works: string
  /** What the piece is about, in the critic's or the learner's words. */
  readonly about: string
  /** Readings with the critic's own verdict on them. */
  readonly readings: readonly Reading[]
  /** In order of importance. */
  readonly corrections: readonly { readonly tag: string; readonly readingId: string | null }[]
}

export interface ProposedVerdict {
  readonly works: string
  readonly verdict: string
}

const PRAISES = 2

const praise = (readings: readonly Reading[]): string[] => praiseOf(readings, PRAISES).map(r => r.sentence)

/**
 * What the list of corrections and the exercise beside it say already is not said again: the verdict says where to begin, why
 * that matters for this piece, and what can wait.
 */
export function proposeVerdict({ works, about, readings, corrections }: VerdictSource): ProposedVerdict {
  const [first, ...rest] = corrections,
    why = first && readings.find(r => r.id === first.readingId)?.why
  const lines = first
    ? [
        `Begin with ${first.tag}.${why ? ` ${about.trim() ? `For “${about.trim()}”: ` : ''}${why}` : ''}`,
        ...(rest.length
          ? [
              `Let ${list(rest.map(c => c.tag))} wait until it holds: ${rest.length > 1 ? 'they change' : 'it changes'} with it.`
            ]
          : [])
      ]
    : []
  return { works: works.trim() || praise(readings).join('\n'), verdict: lines.join('\n') }
}
