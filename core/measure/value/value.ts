/** Value range, key, thirds, natural groups, near-black and near-white. */
import { naturalBreaks } from '../../numeric/breaks'
import { round1, round3 } from '../../numeric/round'
import { coarsen, percentile, shareBelow, type Distribution } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import { pixelsWithin } from '../../picture/within'
import { flatBlackOf } from './flat-black'
import { notMeasurable, type Key, type Measured, type RangeVerdict, type ValueSection } from '../report'

/** Bins of the histogram that natural breaks, Otsu and the value rule share. */
export const VALUE_BINS = 256

export const NEAR_BLACK = { value: 10, chroma: 0.04 } as const
export const NEAR_WHITE = { value: 95, chroma: 0.03 } as const

/** House default: from `full` the range is full, from `moderate` moderate, else narrow. */
export const RANGE_STANDARD = { full: 70, moderate: 50 } as const

export interface ValueGroup {
  /** Mean L*. */
  readonly value: number
  readonly share: number
  /** Lowest L* that belongs to the group. */
  readonly from: number
}

/** By whole steps, as they are said: a range of exactly the bound has reached it. */
export function rangeVerdict(
  range: number,
  standard: { full: number; moderate: number } = RANGE_STANDARD
): RangeVerdict {
  const steps = Math.round(range)
  return steps >= standard.full ? 'full' : steps >= standard.moderate ? 'moderate' : 'narrow'
}

/** A high key has few darks, a low key few lights: this share of the picture at most. Our choice: less is an accent. */
const FEW = 0.1

/**
 * The median alone would call a night with a bright half low. @param dark share under L* 33.3. @param light over 66.7.
 */
export function keyOf(median: number, { dark, light }: { readonly dark: number; readonly light: number }): Key {
  if (median < 40 && light <= FEW) return 'low'
  return median > 60 && dark <= FEW ? 'high' : 'middle'
}

/** Counts and value sums of the measured pixels in 256 bins of 100/256 L*. */
export const valueHistogram = (d: Distribution): { counts: Float64Array; sums: Float64Array; total: number } =>
  coarsen(d, 100, VALUE_BINS)

/**
 * Natural groups of the value histogram. @param wanted a number of groups 2–6, or null for the
 * fewest that explain 95 % of the variance. @returns none when there is only one value.
 */
export function valueGroups(d: Distribution, wanted: number | null = null): ValueGroup[] {
  const { counts, sums, total } = valueHistogram(d)
  const positions = Float64Array.from(counts, (c, i) => (c > 0 ? sums[i] / c : 0))
  const options = naturalBreaks(counts, positions, 6).slice(1)
  if (options.length === 0) return []
  const chosen =
    (wanted === null ? options.find(o => o.explained >= 0.95) : options[wanted - 2]) ?? options[options.length - 1]
  return chosen.starts.map((start, g) => {
    const end = chosen.starts[g + 1] ?? VALUE_BINS
    let count = 0,
      sum = 0
    for (let bin = start; bin < end; bin++) {
      count += counts[bin]
      sum += sums[bin]
    }
    return { value: sum / count, share: count / total, from: (start * 100) / VALUE_BINS }
  })
}

const NEARLY_BLACK = { under: NEAR_BLACK.value, most: NEAR_BLACK.chroma },
  NEARLY_WHITE = { over: NEAR_WHITE.value, most: NEAR_WHITE.chroma }

/** Pixels of bare white: very light and without colour. */
export const nearWhiteMask = (planes: Planes): Uint8Array => pixelsWithin(planes, NEARLY_WHITE).inside

export function measureValue(planes: Planes): Measured<ValueSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const d = planes.values
  const darkest = percentile(d, 0.01),
    lightest = percentile(d, 0.99),
    median = percentile(d, 0.5)
  const dark = shareBelow(d, 33.3),
    notLight = shareBelow(d, 66.71)
  const groups = valueGroups(d)
  const { count } = planes,
    [black, white] = [NEARLY_BLACK, NEARLY_WHITE].map(bounds => pixelsWithin(planes, bounds).total)
  return {
    darkest: round1(darkest),
    lightest: round1(lightest),
    range: round1(lightest - darkest),
    median: round1(median),
    key: keyOf(median, { dark, light: 1 - notLight }),
    thirds: { dark: round3(dark), middle: round3(notLight - dark), light: round3(1 - notLight) },
    groups:
      groups.length > 0
        ? groups.map(g => ({ value: round1(g.value), share: round3(g.share) }))
        : notMeasurable('the picture has only one value'),
    nearBlack: round3(black / count),
    flatBlack: flatBlackOf(planes, black / count),
    nearWhite: round3(white / count),
    verdict: rangeVerdict(lightest - darkest)
  }
}
