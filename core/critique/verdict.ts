/**
 * A verdict proposed, from what is already there: what the critic wrote, the readings, the marks.
 * It invents nothing: every sentence stands in a reading or a correction, or names one.
 */
import { praiseOf } from './first'
import type { Reading } from './reading'
import { count } from './words'

export interface VerdictSource {
  /** What works, as the critic wrote it at the first look; one a line. */
  readonly works: string
  /** What the piece is about, in the critic's or the learner's words. */
  readonly about: string
  /** Readings with the critic's own verdict on them. */
  readonly readings: readonly Reading[]
  /** In order of importance. */
  readonly corrections: readonly { readonly what: string; readonly todo: string; readonly readingId: string | null }[]
  /** Title of the exercise set, if one is. */
  readonly exercise: string | null
}

export interface ProposedVerdict {
  readonly works: string
  readonly verdict: string
}

/** Corrections in front; the rest is named below. */
const IN_FRONT = 3
const PRAISES = 2

const praise = (readings: readonly Reading[]): string[] => praiseOf(readings, PRAISES).map(r => r.sentence)

const sentence = (text: string): string => {
  const trimmed = text.trim()
  return /[.!?…]$/.test(trimmed) ? trimmed : `${trimmed}.`
}

export function proposeVerdict({ works, about, readings, corrections, exercise }: VerdictSource): ProposedVerdict {
  const front = corrections.slice(0, IN_FRONT),
    rest = corrections.slice(IN_FRONT)
  const first = front[0],
    why = first && readings.find(r => r.id === first.readingId)?.why
  const lines = [
    ...front.map(
      (c, i) => `${front.length > 1 ? `${i + 1}. ` : ''}${[c.what, c.todo].filter(Boolean).map(sentence).join(' ')}`
    ),
    ...(why ? [about.trim() ? `Why it matters for “${about.trim()}”: ${why}` : why] : []),
    ...(rest.length ? [`Later, ${count(rest.length)} more: ${rest.map(c => sentence(c.what)).join(' ')}`] : []),
    ...(first?.todo ? [`One next step: ${sentence(first.todo)}`] : []),
    ...(exercise ? [`The exercise: ${sentence(exercise)}`] : [])
  ]
  return { works: works.trim() || praise(readings).join('\n'), verdict: lines.join('\n') }
}
