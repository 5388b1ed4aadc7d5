/**
 * Twenty near-misses: hand-ins that lie a hair on one side of a bound. What each is follows from how it was made and
 * from an outside library's figures of its colours (culori: OKLCH chroma, CIELAB lightness), not from our own measures.
 */
import { converter } from 'culori'
import { expect, it } from 'vitest'
import { check } from '../testing/exercises/check'
import { anchor, ENDS, grey, ladder, painted } from '../testing/exercises/fields'
import { PAINTER_ANCHORS } from '../wheel/painter'
import type { ExerciseKey } from './shelf'

const oklch = converter('oklch'),
  lightness = (hex: string): number => converter('lab65')(hex)!.l
const chroma = (step: number): number => oklch(PAINTER_ANCHORS[step]!)!.c!

/** Widths of key and opposite at which the opposite holds a share of the coloured weight: chroma times area. */
function widthFor(key: number, keyWidth: number, share: number): number {
  return (share * keyWidth * chroma(key)) / ((1 - share) * chroma((key + 6) % 12))
}
const verdictOf = (key: ExerciseKey, id: string, raster: Parameters<typeof check>[1]): boolean =>
  check(key, raster).find(c => c.id === id)!.passed

const KEY_WIDTH = 600
const accents = [8, 0, 4].flatMap(key =>
  [
    { share: 0.036, passes: false },
    { share: 0.045, passes: true },
    { share: 0.292, passes: true },
    { share: 0.309, passes: false }
  ].map(c => ({ key, ...c }))
)
it.each(accents)('an accent of $share of the colour beside step $key: passes $passes', ({ key, share, passes }) => {
  const width = Math.round(widthFor(key, KEY_WIDTH, share))
  const picture = painted(anchor(key, KEY_WIDTH), anchor((key + 6) % 12, width), ...ENDS)
  expect(verdictOf('opposites', 'accent', picture)).toBe(passes)
})

const greyHex = (value: number): string => {
  // CIE 15: L* of a grey by its luminance.
  const y = value > 8 ? ((value + 16) / 116) ** 3 : value / 903.3
  const v = Math.round(255 * (y <= 0.0031308 ? 12.92 * y : 1.055 * y ** (1 / 2.4) - 0.055))
  return `#${v.toString(16).padStart(2, '0').repeat(3)}`
}
it.each([
  { from: 20, to: 68.5, passes: false },
  { from: 20, to: 71.5, passes: true },
  { from: 40, to: 88.6, passes: false },
  { from: 40, to: 91.5, passes: true }
])('values from $from to $to span enough: $passes', ({ from, to, passes }) => {
  expect(lightness(greyHex(to)) - lightness(greyHex(from)) >= 50).toBe(passes)
  const picture = painted([greyHex(from), 60], [greyHex(to), 60])
  expect(verdictOf('opposites', 'range', picture)).toBe(passes)
})

it.each([
  { apart: 28.5, passes: false },
  { apart: 31.5, passes: true }
])('two values $apart steps apart: $passes', ({ apart, passes }) => {
  expect(verdictOf('two-values', 'apart', painted(grey(30, 50), grey(30 + apart, 50)))).toBe(passes)
})

it.each([
  { bend: 1.15, passes: true },
  { bend: 1.25, passes: false }
])('a ladder of five bent by $bend is even: $passes', ({ bend, passes }) => {
  // Steps of t^bend: the widest is the last, the narrowest the first.
  const at = (i: number): number => (i / 4) ** bend
  expect((at(4) - at(3)) / (at(1) - at(0)) <= 1.5).toBe(passes)
  expect(verdictOf('ladder-5', 'even', ladder(5, bend))).toBe(passes)
})
