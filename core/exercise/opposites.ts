/** Opposites: a piece in two facing colours, the second in a few small places. */
import { isMeasured } from '../measure/report'
import { bestFit, type Fit } from '../measure/scheme'
import { percent } from '../critique/words'
import type { CheckResult, Exercise, HandInMeasures } from './exercise'

/** Coverage at which the studio calls a scheme kept. */
const COVERAGE = 0.8
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

function within(id: string, asks: string, found: string, value: number, atLeast: number, atMost: number): CheckResult {
  return { id, asks, found, value, atLeast, atMost, passed: value >= atLeast && value <= atMost }
}

const ASKS = {
  coverage: `At least ${percent(COVERAGE)} of the colour lies within two opposites on the painter wheel`,
  accent: `The smaller of the two is an accent: between ${percent(ACCENT.least)} and ${percent(ACCENT.most)} of the colour`,
  range: `The values span at least ${RANGE} steps`
}

export const OPPOSITES: Exercise = {
  key: 'opposites',
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
      run: (measures) => {
        const coverage = fitOf(measures)?.coverage ?? 0
        const found = coverage === 0 ? 'There is no colour to measure.' : `${percent(coverage)} of the colour keeps to the pair.`
        return within('coverage', ASKS.coverage, found, coverage, COVERAGE, 1)
      }
    },
    {
      id: 'accent',
      asks: ASKS.accent,
      run: (measures) => {
        const fit = fitOf(measures)
        const share = fit ? accentShare(fit) : 0
        const found = share < ACCENT.least ? `The opposite holds ${percent(share)}: it is hardly there.`
          : share > ACCENT.most ? `The opposite holds ${percent(share)}: the two compete.`
            : `The opposite holds ${percent(share)}: a true accent.`
        return within('accent', ASKS.accent, found, share, ACCENT.least, ACCENT.most)
      }
    },
    {
      id: 'range',
      asks: ASKS.range,
      run: ({ report }) => {
        const range = isMeasured(report.value) ? report.value.range : 0
        return within('range', ASKS.range, `The values span ${Math.round(range)} steps.`, range, RANGE, 100)
      }
    }
  ]
}
