/**
 * Checks of a picture that holds several: three panels side by side, four crops, five materials in light and in shadow.
 */
import { convertLuminanceToValue, luminanceOf } from '../../colour/lab'
import { convertLinearToOklab, type Oklab } from '../../colour/oklab'
import { LINEAR_OF_BYTE, type Rgb } from '../../colour/srgb'
import { percent } from '../../critique/words'
import { valueGrid, gridDifference } from './grid'
import { checkOf, type Check, type HandInMeasures } from '../exercise'

const STEPS = 12,
  PANELS = 3

/** Shares of the picture's three leading steps of the wheel, in each of three panels side by side. */
function panelsOf({ hues: { bins }, planes: { width } }: HandInMeasures): number[][] {
  const counts = Array.from({ length: PANELS }, () => new Array<number>(STEPS).fill(0)),
    all = new Array<number>(STEPS).fill(0)
  bins.forEach((bin, i) => {
    if (bin < 0) return
    const step = Math.round(bin / 30) % STEPS
    counts[Math.floor(((i % width) * PANELS) / width)][step]++
    all[step]++
  })
  const leading = all
    .map((count, step) => ({ count, step }))
    .sort((p, q) => q.count - p.count)
    .slice(0, 3)
    .map(s => s.step)
  return counts.map(panel => {
    const total = panel.reduce((p, q) => p + q, 0)
    return leading.map(step => (total ? panel[step] / total : 0))
  })
}
/** The panel in which amounts are most alike, and the two others. */
function evenAndOthers(measures: HandInMeasures): { even: number[]; others: number[][] } {
  const [even, ...others] = panelsOf(measures).sort((p, q) => Math.max(...p) - Math.max(...q))
  return { even, others }
}

export const samePalette: Check = checkOf({
  id: 'same',
  name: 'the same palette',
  asks: ({ least }) => `The same three colours in all three, each at least ${percent(least)} of the colour`,
  atLeast: 0.04,
  top: 1,
  measure: measures => Math.min(...panelsOf(measures).flat()),
  say: share => `The least of them holds ${percent(share)}.`,
  tip: () => 'Mix enough of each at the beginning, and use nothing else.'
})
export const equalOnce: Check = checkOf({
  id: 'equal',
  name: 'once in equal amounts',
  asks: ({ most }) => `In one of them none has more than ${percent(most)}`,
  atMost: 0.45,
  top: 1,
  measure: measures => Math.max(...evenAndOthers(measures).even),
  say: share => `In the most even one the largest holds ${percent(share)}.`,
  tip: () => 'In one of the three let none lead: a third each.'
})
export const leadsTwice: Check = checkOf({
  id: 'leader',
  name: 'twice with a leader',
  asks: ({ least }) => `In the two others one leads with at least ${percent(least)}`,
  atLeast: 0.5,
  top: 1,
  measure: measures => Math.min(...evenAndOthers(measures).others.map(o => Math.max(...o))),
  say: share => `The weaker leader has ${percent(share)}.`,
  tip: () => 'Give the leader more than half of the picture.'
})
export const accentTwice: Check = checkOf({
  id: 'small',
  name: 'twice with an accent',
  asks: ({ most }) => `In the two others the smallest is an accent: at most ${percent(most)}`,
  atMost: 0.18,
  top: 1,
  measure: measures => Math.max(...evenAndOthers(measures).others.map(o => Math.min(...o))),
  say: share => `The larger accent has ${percent(share)}.`,
  tip: () => 'Keep the third colour for two or three small places.'
})

const CROPS = 4,
  CROP_GRID = 16

/** Value grids of the four quarters. */
function cropsOf({ planes }: HandInMeasures): Float64Array[] {
  return Array.from({ length: CROPS }, (_, i) =>
    valueGrid(planes, { x: (i % 2) / 2, y: Math.floor(i / 2) / 2, w: 0.5, h: 0.5 }, CROP_GRID)
  )
}
export const cropsRead: Check = checkOf({
  id: 'read',
  name: 'each reads',
  asks: ({ least }) => `Each of the four spans at least ${Math.round(least)} steps of value in its big masses`,
  atLeast: 40,
  top: 100,
  measure: measures => Math.min(...cropsOf(measures).map(grid => Math.max(...grid) - Math.min(...grid))),
  say: found => `The flattest spans ${Math.round(found)}.`,
  tip: () => 'Put the darkest and the lightest mass of each where they meet.'
})
export const cropsDiffer: Check = checkOf({
  id: 'different',
  name: 'four ideas',
  asks: ({ least }) => `Any two of them differ by at least ${Math.round(least)} steps of value, place for place`,
  atLeast: 9,
  top: 100,
  measure: measures => {
    const crops = cropsOf(measures)
    return Math.min(...crops.flatMap((p, i) => crops.slice(i + 1).map(q => gridDifference(p, q))))
  },
  say: found => `The two most alike differ by ${Math.round(found)}.`,
  tip: () => 'Turn one upright, move its horizon, or come much closer in one of them.'
})

const MATERIALS = 5
const INNER = 0.6

/** Middle colour of the inner part of a field. */
function fieldAt({ raster: { width, height, data } }: HandInMeasures, column: number, row: number): Rgb {
  const w = width / MATERIALS,
    h = height / 2
  const sum = [0, 0, 0]
  let count = 0
  const edge = (1 - INNER) / 2
  for (let y = Math.floor((row + edge) * h); y < (row + 1 - edge) * h; y++)
    for (let x = Math.floor((column + edge) * w); x < (column + 1 - edge) * w; x++) {
      const p = 4 * (y * width + x)
      for (let c = 0; c < 3; c++) sum[c] += LINEAR_OF_BYTE[data[p + c]]
      count++
    }
  return sum.map(s => s / Math.max(1, count)) as unknown as Rgb
}

/**
 * @property drop how much darker the shadow is, L*. @property turn what its colour has that the lit one darkened has
 * not, OKLab a and b.
 */
interface LitAndShadow {
  readonly drop: number
  readonly turn: readonly [number, number]
}
function pairsOf(measures: HandInMeasures): LitAndShadow[] {
  return Array.from({ length: MATERIALS }, (_, i) => {
    const [lit, shadow] = [0, 1].map(row => fieldAt(measures, i, row)),
      value = (c: Rgb): number => convertLuminanceToValue(luminanceOf(c))
    const [p, q]: Oklab[] = [convertLinearToOklab(lit), convertLinearToOklab(shadow)],
      darker = p[0] > 0 ? q[0] / p[0] : 1
    return { drop: value(lit) - value(shadow), turn: [q[1] - darker * p[1], q[2] - darker * p[2]] }
  })
}
/** Steps of L*; OKLab. Our choice: what is seen beside one another. */
const DROP = 12,
  TURN = 0.012

const countOf = (found: number, what: string): string => `${found} of ${MATERIALS} ${what}.`
export const shadowsDarker: Check = checkOf({
  id: 'darker',
  name: 'shadows are darker',
  asks: () => `Under each of five materials lies its shadow, at least ${DROP} steps darker`,
  atLeast: MATERIALS,
  top: MATERIALS,
  exact: true,
  measure: measures => pairsOf(measures).filter(p => p.drop >= DROP).length,
  say: found => countOf(found, 'are'),
  tip: () => 'Squint: every shadow lies under everything in the light.'
})
export const shadowsColoured: Check = checkOf({
  id: 'coloured',
  name: 'shadows have a colour',
  asks: () => 'At least four of the shadows are more than the same colour darker',
  atLeast: 4,
  top: MATERIALS,
  exact: true,
  measure: measures => pairsOf(measures).filter(p => Math.hypot(...p.turn) >= TURN).length,
  say: found => countOf(found, 'are'),
  tip: () => 'Look what throws light into the shadow, the sky or a wall, and mix a little of it in.'
})
export const oneLight: Check = checkOf({
  id: 'one-light',
  name: 'one light for all',
  asks: () => 'At least four of the shadows turn the same way: one light for all',
  atLeast: 4,
  top: MATERIALS,
  exact: true,
  measure: measures => {
    const turns = pairsOf(measures).map(p => p.turn),
      mean = [0, 1].map(k => turns.reduce((sum, t) => sum + t[k], 0)),
      length = Math.hypot(...mean)
    // Where none turns, none disagrees.
    if (length < TURN) return turns.every(t => Math.hypot(...t) < TURN) ? MATERIALS : 0
    return turns.filter(
      t => Math.hypot(...t) < TURN / 2 || (t[0] * mean[0] + t[1] * mean[1]) / (Math.hypot(...t) * length) >= 0.5
    ).length
  },
  say: found => countOf(found, 'do'),
  tip: () => 'Decide whether the shadow is warmer or cooler than the light, and keep to it for all five.'
})
