/** What of all that is read moved from one version to the next, beyond what a new photograph moves by itself. */
import type { Reading } from '../critique/reading'
import type { Unit } from '../critique/unit'

export interface Moved {
  /** Of the reading, as in `value.range`. */
  readonly id: string
  readonly before: number
  readonly after: number
}

/**
 * What a figure moves by while nothing is repainted: 97 of 100 moves are smaller, on generated pairs
 * (`npm run register`).
 */
const NOISE: Readonly<Record<Unit, number>> = {
  steps: 7,
  temperature: 6,
  rank: 0,
  share: 0.06,
  times: 0.25,
  difference: 3
}

/** Only what both versions have a figure for: what is said of one alone has another condition, not another figure. */
export function movedBetween(
  before: readonly (Reading & { readonly key: string })[],
  after: readonly (Reading & { readonly key: string })[]
): Moved[] {
  const now = new Map(after.map(r => [r.key, r]))
  return before.flatMap(({ id, key, figure }) => {
    const other = now.get(key)?.figure
    if (!figure || !other || other.unit !== figure.unit) return []
    // How many times is a ratio: its noise grows with it.
    const scale = figure.unit === 'times' ? Math.max(1, figure.value) : 1
    if (figure.unit !== 'rank' && Math.abs(other.value - figure.value) <= NOISE[figure.unit] * scale) return []
    return other.value === figure.value ? [] : [{ id, before: figure.value, after: other.value }]
  })
}
