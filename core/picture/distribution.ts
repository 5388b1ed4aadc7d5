/**
 * The distribution of a plane over the measured pixels: a fine histogram from which percentiles,
 * shares and moments are read without sorting.
 */
import { countInKernel } from './tally'

export interface Distribution {
  readonly low: number
  readonly step: number
  readonly counts: Uint32Array
  readonly total: number
}

/**
 * @param plane one number a pixel. @param mask 1 where counted. @param low lowest value.
 * @param high highest value; numbers outside land in the end bins.
 * @param bins bins wide enough to hold the wanted accuracy: values use 0.01 L*.
 */
export function distributionOf(
  plane: Float32Array,
  mask: Uint8Array,
  { low, high, bins }: { readonly low: number; readonly high: number; readonly bins: number }
): Distribution {
  const perUnit = bins / (high - low),
    // Bins are centred on their value.
    at = { scale: perUnit, shift: 0.5 - low * perUnit, bins },
    counts = countInKernel(plane, mask, at) ?? countInScript(plane, mask, at)
  const total = counts.reduce((p, q) => p + q, 0)
  return { low, step: 1 / perUnit, counts, total }
}

function countInScript(
  plane: Float32Array,
  mask: Uint8Array,
  { scale, shift, bins }: { readonly scale: number; readonly shift: number; readonly bins: number }
): Uint32Array {
  const counts = new Uint32Array(bins),
    last = bins - 1
  for (let i = 0; i < plane.length; i++) {
    const bin = (plane[i] * scale + shift) | 0
    counts[bin < 0 ? 0 : bin > last ? last : bin] += mask[i]
  }
  return counts
}

/** Value planes at 0.01 L*. */
export const valueDistribution = (value: Float32Array, mask: Uint8Array): Distribution =>
  distributionOf(value, mask, { low: 0, high: 100.01, bins: 10001 })

/**
 * Percentile with linear interpolation between ranks (Hyndman and Fan 1996, type 7).
 * @param share 0–1. @returns the value, or NaN of an empty distribution: callers test `total` first.
 */
export function percentile(d: Distribution, share: number): number {
  const rank = share * (d.total - 1)
  const lower = Math.floor(rank)
  const at = valueAtRank(d, lower)
  return rank === lower ? at : at + (rank - lower) * (valueAtRank(d, lower + 1) - at)
}

function valueAtRank({ low, step, counts }: Distribution, rank: number): number {
  let seen = 0
  for (let bin = 0; bin < counts.length; bin++) {
    seen += counts[bin]
    if (seen > rank) return low + bin * step
  }
  return NaN
}

/** Share of pixels with value under `limit`. */
export function shareBelow({ low, step, counts, total }: Distribution, limit: number): number {
  const end = Math.min(counts.length, Math.round((limit - low) / step))
  let seen = 0
  for (let bin = 0; bin < end; bin++) seen += counts[bin]
  return seen / total
}

/** Mean distance from a level; 0 of an empty distribution. */
export function meanDeviation({ low, step, counts, total }: Distribution, level: number): number {
  let sum = 0
  for (let bin = 0; bin < counts.length; bin++) sum += counts[bin] * Math.abs(low + bin * step - level)
  return total === 0 ? 0 : sum / total
}

/** Sums neighbouring bins into `bins` coarse ones: what the value rule draws and natural breaks read. */
export function coarsen(
  { low, step, counts, total }: Distribution,
  high: number,
  bins: number
): { counts: Float64Array; sums: Float64Array; total: number } {
  const coarse = new Float64Array(bins),
    sums = new Float64Array(bins)
  for (let bin = 0; bin < counts.length; bin++) {
    if (counts[bin] === 0) continue
    const value = low + bin * step
    const at = Math.min(bins - 1, Math.floor(((value - low) / (high - low)) * bins))
    coarse[at] += counts[bin]
    sums[at] += counts[bin] * value
  }
  return { counts: coarse, sums, total }
}
