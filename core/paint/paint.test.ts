/**
 * Reflectances and mixtures against what is published: the chart of the CIE (15:2018, chromaticities of the spectrum,
 * from memory), D65's white point (IEC 61966-2-1), Kubelka's and Munk's relation as handbooks tabulate it, and what
 * every painter knows (common practice, no source).
 */
import { describe, expect, it } from 'vitest'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab, valueOfLinear } from '../colour/lab'
import { fitToGamut } from '../colour/gamut'
import { chromaOf, convertLinearToOklab, convertOklabToOklch, oklabOf } from '../colour/oklab'
import { LINEAR_OF_BYTE, linearOfHex, type Rgb } from '../colour/srgb'
import { seededRandom } from '../numeric/random'
import { PAINTER_ANCHORS } from '../wheel/painter'
import { absorptionOf, mixed, mixedColour, paintOf, reflectedOf, whitePaint, type Part } from './mixing'
import { offInWords } from './off'
import { recipesFor, WHITE_PAINT } from './recipes'
import { reflectanceOf } from './reflectance'
import { convertReflectanceToLinear, FIRST_NM, spectralPoint, STEP_NM, WAVELENGTHS, whitePoint } from './spectrum'

describe('the tables of observer and daylight', () => {
  it('have the white point of D65', () => {
    const [x, y] = whitePoint()
    expect(x).toBeCloseTo(0.3127, 3)
    expect(y).toBeCloseTo(0.329, 3)
  })
  it.each([
    [460, 0.144, 0.0297],
    [480, 0.0913, 0.1327],
    [500, 0.0082, 0.5384],
    [520, 0.0743, 0.8338],
    [560, 0.3731, 0.6245],
    [600, 0.627, 0.3725],
    [700, 0.7347, 0.2653]
  ])('and %d nm lies where the chart has it', (nm, x, y) => {
    const [ownX, ownY] = spectralPoint((nm - FIRST_NM) / STEP_NM)
    expect(ownX).toBeCloseTo(x, 3)
    expect(ownY).toBeCloseTo(y, 3)
  })
})

it('a reflectance of any colour of sRGB has that colour, and stays between nothing and all', () => {
  const random = seededRandom(2),
    corners = Array.from({ length: 8 }, (_, n) => [n & 1, (n >> 1) & 1, n >> 2].map(v => 255 * v))
  const bytes = [...corners, ...Array.from({ length: 9992 }, () => [0, 0, 0].map(() => Math.floor(256 * random())))]
  let worst = 0
  for (const of of bytes) {
    const linear = of.map(v => LINEAR_OF_BYTE[v]) as unknown as Rgb,
      reflectance = reflectanceOf(linear)
    expect(reflectance.every(v => v >= 0 && v <= 1)).toBe(true)
    const back = convertReflectanceToLinear(reflectance)
    worst = Math.max(worst, differenceOf(convertLinearToLab(linear), convertLinearToLab(back)))
  }
  expect(worst).toBeLessThan(0.5)
}, 120_000)

const white = whitePaint(linearOfHex('#f8f8f5'))
const paint = (masstone: string, tint: string | null = null) =>
  paintOf(linearOfHex(masstone), tint === null ? null : linearOfHex(tint), white)
const YELLOW = paint('#f1e34b', '#fbf6d0'),
  BLUE = paint('#1c2b85', '#b3bede'),
  RED = paint('#d4372c', '#f7c6bf')
const colourOf = (...parts: (readonly [Part['paint'], number])[]): Rgb =>
  mixedColour(parts.map(([of, amount]) => ({ paint: of, amount })))

describe('a mixture', () => {
  it.each([
    // Kubelka and Munk's function as handbooks tabulate it (D. B. Judd & G. Wyszecki, Color in Business, Science and
    // Industry, from memory).
    [0.1, 4.05],
    [0.2, 1.6],
    [0.25, 1.125],
    [0.5, 0.25],
    [0.8, 0.025]
  ])('absorbs of a layer that reflects %d so much over what it scatters', (reflected, absorption) => {
    expect(absorptionOf(reflected)).toBeCloseTo(absorption, 10)
    expect(reflectedOf(absorption)).toBeCloseTo(reflected, 10)
  })

  it('of a colour with itself is that colour, and of one part in ten of white its tint', () => {
    const off = (hex: string, of: Rgb): number =>
      differenceOf(convertLinearToLab(linearOfHex(hex)), convertLinearToLab(of))
    expect(off('#1c2b85', colourOf([BLUE, 1], [BLUE, 3]))).toBeLessThan(0.1)
    expect(off('#b3bede', colourOf([BLUE, 1], [white, 10]))).toBeLessThan(0.5)
    expect(off('#f7c6bf', colourOf([RED, 1], [white, 10]))).toBeLessThan(0.5)
  })

  it('gains no light: at each wavelength it reflects no more than its lightest part, no less than its darkest', () => {
    const random = seededRandom(5),
      all = [YELLOW, BLUE, RED, white]
    for (let run = 0; run < 100; run++) {
      const parts = all.map(of => ({ paint: of, amount: random() })),
        own = all.map(of => mixed([{ paint: of, amount: 1 }]))
      mixed(parts).forEach((v, i) => {
        expect(v).toBeLessThanOrEqual(Math.max(...own.map(o => o[i]!)) + 1e-9)
        expect(v).toBeGreaterThanOrEqual(Math.min(...own.map(o => o[i]!)) - 1e-9)
      })
    }
    expect(mixed([{ paint: BLUE, amount: 1 }])).toHaveLength(WAVELENGTHS)
  })

  it('of yellow and blue is green, of more white ever lighter', () => {
    const { h, c } = convertOklabToOklch(convertLinearToOklab(colourOf([YELLOW, 5], [BLUE, 1])))
    expect(h).toBeGreaterThan(120)
    expect(h).toBeLessThan(170)
    expect(c).toBeGreaterThan(0.08)
    const values = Array.from({ length: 20 }, (_, n) => valueOfLinear(colourOf([BLUE, 1], [white, n])))
    expect(values).toEqual([...values].sort((p, q) => p - q))
  })
})

/** At the proportion at which the two are nearest to grey. */
function greyest(pair: readonly [string, string]): number {
  const [p, q] = pair.map(hex => paint(hex))
  return Math.min(
    ...Array.from({ length: 121 }, (_, k) =>
      chromaOf(convertLinearToOklab(colourOf([p!, 10 ** ((k - 60) / 15)], [q!, 1])))
    )
  )
}

it('opposites of the painter’s wheel go grey in one another, but for the two that lie least opposite in hue', () => {
  const pairs = [0, 1, 2, 3, 4, 5].map(i => greyest([PAINTER_ANCHORS[i]!, PAINTER_ANCHORS[i + 6]!]))
  expect(pairs.filter(c => c < 0.041)).toHaveLength(4)
  expect(pairs.filter(c => c < 0.05)).toHaveLength(5)
  // Red-violet and yellow-green are 133° of OKLCH hue apart: no two paints so far from opposite can meet in grey.
  expect(pairs[5]).toBeLessThan(0.08)
})

describe('a recipe', () => {
  const random = seededRandom(11),
    box = Array.from({ length: 24 }, (_, i) => {
      const l = 0.35 + 0.4 * random(),
        c = i % 3 === 0 ? 0.06 : 0.16
      return paintOf(fitToGamut(oklabOf(l, c, 15 * i)), fitToGamut(oklabOf(0.78 + 0.2 * l, 0.35 * c, 15 * i)), white)
    })

  it('comes within ΔE00 2 of a hidden one of the same paints, in whole parts of three at most and white', () => {
    let met = 0
    const count = 30
    for (let n = 0; n < count; n++) {
      const chosen = new Set(Array.from({ length: 1 + (n % 3) }, () => Math.floor(24 * random())))
      const hidden = [...chosen].map(i => ({ paint: box[i]!, amount: 0.5 + 6 * random() })),
        wanted = mixedColour([...hidden, { paint: white, amount: 6 * random() }])
      const found = recipesFor(wanted, { paints: box, white })
      if (found[0]!.off <= 2) met++
      expect(found).toHaveLength(3)
      for (const { parts, colour, off } of found) {
        expect(parts.filter(p => p.paint !== WHITE_PAINT).length).toBeLessThanOrEqual(3)
        expect(parts.every(p => Number.isInteger(p.amount) && p.amount > 0)).toBe(true)
        // What it says that it makes, the mixing makes of it.
        const made = mixedColour(
          parts.map(p => ({ paint: p.paint === WHITE_PAINT ? white : box[p.paint]!, amount: p.amount }))
        )
        expect(differenceOf(convertLinearToLab(made), convertLinearToLab(colour))).toBeLessThan(0.01)
        expect(differenceOf(convertLinearToLab(made), convertLinearToLab(wanted))).toBeCloseTo(off, 1)
      }
      const kinds = found.map(f =>
        f.parts
          .map(p => p.paint)
          .sort()
          .join()
      )
      expect(new Set(kinds).size).toBe(kinds.length)
    }
    expect(met / count).toBeGreaterThanOrEqual(0.97)
  }, 60_000)

  it('says what is off in words', () => {
    const off = (wanted: string, made: string): string => offInWords(linearOfHex(wanted), linearOfHex(made))
    expect(off('#808080', '#808181')).toBe('as good as the same')
    expect(off('#808080', '#a8a8a8')).toBe('much too light')
    expect(off('#3d3d52', '#3d3d45')).toBe('too grey')
    expect(off('#5a7a9a', '#5a7a94')).toBe('a little too grey')
    expect(off('#b06a3a', '#b0793a')).toMatch(/^(a little )?too (warm|cool)$/)
    expect(off('#9a3030', '#963545')).toBe('too cool')
  })
})
