/**
 * What a person would call a colour: a word with its lightness ("dark olive", "pale yellow", "navy"). A naming table of
 * our own, in OKLCH; it is held to the categories of the ISCC–NBS method and to a survey of names (names.test.ts).
 */
import { hueOf } from '../numeric/angle'
import { convertLinearToLab } from './lab'
import { convertLinearToOklab, NEUTRAL_CHROMA, type Oklab } from './oklab'
import type { Rgb } from './srgb'

export const COLOUR_WORDS = [
  'black',
  'grey',
  'white',
  'pink',
  'red',
  'orange',
  'brown',
  'yellow',
  'olive',
  'yellow-green',
  'green',
  'turquoise',
  'blue',
  'navy',
  'violet',
  'purple'
] as const
export type ColourWord = (typeof COLOUR_WORDS)[number]

export interface ColourName {
  readonly word: ColourWord
  /** With its lightness, as it is said: "dark olive". */
  readonly said: string
}

/** A word that holds from this hue on (degrees of OKLCH), by how light (L*) and how strong (chroma) the colour is. */
interface HueRow {
  readonly from: number
  readonly word: (value: number, chroma: number) => ColourWord
}

const always = (word: ColourWord) => (): ColourWord => word

/** Going round once. Where a word gives way to another by lightness, it does so where the two surveys part them. */
const HUES: readonly HueRow[] = [
  { from: 0, word: (value, chroma) => (value > 57 || (value > 46 && chroma > 0.16) ? 'pink' : 'red') },
  {
    from: 12,
    word: (value, chroma) => (value > 58 && chroma < 0.16 ? 'pink' : value < 45 && chroma < 0.06 ? 'brown' : 'red')
  },
  { from: 28, word: (value, chroma) => (value > 60 && chroma < 0.15 ? 'pink' : chroma < 0.1 ? 'brown' : 'red') },
  {
    from: 34,
    word: (value, chroma) => (value > 72 ? 'pink' : chroma < 0.11 ? 'brown' : value > 50 ? 'orange' : 'red')
  },
  {
    from: 40,
    word: (value, chroma) => (value > 74 && chroma < 0.1 ? 'pink' : chroma > 0.115 && value > 47 ? 'orange' : 'brown')
  },
  { from: 58, word: (value, chroma) => (chroma > 0.1 && value > 55 ? 'orange' : value > 78 ? 'yellow' : 'brown') },
  { from: 76, word: (value, chroma) => (value > 68 ? 'yellow' : value > 62 && chroma > 0.11 ? 'yellow' : 'brown') },
  { from: 88, word: value => (value > 60 ? 'yellow' : 'brown') },
  { from: 96, word: value => (value > 60 ? 'yellow' : 'olive') },
  {
    from: 112,
    word: (value, chroma) =>
      value > 82 && chroma < 0.2 ? 'yellow' : value < 50 || chroma < 0.08 ? 'olive' : 'yellow-green'
  },
  {
    from: 124,
    word: (value, chroma) => (value < 36 && chroma < 0.07 ? 'olive' : value > 45 ? 'yellow-green' : 'green')
  },
  { from: 136, word: always('green') },
  { from: 173, word: always('turquoise') },
  { from: 218, word: value => (value < 20 ? 'navy' : 'blue') },
  { from: 284, word: always('violet') },
  { from: 308, word: always('purple') },
  { from: 338, word: (value, chroma) => (value > 58 || (value > 50 && chroma > 0.18) ? 'pink' : 'purple') },
  {
    from: 352,
    word: (value, chroma) =>
      value > 57 || (value > 48 && chroma > 0.17) ? 'pink' : chroma > 0.12 || value < 25 ? 'red' : 'purple'
  }
]

/** Under this a colour is called grey, black or white whatever its hue; light colours show a hue sooner. */
const greyBelow = (value: number): number => (value > 88 ? 0.012 : value > 80 ? 0.022 : NEUTRAL_CHROMA - 0.003)

/** L* under which a colour of this word is dark, and over which it is light; pale is light without strength. */
const LIGHTNESS: Readonly<Record<ColourWord, readonly [dark: number, light: number]>> = {
  black: [0, 100],
  grey: [38, 68],
  white: [0, 100],
  pink: [58, 82],
  red: [32, 62],
  orange: [52, 78],
  brown: [27, 52],
  yellow: [68, 93],
  olive: [30, 56],
  'yellow-green': [42, 80],
  green: [30, 68],
  turquoise: [32, 70],
  blue: [30, 65],
  navy: [0, 100],
  violet: [28, 60],
  purple: [28, 60]
}
const NEVER_PALE: readonly ColourWord[] = ['black', 'grey', 'white']
/** Light and weak: pale, from this L* on and under this chroma. */
const PALE = { value: 72, chroma: 0.085 } as const

function wordOf(value: number, chroma: number, hueDeg: number): ColourWord {
  if (chroma < greyBelow(value)) return value < 17 ? 'black' : value > 90 ? 'white' : 'grey'
  if (value < 4 && chroma < 0.05) return 'black'
  return HUES.findLast(row => hueDeg >= row.from)!.word(value, chroma)
}

/** @param value L*. @param oklab of the same colour. */
export function nameOf(value: number, [, a, b]: Oklab): ColourName {
  const chroma = Math.hypot(a, b),
    word = wordOf(value, chroma, hueOf(a, b)),
    [dark, light] = LIGHTNESS[word]
  const pale = value > PALE.value && chroma < PALE.chroma && NEVER_PALE.indexOf(word) < 0
  const lightness = value < dark ? 'dark' : pale ? 'pale' : value <= light ? '' : 'light'
  return { word, said: lightness ? `${lightness} ${word}` : word }
}

export const nameOfLinear = (linear: Rgb): ColourName =>
  nameOf(convertLinearToLab(linear)[0], convertLinearToOklab(linear))
