/**
 * The naming table against two published ones; what they say is another word for the same colour counts as the same.
 */
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { COLOUR_WORDS, nameOf, nameOfLinear, type ColourWord } from './names'
import { linearOfHex } from './srgb'

interface Named {
  readonly name: string
  readonly hex: string
}
const require = createRequire(import.meta.url)
const listed = (file: string): readonly Named[] =>
  require(`color-name-lists/lib/colors/${file}.json`) as readonly Named[]

/** Words of a compound that are ours; between two hues either is right. */
const OURS: readonly (readonly [RegExp, readonly ColourWord[]])[] = [
  [/olive.*green|green.*olive/, ['olive', 'green']],
  [/olive.*brown/, ['olive', 'brown']],
  [/yellow(ish)?[ -]green|green(ish)?[ -]yellow|lime/, ['yellow-green', 'green', 'yellow', 'olive']],
  [/blu(e|ish)[ -]green|green(ish)?[ -]blue|teal|turquoise/, ['turquoise', 'green', 'blue']],
  [/purpl(e|ish)[ -]blue|blu(e|ish)[ -]purple/, ['violet', 'blue', 'navy', 'purple']],
  [/redd?(ish)?[ -]orange|orang(e|ish)[ -]red/, ['orange', 'red']],
  [/redd?(ish)?[ -]brown|brown(ish)?[ -]red/, ['brown', 'red']],
  [/orange[ -]yellow|yellow(ish)?[ -]orange/, ['yellow', 'orange']],
  [/purpl(e|ish)[ -](red|pink)|redd?(ish)?[ -]purple|pink(ish)?[ -]purple/, ['purple', 'red', 'pink']],
  [/violet|purple|lavender/, ['purple', 'violet']],
  [/navy/, ['navy', 'blue']],
  [/blue$/, ['blue', 'navy']],
  [/gr[ae]y$/, ['grey']]
]

function wanted(name: string): readonly ColourWord[] | null {
  const plain = name.toLowerCase().replace(/,.*| see .*/, '')
  const compound = OURS.find(([pattern]) => pattern.test(plain))
  if (compound) return compound[1]
  const word = COLOUR_WORDS.find(w => plain.endsWith(w))
  return word ? [word] : null
}

function agreement(file: string, most = Infinity): { share: number; of: number } {
  const known = listed(file).flatMap(({ name, hex }) => {
    const words = name.split(/[ /]/).length <= most ? wanted(name) : null
    return words ? [{ words, hex }] : []
  })
  const same = known.filter(({ words, hex }) => words.includes(nameOfLinear(linearOfHex(hex)).word))
  return { share: same.length / known.length, of: known.length }
}

describe('colour names', () => {
  it('agree with the 267 categories of ISCC–NBS (K. Kelly and D. Judd, NBS SP 440, 1976) in 88 of 100', () => {
    const { share, of } = agreement('nbs-iscc')
    expect(of).toBeGreaterThan(250)
    expect(share).toBeGreaterThan(0.88)
  })

  it('agree with basic terms of a survey of 200,000 people (R. Munroe, Color Survey, 2010) in 80 of 100', () => {
    const { share, of } = agreement('xkcd', 2)
    expect(of).toBeGreaterThan(450)
    expect(share).toBeGreaterThan(0.8)
  })

  it('say how light a colour is against what its word leads one to expect', () => {
    const said = (hex: string): string => nameOfLinear(linearOfHex(hex)).said
    expect(said('#3a3a1a')).toBe('dark olive')
    expect(said('#efe3b0')).toBe('pale yellow')
    expect(said('#101a3a')).toBe('navy')
    expect(said('#7a4a28')).toBe('brown')
    expect(said('#f4a6b8')).toBe('pink')
    expect([said('#000000'), said('#808080'), said('#ffffff')]).toEqual(['black', 'grey', 'white'])
  })

  it('have a word for every colour there is', () => {
    for (let value = 0; value <= 100; value += 10) {
      for (let hue = 0; hue < 360; hue += 7) {
        for (const chroma of [0, 0.03, 0.1, 0.25]) {
          const at = (hue * Math.PI) / 180
          expect(COLOUR_WORDS).toContain(nameOf(value, [0, chroma * Math.cos(at), chroma * Math.sin(at)]).word)
        }
      }
    }
  })
})
