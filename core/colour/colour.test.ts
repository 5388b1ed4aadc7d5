import Color from 'colorjs.io'
import { converter } from 'culori'
import { munsellToRgb255 } from 'munsell'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import {
  convertLinearToLab,
  convertLinearToXyz,
  convertLuminanceToValue,
  convertValueToLuminance,
  luminanceOf
} from './lab'
import { convertMunsellToPercent, convertPercentToMunsell } from './munsell'
import { convertLinearToOklab, convertOklabToLinear } from './oklab'
import { fitToGamut, inGamut } from './gamut'
import {
  BYTE_OF_LINEAR,
  convertLinearToByte,
  convertSrgbToLinear,
  formatHex,
  LINEAR_OF_BYTE,
  parseHex,
  type Rgb
} from './srgb'

const toLinear = (rgb: readonly number[]): Rgb => rgb.map(convertSrgbToLinear) as unknown as Rgb

describe('conversions against culori and colorjs.io', () => {
  const culoriLab = converter('lab65'),
    culoriOklab = converter('oklab')
  it('agree on 10,000 random colours to 1e-4', () => {
    const random = seededRandom(20261124)
    for (let i = 0; i < 10_000; i++) {
      const rgb = [random(), random(), random()]
      const linear = toLinear(rgb)
      const lab = convertLinearToLab(linear),
        oklab = convertLinearToOklab(linear)
      const [r, g, b] = rgb
      const theirs = culoriLab({ mode: 'rgb', r, g, b }),
        theirOk = culoriOklab({ mode: 'rgb', r, g, b })
      const other = new Color('srgb', [r, g, b])
      const worst = Math.max(
        Math.abs(lab[0] - theirs.l),
        Math.abs(lab[1] - theirs.a),
        Math.abs(lab[2] - theirs.b),
        Math.abs(oklab[0] - theirOk.l),
        Math.abs(oklab[1] - theirOk.a),
        Math.abs(oklab[2] - theirOk.b),
        ...other.to('lab-d65').coords.map((c, k) => Math.abs(c! - lab[k])),
        ...other.to('oklab').coords.map((c, k) => Math.abs(c! - oklab[k]))
      )
      expect(worst, `colour ${i}: ${rgb.join(' ')}`).toBeLessThan(1e-4)
    }
  })

  it("have a byte for every 65,536th of linear light that is the formula's own", () => {
    expect(BYTE_OF_LINEAR).toEqual(Uint8Array.from({ length: 65537 }, (_, i) => convertLinearToByte(i / 65536)))
  })

  it("give white L* 100 and Y 1, and #777777 the wall's L* 50", () => {
    expect(convertLinearToXyz([1, 1, 1])[1]).toBeCloseTo(1, 10)
    expect(convertLuminanceToValue(luminanceOf(toLinear([119 / 255, 119 / 255, 119 / 255])))).toBeCloseTo(50, 0)
    for (const value of [0, 4, 7.99, 8.01, 50, 100])
      expect(convertLuminanceToValue(convertValueToLuminance(value))).toBeCloseTo(value, 10)
  })
})

describe('OKLab', () => {
  // Ottosson 2020, "Table of example XYZ and Oklab pairs"; XYZ given there, here through linear sRGB.
  it.each([
    [
      [0.95, 1.0, 1.089],
      [1.0, 0.0, 0.0]
    ],
    [
      [1.0, 0.0, 0.0],
      [0.45, 1.236, -0.019]
    ],
    [
      [0.0, 1.0, 0.0],
      [0.922, -0.671, 0.263]
    ],
    [
      [0.0, 0.0, 1.0],
      [0.153, -1.415, -0.449]
    ]
  ])('maps XYZ %j to %j, as published', ([X, Y, Z], expected) => {
    const linear: Rgb = [
      3.2409699419045226 * X - 1.537383177570094 * Y - 0.4986107602930034 * Z,
      -0.9692436362808796 * X + 1.8759675015077202 * Y + 0.04155505740717559 * Z,
      0.05563007969699366 * X - 0.20397695888897652 * Y + 1.0569715142428786 * Z
    ]
    convertLinearToOklab(linear).forEach((c, k) => expect(c).toBeCloseTo(expected[k], 2))
  })

  it('inverts, and keeps greys exactly grey', () => {
    const random = seededRandom(5)
    for (let i = 0; i < 500; i++) {
      const linear: Rgb = [random(), random(), random()]
      convertOklabToLinear(convertLinearToOklab(linear)).forEach((c, k) => expect(c).toBeCloseTo(linear[k], 6))
    }
    for (const grey of LINEAR_OF_BYTE) expect(convertLinearToOklab([grey, grey, grey]).slice(1)).toEqual([0, 0])
  })

  it('fits to the gamut at constant hue and lightness', () => {
    const random = seededRandom(11)
    for (let i = 0; i < 300; i++) {
      const h = random() * 2 * Math.PI,
        L = 0.2 + 0.7 * random()
      const fitted = fitToGamut([L, 0.4 * Math.cos(h), 0.4 * Math.sin(h)])
      expect(inGamut(fitted)).toBe(true)
      const [l, a, b] = convertLinearToOklab(fitted)
      expect(Math.abs(l - L)).toBeLessThan(2e-3)
      expect(Math.abs(Math.sin(Math.atan2(b, a) - h))).toBeLessThan(0.02)
    }
  })
})

describe('Munsell value', () => {
  // ASTM D1535-14, table of luminance factor by value: V 1, 5 and 9 (from memory).
  it.each([
    [1, 1.18],
    [5, 19.27],
    [9, 76.7]
  ])('V %d has Y near %d %%', (V, Y) => {
    expect(convertMunsellToPercent(V)).toBeCloseTo(Y, 1)
    expect(convertPercentToMunsell(convertMunsellToPercent(V))).toBeCloseTo(V, 9)
  })

  // The munsell package places neutrals N1 … N9 by its own renotation data, rounded to bytes.
  it('agrees with the munsell package on its neutrals to a tenth of a value step', () => {
    for (let V = 1; V <= 9; V++) {
      const rgb = munsellToRgb255(`N${V}`)
      expect(Math.abs(convertPercentToMunsell(100 * luminanceOf(toLinear(rgb.map(c => c / 255)))) - V)).toBeLessThan(
        0.1
      )
    }
  })
})

describe('hex', () => {
  it('reads and writes, and names what is no colour', () => {
    expect(formatHex(parseHex('2A71b0'))).toBe('#2a71b0')
    expect(parseHex('#fc0')).toEqual([255, 204, 0])
    expect(() => parseHex('teal')).toThrow(/"teal" is not a colour/)
  })
})
