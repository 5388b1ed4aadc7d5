/** Opposites: a piece in two facing colours, the second in a few small places. */
import { isMeasured } from '../measure/report'
import { bestFit, HOLDS, type Fit } from '../measure/harmony/scheme'
import { percent } from '../critique/words'
import type { CheckResult, Exercise, HandInMeasures } from './exercise'

/** The accent: enough to be seen, too little to compete. Common practice, no source. */
const ACCENT = { least: 0.04, most: 0.3 }
/** A moderate range or better, so that the colours are carried by values. */
const RANGE = 50

function fitOf({ hues }: HandInMeasures): Fit | null {
  return hues.totalWeight > 0 ? bestFit('complementary', hues.weight) : null
}

/** Share of the coloured weight of the two sectors that the smaller holds. */
export function accentShare({ sectors }: { readonly sectors: readonly number[] }): number {
  const total = sectors.reduce((p, q) => p + q, 0)
  return total > 0 ? Math.min(...sectors) / total : 0
}

const within = (measured: Omit<CheckResult, 'passed'>): CheckResult => ({
  ...measured,
  passed: measured.value >= measured.atLeast && measured.value <= measured.atMost
})

const ASKS = {
  coverage: `At least ${percent(HOLDS.coverage)} of the colour lies within two opposites on the painter wheel`,
  accent: `The smaller of the two is an accent: between ${percent(ACCENT.least)} and ${percent(ACCENT.most)} of the colour`,
  range: `The values span at least ${RANGE} steps`
}

export const OPPOSITES: Exercise = {
  title: 'Opposites',
  trains: 'Two colours that face each other on the wheel, one leading and one kept for a few small places',
  steps: [
    'Choose a key colour and find the one facing it on the painter wheel.',
    'Mix each toward the other in five steps on a scrap, so you know the greys they make.',
    'Paint a small piece: the key colour and its greys for most of it, the opposite in two or three small places where the eye should stop.',
    'Keep lights and darks well apart. Colour cannot do the work of value.'
  ],
  checks: [
    {
      id: 'coverage',
      asks: ASKS.coverage,
      run: measures => {
        const coverage = fitOf(measures)?.coverage ?? 0
        const found =
          coverage === 0 ? 'There is no colour to measure.' : `${percent(coverage)} of the colour keeps to the pair.`
        return within({
          id: 'coverage',
          asks: ASKS.coverage,
          found,
          value: coverage,
          atLeast: HOLDS.coverage,
          atMost: 1
        })
      }
    },
    {
      id: 'accent',
      asks: ASKS.accent,
      run: measures => {
        const fit = fitOf(measures)
        const share = fit ? accentShare(fit) : 0
        const found =
          share < ACCENT.least
            ? `The opposite holds ${percent(share)}: it is hardly there.`
            : share > ACCENT.most
              ? `The opposite holds ${percent(share)}: the two compete.`
              : `The opposite holds ${percent(share)}: a true accent.`
        return within({
          id: 'accent',
          asks: ASKS.accent,
          found,
          value: share,
          atLeast: ACCENT.least,
          atMost: ACCENT.most
        })
      }
    },
    {
      id: 'range',
      asks: ASKS.range,
      run: ({ report }) => {
        const range = isMeasured(report.value) ? report.value.range : 0
        const found = `The values span ${Math.round(range)} steps.`
        return within({ id: 'range', asks: ASKS.range, found, value: range, atLeast: RANGE, atMost: 100 })
      }
    }
  ]
}
