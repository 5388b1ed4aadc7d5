import { ckmeans } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { naturalBreaks, otsuThreshold } from './breaks'
import { gaussian, seededRandom } from './random'

/** A histogram of two to five humps over 64 bins. */
function humps(seed: number): number[] {
  const random = seededRandom(seed)
  const counts = new Array<number>(64).fill(0)
  const centres = Array.from({ length: 2 + Math.floor(random() * 4) }, () => random() * 64)
  for (let i = 0; i < 400; i++) {
    const at = Math.round(centres[i % centres.length] + 3 * gaussian(random))
    if (at >= 0 && at < 64) counts[at]++
  }
  return counts
}

const squares = (cluster: readonly number[]): number => {
  const mean = cluster.reduce((p, q) => p + q, 0) / cluster.length
  return cluster.reduce((sum, x) => sum + (x - mean) ** 2, 0)
}

describe('natural breaks', () => {
  // Reference: simple-statistics' ckmeans (H. Wang and M. Song, "Ckmeans.1d.dp", The R Journal 3/2, 2011), exact.
  it('leave no more variance than an exact reference', () => {
    const positions = Array.from({ length: 64 }, (_, i) => i)
    for (let seed = 1; seed <= 25; seed++) {
      const counts = humps(seed)
      const samples = counts.flatMap((n, i) => new Array<number>(n).fill(i))
      const total = squares(samples)
      naturalBreaks(counts, positions, 6).forEach(({ explained }, i) => {
        const reference = ckmeans(samples, i + 1).reduce((sum, cluster) => sum + squares(cluster), 0)
        expect(explained).toBeCloseTo(1 - reference / total, 9)
      })
    }
  })

  it('part clear groups where the gap is, and stop at the number of filled bins', () => {
    const counts = [0, 5, 5, 0, 0, 0, 9, 0, 0, 4]
    const breaks = naturalBreaks(
      counts,
      counts.map((_, i) => i),
      6
    )
    expect(breaks).toHaveLength(4)
    expect(breaks[2].starts).toEqual([0, 6, 9])
  })
})

describe("Otsu's threshold", () => {
  it('is the cut with the least within-class variance, by exhaustive search', () => {
    for (let seed = 30; seed < 60; seed++) {
      const counts = humps(seed)
      const samples = counts.flatMap((n, i) => new Array<number>(n).fill(i))
      const within = (cut: number): number => {
        const dark = samples.filter(x => x < cut),
          light = samples.filter(x => x >= cut)
        return dark.length && light.length ? squares(dark) + squares(light) : Infinity
      }
      const least = Math.min(...counts.map((_, cut) => within(cut)))
      expect(within(otsuThreshold(counts)!)).toBeCloseTo(least, 6)
    }
    expect(otsuThreshold([0, 7, 0])).toBeNull()
  })
})
