/** How numbers are said in a sentence. */

export const steps = (value: number): string => `${Math.round(value)}`
/** The space before % does not break. */
export const wholePercent = (share: number): string => `${Math.round(share * 100)}\u00a0%`
export const percent = (share: number): string => (share > 0 && share < 0.01 ? 'under 1\u00a0%' : wholePercent(share))

const SMALL = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
export const count = (n: number): string => SMALL[n] ?? String(n)

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** "a, b and c". */
export function list(items: readonly string[]): string {
  return items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`
}

/** Step names as spoken: "yellow-orange" needs no change, "spring-green" loses its hyphen. */
export const stepWords = (step: string): string => step.replace('spring-green', 'spring green')
