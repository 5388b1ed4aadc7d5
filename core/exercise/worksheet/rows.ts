/** What each exercise's worksheet asks to be painted: rows of boxes, runs from colour to colour, frames to draw in. */
import { hexOfLinear } from '../../colour/srgb'
import { wrapDegrees } from '../../numeric/angle'
import { schemePositions, type SectorScheme } from '../../wheel/schemes'
import type { WheelName } from '../../wheel/steps'
import { colourAt, stepAt } from '../../wheel/wheel'
import type { Settings } from '../settings'
import type { ExerciseKey } from '../shelf'
import { darkGrey, darkOf, greyOf, ladderValues, shades, strongAt, throughGrey, tints, tones } from './mixtures'
import type { Wanted } from './worksheet'

interface Asked {
  readonly label: string
  readonly wanted: Wanted
  /** Of the row's width; equal shares without it. */
  readonly share?: number
}
export type SheetRow =
  | { readonly kind: 'boxes'; readonly caption: string; readonly boxes: readonly Asked[] }
  | { readonly kind: 'run'; readonly caption: string; readonly label: string; readonly wanted: Wanted }
  | { readonly kind: 'ring'; readonly caption: string; readonly boxes: readonly (Asked & { readonly at: number })[] }
  | { readonly kind: 'frames'; readonly caption: string; readonly count: number }

/** Where the learner chooses, the sheet is printed for blue: a colour that every box of paints has. */
const FREE_HUE = 240

const step = (wheel: WheelName, position: number): Asked => ({
  label: stepAt(wheel, position),
  wanted: { kind: 'step', hex: hexOfLinear(strongAt(wheel, position)), position: wrapDegrees(position) }
})
const row = (caption: string, boxes: readonly Asked[]): SheetRow => ({ kind: 'boxes', caption, boxes })
const mixtures = (caption: string, hexes: readonly string[], label: (i: number) => string): SheetRow =>
  row(
    caption,
    hexes.map((hex, i) => ({ label: label(i), wanted: { kind: 'colour', hex } }))
  )
const numbered = (i: number): string => `${i + 1}`
const frames = (caption: string, count: number): SheetRow => ({ kind: 'frames', caption, count })
const ladder = (caption: string, steps: number): SheetRow =>
  row(
    caption,
    ladderValues(steps).map((value, i) => ({
      label: i === 0 ? 'darkest' : i === steps - 1 ? 'lightest' : numbered(i),
      wanted: { kind: 'value', hex: greyOf(value), value }
    }))
  )
const run = (wheel: WheelName, from: number, to: number): SheetRow => ({
  kind: 'run',
  caption: `From ${stepAt(wheel, from)} to ${stepAt(wheel, to)} without a seam`,
  label: `${stepAt(wheel, from)} to ${stepAt(wheel, to)}`,
  wanted: {
    kind: 'run',
    hex: hexOfLinear(strongAt(wheel, (from + to) / 2)),
    from: hexOfLinear(strongAt(wheel, from)),
    to: hexOfLinear(strongAt(wheel, to))
  }
})
const strongs = (caption: string, wheel: WheelName, positions: readonly number[]): SheetRow =>
  row(
    caption,
    positions.map(p => step(wheel, p))
  )

/** A scheme's colours at full strength, and each let down and darkened. */
function schemeRows(scheme: SectorScheme, wheel: WheelName, key: number): SheetRow[] {
  const positions = schemePositions(scheme, key),
    named = (i: number): string => stepAt(wheel, positions[i])
  return [
    strongs('Each at its full strength', wheel, positions),
    mixtures(
      'Each with white, half way up',
      positions.map(p => tints(wheel, p, 3)[1]),
      named
    ),
    mixtures(
      'Each darkened, half way down',
      positions.map(p => shades(wheel, p, 3)[1]),
      named
    ),
    frames('Three small tries: which leads?', 3)
  ]
}

const ring = (wheel: WheelName, steps: number): SheetRow => ({
  kind: 'ring',
  caption: 'Begin with the three you do not mix; mix each other one from those beside it.',
  boxes: Array.from({ length: steps }, (_, i) => ({ ...step(wheel, (360 * i) / steps), at: (360 * i) / steps }))
})

/**
 * Five materials, each in the light and in its shadow: darker, greyer, and turned toward blue-violet, as under a warm
 * light.
 */
function litAndShadow(wheel: WheelName): SheetRow[] {
  const MATERIALS = ['brick', 'straw', 'leaf', 'slate', 'skin'] as const,
    AT = { brick: 120, straw: 30, leaf: 310, slate: 240, skin: 70 } as const
  const SKY = 225
  const colour = (positionDeg: number, lightness: number, chroma: number): Wanted => ({
    kind: 'colour',
    hex: hexOfLinear(colourAt(wheel, { positionDeg, lightness, chroma }))
  })
  const turned = (at: number): number => at + 0.12 * (((SKY - at + 540) % 360) - 180)
  return [
    row(
      'In the light',
      MATERIALS.map(m => ({ label: m, wanted: colour(AT[m], 0.74, 0.08) }))
    ),
    row(
      'The same five in shadow: darker, and with the sky in it',
      MATERIALS.map(m => ({ label: `${m} in shadow`, wanted: colour(turned(AT[m]), 0.46, 0.055) }))
    )
  ]
}

function inProportion(wheel: WheelName, key: number): SheetRow[] {
  const positions = schemePositions('triad', key)
  const shared = (caption: string, shares: readonly number[]): SheetRow =>
    row(
      caption,
      positions.map((p, i) => ({ ...step(wheel, p), share: shares[i] }))
    )
  return [
    shared('In equal amounts', [1 / 3, 1 / 3, 1 / 3]),
    shared('One leads, one assists, one is the accent', [0.6, 0.29, 0.11]),
    shared('Another leads', [0.11, 0.6, 0.29]),
    frames('The same small picture three times, in these amounts', 3)
  ]
}

/** @returns the rows of an exercise's sheet, top to bottom. */
export function rowsOf(exercise: ExerciseKey, { wheel, hue }: Pick<Settings, 'wheel' | 'hue'>): SheetRow[] {
  const key = hue ?? FREE_HUE
  const word = stepAt(wheel, key)
  switch (exercise) {
    case 'ladder-5':
    case 'ladder-7':
    case 'ladder-9': {
      const steps = Number(exercise.at(-1))
      return [ladder('From your darkest to your lightest in even steps', steps), ladder('Once more', steps)]
    }
    case 'two-values':
      return [ladder('Your two values', 2), frames('Four tries in these two alone', 2), frames('', 2)]
    case 'three-values':
      return [ladder('Your three values', 3), frames('Four tries in these three alone', 2), frames('', 2)]
    case 'one-colour':
      return [
        mixtures(`Tints: ${word} and white`, tints(wheel, key, 6), numbered),
        mixtures(`Tones: ${word} and grey`, tones(wheel, key, 6), numbered),
        mixtures(`Shades: ${word} and black`, shades(wheel, key, 6), numbered),
        frames('A small picture made of these', 2)
      ]
    case 'muted':
      return [
        mixtures(
          `${word} to grey through ${stepAt(wheel, key + 180)}, every step as light as the next`,
          throughGrey(wheel, key, 7),
          numbered
        ),
        mixtures(`${stepAt(wheel, key + 60)} likewise`, throughGrey(wheel, wrapDegrees(key + 60), 7), numbered),
        frames('A small picture in the quiet steps alone', 2)
      ]
    case 'no-black':
      return [
        mixtures(
          'Darks without black, all of one value: two warm, one between, two cool',
          [darkOf(wheel, 90), darkOf(wheel, 45), darkGrey(), darkOf(wheel, 240), darkOf(wheel, 190)],
          i => ['red dark', 'brown dark', 'neither', 'blue dark', 'green-blue dark'][i]
        ),
        frames('A small picture with large darks', 2)
      ]
    case 'limited-palette':
      return [
        strongs('Your two paints', wheel, [key, wrapDegrees(key + 180)]),
        mixtures('From one to the other', throughGrey(wheel, key, 7), numbered),
        mixtures(`${word} and white`, tints(wheel, key, 5), numbered),
        mixtures(`${stepAt(wheel, key + 180)} and white`, tints(wheel, wrapDegrees(key + 180), 5), numbered)
      ]
    case 'neighbours':
      return [
        strongs('Three in a row', wheel, [wrapDegrees(key - 30), key, wrapDegrees(key + 30)]),
        run(wheel, key - 30, key),
        run(wheel, key, key + 30),
        frames('Three small tries: which leads?', 3)
      ]
    case 'opposites':
      return [
        strongs(
          'Pairs that face each other',
          wheel,
          [0, 180, 60, 240, 120, 300].map(d => wrapDegrees(key + d))
        ),
        mixtures(`${word} to its opposite, every step as light as the next`, throughGrey(wheel, key, 7), numbered),
        frames('Three small tries: the opposite in two or three small places', 3)
      ]
    case 'one-step-off':
      return [
        strongs(
          'The key colour, its opposite, and a step to either side of that',
          wheel,
          [0, 180, 150, 210].map(d => wrapDegrees(key + d))
        ),
        mixtures(`${word} let down with white`, tints(wheel, key, 6), numbered),
        frames('Three small tries: the accent in two or three small places', 3)
      ]
    case 'split-opposites':
      return schemeRows('split-complementary', wheel, key)
    case 'triad':
      return schemeRows('triad', wheel, key)
    case 'two-pairs':
      return schemeRows('tetrad', wheel, key)
    case 'wheel-6':
      return [ring(wheel, 6)]
    case 'wheel-12':
      return [ring(wheel, 12)]
    case 'proportion':
      return inProportion(wheel, key)
    case 'shadow-colour':
      return [...litAndShadow(wheel), frames('One corner of a still life: light, and shadow', 2)]
    case 'from-reference':
      return [ladder('Its values from dark to light, as you read them', 5), frames('Its big masses, twice', 2)]
    case 'one-hue':
      return [
        mixtures(
          `${word} from dark to light`,
          [...shades(wheel, key, 4).reverse(), ...tints(wheel, key, 4).slice(1)],
          numbered
        ),
        frames('The photograph in big masses, twice', 2)
      ]
    case 'framing':
      return [ladder('The three values you will use', 3), frames('Four crops of one idea', 2), frames('', 2)]
    case 'studies-first':
      return [ladder('The three values you will use', 3), frames('Studies, a hand’s breadth each', 3), frames('', 3)]
  }
}
