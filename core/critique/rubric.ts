/** Scoring by a rubric: qualities from 1 to 9, any of them not applicable. */

export type Score = number | 'not-applicable'

export const HIGHEST_SCORE = 9

/** The three bands a score is spoken of in. */
export type Band = 'low' | 'fair' | 'high'
export const bandOf = (score: number): Band => (score <= 3 ? 'low' : score <= 6 ? 'fair' : 'high')

export interface RubricResult { readonly sum: number, readonly most: number, readonly percent: number }

/**
 * The sum over 9 × the number scored. @returns null when every quality is not applicable.
 * @throws RangeError for a score that is not a whole number from 1 to 9.
 */
export function scoreRubric(scores: readonly Score[]): RubricResult | null {
  const given = scores.filter((s): s is number => s !== 'not-applicable')
  for (const s of given) if (!Number.isInteger(s) || s < 1 || s > HIGHEST_SCORE) throw new RangeError(`a score is a whole number from 1 to ${HIGHEST_SCORE}, not ${s}`)
  if (given.length === 0) return null
  const sum = given.reduce((p, q) => p + q, 0), most = HIGHEST_SCORE * given.length
  return { sum, most, percent: Math.round((100 * sum) / most) }
}
