/** The middle of numbers, or the mean of the two in the middle; they stay in their order. @returns NaN for none. */
export function medianOf(numbers: readonly number[]): number {
  const sorted = Float64Array.from(numbers).sort(),
    half = sorted.length >> 1
  return sorted.length % 2 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2
}
