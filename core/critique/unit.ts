/** What a number counts, so that nobody who shows it has to guess whether 1 means the first place or all of it. */

/**
 * - steps: of value, L* (0–100)
 * - temperature: from cool to warm (−100 to 100)
 * - rank: a place in an order, from 1
 * - share: of a whole (0–1)
 * - times: of something else's amount
 * - difference: of colour, ΔE00
 */
export const UNITS = ['steps', 'temperature', 'rank', 'share', 'times', 'difference'] as const
export type Unit = (typeof UNITS)[number]

/** How a share is shown and asked for: in per cent. */
export const shownIn = (unit: Unit, value: number): number => (unit === 'share' ? Math.round(value * 100) : value)
export const readIn = (unit: Unit, shown: number): number => (unit === 'share' ? shown / 100 : shown)
