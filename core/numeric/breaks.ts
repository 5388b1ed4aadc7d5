/**
 * Natural breaks: the partition of a histogram into k classes with the least within-class
 * variance, solved exactly by dynamic programming (W. D. Fisher, "On Grouping for Maximum
 * Homogeneity", JASA 53, 1958).
 */
export interface Breaks {
  /** First bin of each class, ascending; the first is 0. */
  readonly starts: readonly number[]
  /** Share of the variance that the classes explain, 0–1. */
  readonly explained: number
}

/**
 * Best partitions into 1 … `most` classes at once, since the table of k holds that of k − 1.
 * @param counts weight of each bin. @param positions value of each bin, ascending.
 * @returns one entry a k, index 0 for one class; classes beyond the number of filled bins are left out.
 */
export function naturalBreaks(counts: ArrayLike<number>, positions: ArrayLike<number>, most: number): Breaks[] {
  const filled: number[] = []
  for (let i = 0; i < counts.length; i++) if (counts[i] > 0) filled.push(i)
  const n = filled.length
  const w = new Float64Array(n + 1),
    s = new Float64Array(n + 1),
    q = new Float64Array(n + 1)
  const origin = n ? positions[filled[0]] : 0 // sums of squares about zero would lose digits
  for (let i = 0; i < n; i++) {
    const c = counts[filled[i]],
      x = positions[filled[i]] - origin
    w[i + 1] = w[i] + c
    s[i + 1] = s[i] + c * x
    q[i + 1] = q[i] + c * x * x
  }
  /** Squared deviation of filled bins i … j − 1 from their mean. */
  const cost = (i: number, j: number): number => {
    const sum = s[j] - s[i]
    return Math.max(0, q[j] - q[i] - (sum * sum) / (w[j] - w[i]))
  }
  const total = n ? cost(0, n) : 0
  let best = Float64Array.from({ length: n + 1 }, (_, j) => (j ? cost(0, j) : 0))
  const cuts: Int32Array[] = [new Int32Array(n + 1)]
  const result: Breaks[] = []
  for (let k = 1; k <= Math.min(most, n); k++) {
    if (k > 1) {
      const next = new Float64Array(n + 1),
        cut = new Int32Array(n + 1)
      for (let j = k; j <= n; j++) {
        let least = Infinity
        for (let i = k - 1; i < j; i++) {
          const c = best[i] + cost(i, j)
          if (c < least) {
            least = c
            cut[j] = i
          }
        }
        next[j] = least
      }
      best = next
      cuts.push(cut)
    }
    const starts: number[] = []
    for (let level = k - 1, j = n; level >= 0; level--) {
      j = cuts[level][j]
      starts.unshift(level === 0 ? 0 : filled[j])
    }
    result.push({ starts, explained: total === 0 ? 1 : 1 - best[n] / total })
  }
  return result
}

/**
 * Otsu's threshold: the cut with the greatest between-class variance (Nobuyuki Otsu, "A Threshold
 * Selection Method from Gray-Level Histograms", IEEE SMC 9(1), 1979).
 * @returns the first bin of the light class, or null when only one bin is filled.
 */
export function otsuThreshold(counts: ArrayLike<number>): number | null {
  let weight = 0,
    sum = 0
  for (let i = 0; i < counts.length; i++) {
    weight += counts[i]
    sum += i * counts[i]
  }
  let dark = 0,
    darkSum = 0,
    best = 0
  let threshold: number | null = null
  for (let i = 0; i < counts.length - 1; i++) {
    dark += counts[i]
    darkSum += i * counts[i]
    const light = weight - dark
    if (dark === 0 || light === 0 || counts[i] === 0) continue
    const between = dark * light * (darkSum / dark - (sum - darkSum) / light) ** 2
    if (between > best) {
      best = between
      threshold = i + 1
    }
  }
  return threshold
}
