/**
 * Colour families: the peaks of the hue histogram on the wheel, smoothed by a circular Gaussian of
 * σ = 8°, each reaching to the valleys around it.
 */
import { nameOf } from '../../colour/names'
import { round1, round3, roundAngle } from '../../numeric/round'
import { percentile, type Distribution } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import { stepAt } from '../../wheel/wheel'
import type { WheelName } from '../../wheel/steps'
import { TENTHS } from '../../picture/tally'
import type { HueHistogram } from './hues'
import type { Family } from '../report'

const SIGMA = 8
const REACH = 32
const KERNEL = Float64Array.from({ length: 2 * REACH + 1 }, (_, i) =>
  Math.exp(-((i - REACH) ** 2) / (2 * SIGMA * SIGMA))
)

/** Families under this share of weight are noise of the histogram, not colours anyone sees. Our choice. */
const LEAST_WEIGHT = 0.005

export function smoothHues(weight: Float64Array): Float64Array {
  const sum = KERNEL.reduce((p, q) => p + q, 0)
  return Float64Array.from(weight, (_, bin) => {
    let smooth = 0
    for (let k = -REACH; k <= REACH; k++) smooth += KERNEL[k + REACH] * weight[(bin + k + 360) % 360]
    return smooth / sum
  })
}

/**
 * Which family each 1° bin belongs to. @returns 360 indices into `peaks`, and the peak positions
 * refined between bins by the parabola through three of them.
 */
export function splitFamilies(weight: Float64Array): { peaks: number[]; familyOfBin: Int16Array } {
  const smooth = smoothHues(weight)
  const floor = smooth.reduce((p, q) => Math.max(p, q), 0) * 1e-6
  const tops: number[] = []
  for (let bin = 0; bin < 360; bin++) {
    if (smooth[bin] > floor && smooth[bin] > smooth[(bin + 359) % 360] && smooth[bin] >= smooth[(bin + 1) % 360])
      tops.push(bin)
  }
  const familyOfBin = new Int16Array(360)
  if (tops.length > 1) {
    tops.forEach((top, index) => {
      const next = tops[(index + 1) % tops.length]
      const span = (next - top + 360) % 360
      let valley = 0
      for (let k = 1; k < span; k++) if (smooth[(top + k) % 360] < smooth[(top + valley) % 360]) valley = k
      for (let k = 0; k < span; k++) familyOfBin[(top + k) % 360] = k <= valley ? index : (index + 1) % tops.length
    })
  }
  const peaks = tops.map(top => {
    const before = smooth[(top + 359) % 360],
      at = smooth[top],
      after = smooth[(top + 1) % 360]
    const bend = before - 2 * at + after
    return (top + (bend === 0 ? 0 : (0.5 * (before - after)) / bend) + 360) % 360
  })
  return { peaks, familyOfBin }
}

/** Families by weight, heaviest first. `hues` must hold some colour. */
export function measureFamilies(planes: Planes, hues: HueHistogram, wheel: WheelName): Family[] {
  const { peaks, familyOfBin } = splitFamilies(hues.weight)
  const weights = new Float64Array(peaks.length),
    pixels = new Float64Array(peaks.length)
  for (let bin = 0; bin < 360; bin++) {
    weights[familyOfBin[bin]] += hues.weight[bin]
    pixels[familyOfBin[bin]] += hues.pixels[bin]
  }
  const colours = coloursOf(hues, { familyOfBin, count: peaks.length })
  return peaks
    .map((position, index): Family => ({
      step: stepAt(wheel, position),
      named: colours[index].named,
      position: roundAngle(position),
      weight: round3(weights[index] / hues.totalWeight),
      area: round3(pixels[index] / planes.count),
      chroma: round3(weights[index] / pixels[index]),
      darkest: round1(percentile(colours[index].values, 0.01)),
      lightest: round1(percentile(colours[index].values, 0.99))
    }))
    .filter((_, index) => weights[index] >= LEAST_WEIGHT * hues.totalWeight)
    .sort((p, q) => q.weight - p.weight)
}

interface FamilyColour {
  readonly values: Distribution
  readonly named: string
}

/** The value distribution of each family and the name of its mean colour: those of its bins together. */
function coloursOf(
  hues: HueHistogram,
  { familyOfBin, count }: { readonly familyOfBin: Int16Array; readonly count: number }
): FamilyColour[] {
  const counts = Array.from({ length: count }, () => new Uint32Array(TENTHS)),
    sums = Array.from({ length: count }, () => [0, 0, 0])
  familyOfBin.forEach((family, bin) => {
    if (hues.pixels[bin] === 0) return
    for (let at = 0, from = bin * TENTHS; at < TENTHS; at++) counts[family][at] += hues.tenths[from + at]
    for (let n = 0; n < 3; n++) sums[family][n] += hues.sums[3 * bin + n]
  })
  return counts.map((c, family) => {
    const total = c.reduce((p, q) => p + q, 0),
      [value, a, b] = sums[family].map(sum => sum / total)
    return {
      values: { low: 0, step: 0.1, counts: c, total },
      // A family of the histogram may hold no pixel; then it is left out for its weight.
      named: total > 0 ? nameOf(value, [0, a, b]).said : 'grey'
    }
  })
}
