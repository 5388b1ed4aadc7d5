/** Checks of a free piece's values: how far they span, in how many masses they lie, whether black is used flat. */
import { NEITHER_BELOW } from '../../colour/temperature'
import { percent } from '../../critique/words'
import { isMeasured } from '../../measure/report'
import { naturalBreaks } from '../../numeric/breaks'
import { percentile } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import { checkOf, type Check } from '../exercise'

/** The values span enough for the colours to be carried by them. @param least steps of L*. */
export const range = (least: number): Check =>
  checkOf({
    id: 'range',
    name: 'range',
    asks: bounds => `The values span at least ${Math.round(bounds.least)} steps`,
    atLeast: least,
    top: 100,
    measure: ({ report }) => (isMeasured(report.value) ? report.value.range : 0),
    say: found => `The values span ${Math.round(found)} steps.`,
    tip: () => 'Take the darkest dark down, and the lightest light up.'
  })

const BINS = 200

/**
 * @property value its mean L*. @property share of the picture. @property still share of it within a few steps of its
 * mean.
 */
export interface Mass {
  readonly value: number
  readonly share: number
  readonly still: number
}

/**
 * The picture in so many masses of value, as they divide it best; fewer where it has not so many values. @param within
 * steps of L* that count as the same.
 */
export function massesOf({ value, mask, count }: Planes, most: number, within: number): Mass[] {
  const counts = new Uint32Array(BINS),
    binOf = (v: number): number => Math.min(BINS - 1, Math.floor((v * BINS) / 100))
  for (let i = 0; i < mask.length; i++) counts[binOf(value[i])] += mask[i]
  const centre = (bin: number): number => ((bin + 0.5) * 100) / BINS
  const found = naturalBreaks(
    counts,
    Array.from({ length: BINS }, (_, bin) => centre(bin)),
    most
  )
  const starts = found.at(-1)?.starts ?? []
  return starts.map((start, g) => {
    const bins = Array.from({ length: (starts[g + 1] ?? BINS) - start }, (_, n) => start + n)
    const total = bins.reduce((sum, bin) => sum + counts[bin], 0),
      mean = bins.reduce((sum, bin) => sum + counts[bin] * centre(bin), 0) / total
    const near = bins.filter(bin => Math.abs(centre(bin) - mean) <= within).reduce((sum, bin) => sum + counts[bin], 0)
    return { value: mean, share: total / count, still: near / count }
  })
}

/**
 * What a mass may stray by, in steps of L*, and how much of the picture keeps to its masses. Common practice, no
 * source.
 */
const STRAY = 5,
  KEPT = 0.85

/** Nearly all of the picture lies in so many values. @param words as in "two". */
export const masses = (n: number, words: string): Check =>
  checkOf({
    id: 'masses',
    name: 'keeping to its values',
    asks: ({ least }) =>
      `At least ${percent(least)} of the picture lies in ${words} values, each within ${STRAY} steps of its own`,
    atLeast: KEPT,
    top: 1,
    measure: ({ planes }) =>
      Math.min(
        1,
        massesOf(planes, n, STRAY).reduce((sum, m) => sum + m.still, 0)
      ),
    say: (share, { least }) =>
      share < least ? `${percent(share)} does: the rest lies between.` : `${percent(share)} does.`,
    tip: () => 'Paint each flat, without blending; what lies between goes to one side or the other.'
  })

/** The masses are told apart. @param least steps of L* between neighbours. */
export const apart = (n: number, least: number): Check =>
  checkOf({
    id: 'apart',
    name: 'how far apart',
    asks: bounds => `The ${n === 2 ? 'two' : 'three'} values lie at least ${Math.round(bounds.least)} steps apart`,
    atLeast: least,
    top: 100,
    measure: ({ planes }) => {
      const found = massesOf(planes, n, STRAY)
      return found.length < n ? 0 : Math.min(...found.slice(1).map((m, i) => m.value - found[i].value))
    },
    say: found =>
      found === 0 ? `There are fewer than ${n} values.` : `The nearest two lie ${Math.round(found)} steps apart.`,
    tip: () => 'Push the two that are nearest away from each other.'
  })

/** No mass is a speck. @param least share of the picture, 0–1. */
export const large = (n: number, least: number): Check =>
  checkOf({
    id: 'large',
    name: 'the smallest mass',
    asks: bounds => `Each of them holds at least ${percent(bounds.least)} of the picture`,
    atLeast: least,
    top: 1,
    measure: ({ planes }) => {
      const found = massesOf(planes, n, STRAY)
      return found.length < n ? 0 : Math.min(...found.map(m => m.share))
    },
    say: share => `The smallest holds ${percent(share)}.`,
    tip: () => 'Join small pieces of the smallest into one larger shape.'
  })

/** The steps of a ladder are as far apart as one another. @param most the widest step over the narrowest. */
export const even = (n: number, most: number): Check =>
  checkOf({
    id: 'even',
    name: 'even steps',
    asks: bounds => `Its ${n} steps are even: the widest is at most ${bounds.most.toFixed(1)} times the narrowest`,
    atMost: most,
    top: 100,
    measure: ({ planes }) => {
      const found = massesOf(planes, n, STRAY)
      if (found.length < n) return 100
      const gaps = found.slice(1).map((m, i) => m.value - found[i].value)
      return Math.max(...gaps) / Math.min(...gaps)
    },
    say: ratio =>
      ratio >= 100 ? `There are fewer than ${n} steps.` : `The widest is ${ratio.toFixed(1)} times the narrowest.`,
    tip: () => 'Begin with the middle one, and halve what is left with half-closed eyes.'
  })

const BAND = 10,
  BAND_SHARE = 0.03

/** One colour goes through many values. @param atLeast bands of ten steps. */
export const valueSteps = (atLeast: number): Check =>
  checkOf({
    id: 'values',
    name: 'steps of value',
    asks: () => `At least ${atLeast} steps of value, each in ${percent(BAND_SHARE)} of the picture`,
    atLeast,
    top: 100 / BAND,
    exact: true,
    measure: ({ planes: { value, mask, count } }) => {
      const bands = new Array<number>(100 / BAND).fill(0)
      for (let i = 0; i < mask.length; i++) bands[Math.min(bands.length - 1, Math.floor(value[i] / BAND))] += mask[i]
      return count ? bands.filter(n => n / count >= BAND_SHARE).length : 0
    },
    say: found => `${found === 1 ? 'One is' : `${found} are`} there.`,
    tip: () => 'Mix the steps that are missing, and find a place for each.'
  })

/** @param most share of the picture that may be black without a colour, 0–1. */
export const noBlack = (most: number): Check =>
  checkOf({
    id: 'black',
    name: 'flat black',
    asks: bounds => `At most ${percent(bounds.most)} of the picture is a black without a colour`,
    atMost: most,
    top: 1,
    measure: ({ report }) => (isMeasured(report.value) ? report.value.nearBlack : 0),
    say: share => `${percent(share)} is.`,
    tip: () => 'Mix those darks from two opposites, and let them lean warm or cool.'
  })

/** There are darks all the same. @param most L* of the darkest. */
export const dark = (most: number): Check =>
  checkOf({
    id: 'dark',
    name: 'the darkest',
    asks: bounds => `The darkest lies under ${Math.round(bounds.most)}`,
    atMost: most,
    top: 100,
    measure: ({ report }) => (isMeasured(report.value) ? report.value.darkest : 100),
    say: found => `The darkest lies at ${Math.round(found)}.`,
    tip: () => 'Mix it darker: less white, and more of the darker of the two opposites.'
  })

/** The darkest quarter is searched for warm and cool. */
const DARKS = 0.25

/** Among the darks are warm ones and cool ones. @param least share of the darks that the rarer of both holds. */
export const warmAndCoolDarks = (least: number): Check =>
  checkOf({
    id: 'both',
    name: 'warm and cool darks',
    asks: bounds => `Of the darkest quarter at least ${percent(bounds.least)} is warm, and as much is cool`,
    atLeast: least,
    top: 1,
    measure: ({ planes: { value, values, a, b, mask } }) => {
      // Values are counted in steps: what lies in the same step is as dark.
      const bound = percentile(values, DARKS) + values.step / 2
      let warm = 0,
        cool = 0,
        all = 0
      for (let i = 0; i < mask.length; i++) {
        if (mask[i] === 0 || value[i] > bound) continue
        all++
        // T of `colour/temperature`, unlimited: a projection on the warm pole.
        const t = (100 * Math.SQRT1_2 * (a[i] + b[i])) / 0.2
        if (t >= NEITHER_BELOW) warm++
        else if (t <= -NEITHER_BELOW) cool++
      }
      return all ? Math.min(warm, cool) / all : 0
    },
    tip: () => 'Let some darks lean to brown or red, and others to blue.',
    say: (share, bounds) =>
      share < bounds.least
        ? `The rarer of both is ${percent(share)} of them.`
        : `Both are there: the rarer is ${percent(share)} of them.`
  })
