/** The harbour class's paint box, Ada's swatch book, and what some eyes have learnt in three weeks of drills. */
import { gaussian, seededRandom } from '../core/numeric/random'
import { DRILLS, type DrillName } from '../core/drill/drills'
import { chanceOf, nextDifference, type Answered } from '../core/drill/staircase'
import { mixtureOf } from '../core/paint/mixture'
import { PIGMENTS } from '../core/paint/pigments'
import type { DrillRunInput, PaintInput, SwatchInput } from '../shared/workshop'

const paint = (name: string, called = name): PaintInput => {
  const { index, masstone, tint } = PIGMENTS.find(p => p.name === name)!
  return { name: called, medium: 'gouache', pigment: index, masstone, tint }
}

/** What the class works with: nine tubes and white. */
export const CLASS_BOX: readonly PaintInput[] = [
  paint('ultramarine'),
  paint('warm yellow'),
  paint('lemon yellow', 'cool yellow'),
  paint('warm red'),
  paint('quinacridone rose', 'cool red'),
  paint('burnt sienna'),
  paint('phthalocyanine green', 'deep green'),
  paint('cerulean blue', 'cool blue'),
  paint('burnt umber', 'umber'),
  paint('titanium white', 'white')
]

const mixture = (note: string, ...parts: readonly (readonly [name: string, parts: number])[]): SwatchInput => {
  const of = parts.map(([name, amount]) => ({ ...CLASS_BOX.find(p => p.name === name)!, parts: amount })),
    hex = mixtureOf(of.map(p => ({ paint: p, amount: p.parts })))!
  return {
    kind: 'mixture',
    hexes: [hex],
    note,
    parts: of.map(({ name, masstone, tint, parts }) => ({ name, masstone, tint, parts }))
  }
}

/** Kept in this order: the last lies first in the book. */
export const ADAS_BOOK: readonly SwatchInput[] = [
  mixture('Shadow side of the pots.', ['burnt sienna', 3], ['ultramarine', 2], ['white', 2]),
  mixture('Sand, dry.', ['warm yellow', 1], ['burnt sienna', 1], ['white', 12]),
  mixture('The shed’s green, before rain.', ['deep green', 2], ['warm yellow', 4], ['warm red', 1]),
  mixture('A dark for under the pier, without black.', ['umber', 5], ['ultramarine', 6]),
  { kind: 'palette', hexes: ['#3d3d52', '#7c8594', '#c9b48c', '#b25a2e'], parts: [], note: 'Low water, evening.' },
  mixture('Far water.', ['cool blue', 2], ['cool red', 1], ['white', 9]),
  mixture('Orange beside its own grey: the orange lights up. Keep for the buoys.', ['warm yellow', 3], ['warm red', 1])
]

/** Who drilled what: their threshold at first, and how much of it is left each week. */
const EYES: readonly (readonly [learner: string, drill: DrillName, first: number, left: number])[] = [
  ['ada', 'value', 9, 0.82],
  ['ada', 'warmer', 15, 0.9],
  ['bram', 'value', 6, 0.95],
  ['bram', 'opposite', 30, 0.8],
  ['joss', 'value', 13, 0.85],
  ['joss', 'count', 4, 0.9]
]
const WEEKS = 4

/** @returns each run with whose it is and how many days ago. */
export function demoRuns(): { readonly learner: string; readonly daysAgo: number; readonly run: DrillRunInput }[] {
  const random = seededRandom(77)
  return EYES.flatMap(([learner, drill, first, left]) =>
    Array.from({ length: WEEKS }, (_, week) => {
      const { asked, questions, settings } = DRILLS[drill],
        threshold = first * left ** week * Math.exp(0.06 * gaussian(random)),
        answers: Answered[] = []
      while (answers.length < questions) {
        const difference = nextDifference(asked, answers)
        answers.push({ difference, right: random() < chanceOf(difference / threshold, asked.guess) })
      }
      const conditions = { black: 3, white: 4, gamma: 2.2, room: 'evening' as const }
      return {
        learner,
        daysAgo: 7 * (WEEKS - 1 - week) + 1,
        run: { drill, setting: settings[0], wheel: 'painter' as const, answers, conditions }
      }
    })
  )
}
