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

/** Shares as whole percents that add to 100, by largest remainder; those under half a percent are left out. */
export function sharesOf(shares: readonly number[]): string[] {
  const seen = shares.filter(s => s >= 0.005),
    total = seen.reduce((p, q) => p + q, 0),
    exact = seen.map(s => (100 * s) / total)
  const whole = exact.map(Math.floor)
  const byRemainder = exact.map((e, i) => [e - whole[i], i] as const).sort((p, q) => q[0] - p[0])
  const short = 100 - whole.reduce((p, q) => p + q, 0)
  for (const [, i] of byRemainder.slice(0, short)) whole[i]++
  return whole.filter(n => n > 0).map(n => `${n}\u00a0%`)
}

/** Whether a name speaks of several: "the trees". */
export const isPlural = (name: string): boolean => /[^su]s$/i.test(name.trim())
