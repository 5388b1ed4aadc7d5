/** Scoring by a rubric: qualities from 1 to 9, any of them not applicable. */
import type { Station } from './stations/station'

export type Score = number | 'not-applicable'

export const HIGHEST_SCORE = 9

/** The three bands a score is spoken of in. */
export type Band = 'low' | 'fair' | 'high'
export const bandOf = (score: number): Band => (score <= 3 ? 'low' : score <= 6 ? 'fair' : 'high')

export interface RubricResult {
  readonly sum: number
  readonly most: number
  readonly percent: number
}

/**
 * The sum over 9 × the number scored. @returns null when every quality is not applicable.
 * @throws RangeError for a score that is not a whole number from 1 to 9.
 */
export function scoreRubric(scores: readonly Score[]): RubricResult | null {
  const given = scores.filter((s): s is number => s !== 'not-applicable')
  for (const s of given)
    if (!Number.isInteger(s) || s < 1 || s > HIGHEST_SCORE)
      throw new RangeError(`a score is a whole number from 1 to ${HIGHEST_SCORE}, not ${s}`)
  if (given.length === 0) return null
  const sum = given.reduce((p, q) => p + q, 0),
    most = HIGHEST_SCORE * given.length
  return { sum, most, percent: Math.round((100 * sum) / most) }
}

/** One quality of a rubric. */
export interface Quality {
  /** Stable while the wording changes. */
  readonly key: string
  readonly title: string
  /** The station whose readings stand beside it as evidence, never as the score; null for none. */
  readonly station: Station | null
}

const quality = (key: string, station: Station | null, title: string): Quality => ({ key, title, station })

/** The shipped rubric: our own, in the order of the route. */
export const DEFAULT_RUBRIC: readonly Quality[] = [
  quality('idea', 'first-look', 'Is about one thing, and says it'),
  quality('big-picture', 'first-look', 'Reads small and from across the room'),
  quality('range', 'values', 'Darks are dark and lights are light where it counts'),
  quality('masses', 'values', 'A few big values carry it'),
  quality('focus', 'focus', 'The eye goes first where it should'),
  quality('route', 'focus', 'What is beside the point stays quiet'),
  quality('temperature', 'temperature', 'Warm and cool are chosen'),
  quality('scheme', 'harmony', 'Colours belong together'),
  quality('proportion', 'harmony', 'One colour leads'),
  quality('light', 'light', 'One light holds everything'),
  quality('edges', 'edges', 'Edges are found and lost on purpose'),
  quality('hand', null, 'The medium is handled with sureness')
]
