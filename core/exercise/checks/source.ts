/** Checks of a piece against what came before it: the reference it is made from, the studies made for it. */
import { percent } from '../../critique/words'
import { gridCorrelation, gridDifference, valueGrid } from './grid'
import { checkOf, type Check, type HandInMeasures } from '../exercise'

const CELLS = 24,
  WHOLE = { x: 0, y: 0, w: 1, h: 1 }
const NONE = 'No reference was handed in with it.'
const gridsOf = ({ planes, reference }: HandInMeasures): [Float64Array, Float64Array] | null =>
  reference && [valueGrid(planes, WHOLE, CELLS), valueGrid(reference, WHOLE, CELLS)]

/** Lights and darks lie where the reference has them. */
export const structure: Check = checkOf({
  id: 'structure',
  name: 'the same big shapes',
  asks: ({ least }) => `Lights and darks lie where the reference has them: agreement of at least ${percent(least)}`,
  atLeast: 0.8,
  top: 1,
  measure: measures => {
    const grids = gridsOf(measures)
    return grids ? Math.max(0, gridCorrelation(...grids)) : 0
  },
  say: (share, _, { reference }) => (reference ? `They agree to ${percent(share)}.` : NONE),
  tip: () => 'Turn both upside down, and compare the large shapes of dark.'
})
/** Each value as the reference has it. */
export const held: Check = checkOf({
  id: 'held',
  name: 'values held',
  asks: ({ most }) => `Place for place it lies within ${Math.round(most)} steps of the reference’s values, in the mean`,
  atMost: 9,
  top: 100,
  measure: measures => {
    const grids = gridsOf(measures)
    return grids ? gridDifference(...grids) : 100
  },
  say: (steps, _, { reference }) => (reference ? `It lies ${Math.round(steps)} steps off.` : NONE),
  tip: () => 'Match the darkest and the lightest first; then the middle one.'
})

export const studiesFirst = (least: number): Check =>
  checkOf({
    id: 'studies',
    name: 'studies before it',
    asks: () => `At least ${least === 1 ? 'one study is' : `${least} studies are`} kept before the piece itself`,
    atLeast: least,
    top: 100,
    exact: true,
    measure: ({ studies }) => studies,
    say: found => (found === 1 ? 'One is.' : `${found} are.`),
    tip: () => 'Check a small study privately: it is kept, and it counts.'
  })
