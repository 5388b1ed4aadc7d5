/** Checks of a painted wheel: whether all its steps are there, in like amounts, and strong. */
import { percent } from '../../critique/words'
import { chromaOf } from '../../colour/oklab'
import { medianOf } from '../../numeric/median'
import { anchorAt } from '../../wheel/wheel'
import { onWheel } from './colour'
import { checkOf, type Check, type HandInMeasures } from '../exercise'

/** Shares of the coloured pixels about each of the wheel's `n` even steps. */
function sharesOf(n: number, { hues: { pixels, colouredPixels } }: HandInMeasures): number[] {
  const shares = new Array<number>(n).fill(0)
  pixels.forEach((count, degree) => (shares[Math.round((degree * n) / 360) % n] += count))
  return shares.map(count => (colouredPixels ? count / colouredPixels : 0))
}
/** A step is there from this share of an even part on: less is an accident of mixing. Our choice. */
const THERE = 0.3

export const allSteps = (n: number, words: string): Check =>
  checkOf({
    id: 'all',
    name: 'steps there',
    asks: (_, settings) => `All ${words} steps are there ${onWheel(settings)}`,
    atLeast: n,
    top: n,
    exact: true,
    measure: measures => sharesOf(n, measures).filter(share => share >= THERE / n).length,
    say: found => `${found} of ${n} are there.`,
    tip: () => 'Look which two neighbours have too much room between them, and mix the step that is missing.'
  })

/** @param most the largest over the smallest of those that are there. */
export const evenAmounts = (n: number, most: number): Check =>
  checkOf({
    id: 'amounts',
    name: 'like amounts',
    asks: bounds => `No step has more than ${bounds.most.toFixed(1)} times the room of another`,
    atMost: most,
    top: 100,
    measure: measures => {
      const there = sharesOf(n, measures).filter(share => share >= THERE / n)
      return there.length ? Math.max(...there) / Math.min(...there) : 100
    },
    say: ratio =>
      ratio >= 100
        ? 'There is no colour to measure.'
        : `The largest has ${ratio.toFixed(1)} times the room of the smallest.`,
    tip: () => 'Give every step a field of the same size.'
  })

/** @param least of a full colour's strength, 0–1. */
export const strong = (least: number): Check =>
  checkOf({
    id: 'strong',
    name: 'strength',
    asks: bounds => `The steps are strong: at least ${percent(bounds.least)} of what the wheel has`,
    atLeast: least,
    top: 1,
    measure: ({ hues: { bins }, planes: { chroma } }, { wheel }) => {
      const full = Array.from({ length: 36 }, (_, i) => chromaOf(anchorAt(wheel, 10 * i)))
      const every = Math.max(1, Math.floor(bins.length / 4000)),
        found: number[] = []
      for (let i = 0; i < bins.length; i += every)
        if (bins[i] >= 0) found.push(chroma[i] / full[Math.round(bins[i] / 10) % 36])
      return found.length ? Math.min(1, medianOf(found)) : 0
    },
    say: share => `In the middle they have ${percent(share)} of it.`,
    tip: () => 'Mix a step only from its two neighbours, with a clean brush.'
  })
