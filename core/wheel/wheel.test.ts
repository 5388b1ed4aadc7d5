import { converter } from 'culori'
import { describe, expect, it } from 'vitest'
import { angleDistance, wrapDegrees } from '../numeric/angle'
import { seededRandom } from '../numeric/random'
import { chromaOf, convertLinearToOklab, NEUTRAL_CHROMA } from '../colour/oklab'
import { fitToGamut } from '../colour/gamut'
import { convertSrgbToLinear, hexOfLinear, linearOfHex, type Rgb } from '../colour/srgb'
import { describeColour, kindOn } from './describe'
import { PAINTER_ANCHORS, painterHueOfPosition, painterPositionOfHue } from './painter'
import { PAINTER_STEPS, parentsOf, rankOf, WHEEL_NAMES } from './steps'
import { schemePositions } from './schemes'
import { anchorAt, colourAt, complementOn, positionOn, stepAt } from './wheel'

describe('the painter wheel', () => {
  it('puts the twelve anchor pigments on the twelve steps', () => {
    PAINTER_ANCHORS.forEach((hex, i) => {
      expect(describeColour(hex, 'painter')).toMatchObject({ position: 30 * i, step: PAINTER_STEPS[i], kind: 'hue' })
    })
  })

  it("is piecewise linear in culori's OKLCH hue between the anchors", () => {
    const oklch = converter('oklch')
    const hues = PAINTER_ANCHORS.map(hex => oklch(hex)!.h!)
    for (let i = 0; i < 12; i++) {
      const from = hues[i],
        fall = wrapDegrees(from - hues[(i + 1) % 12])
      for (const t of [0.25, 0.5, 0.9]) expect(painterPositionOfHue(from - t * fall)).toBeCloseTo(30 * (i + t), 3)
    }
  })

  it('inverts everywhere, and only falls in hue as position rises', () => {
    let last = painterHueOfPosition(0)
    for (let p = 0.5; p < 360; p += 0.5) {
      const hue = painterHueOfPosition(p)
      expect(painterPositionOfHue(hue)).toBeCloseTo(p, 9)
      expect(wrapDegrees(last - hue)).toBeLessThan(10)
      last = hue
    }
  })

  // Common practice, no source: the painter's mixing wheel.
  it('mixes green of yellow and blue, red-orange of red and orange', () => {
    expect(parentsOf('green')).toEqual(['blue', 'yellow'])
    expect(parentsOf('red-orange')).toEqual(['orange', 'red'])
    expect(parentsOf('red')).toBeNull()
    expect(PAINTER_STEPS.map(rankOf).filter(r => r === 'tertiary')).toHaveLength(6)
  })
})

describe('complements (common practice, no source)', () => {
  it.each([
    ['painter', 'red', 'green'],
    ['painter', 'yellow', 'violet'],
    ['painter', 'blue', 'orange'],
    ['painter', 'yellow-green', 'red-violet'],
    ['process', 'red', 'cyan'],
    ['process', 'yellow', 'blue'],
    ['process', 'green', 'magenta']
  ] as const)('on the %s wheel %s faces %s', (wheel, from, to) => {
    for (let p = 0; p < 360; p += 30) {
      if (stepAt(wheel, p) === from) expect(stepAt(wheel, p + 180)).toBe(to)
    }
  })

  it('of red is blue-green on the perceptual wheel', () => {
    const opposite = complementOn('perceptual', linearOfHex('#e32322'))!
    expect(stepAt('perceptual', positionOn('perceptual', opposite)!)).toBe('blue-green')
  })

  it('keep lightness, face each other, and lose chroma only to the gamut', () => {
    const random = seededRandom(3)
    for (const wheel of WHEEL_NAMES) {
      for (let i = 0; i < 200; i++) {
        const linear = [random(), random(), random()].map(convertSrgbToLinear) as unknown as Rgb
        const lab = convertLinearToOklab(linear)
        if (chromaOf(lab) < 0.06) continue
        const opposite = complementOn(wheel, linear)!,
          oppositeLab = convertLinearToOklab(opposite)
        expect(Math.abs(oppositeLab[0] - lab[0])).toBeLessThan(0.003)
        expect(chromaOf(oppositeLab)).toBeLessThan(chromaOf(lab) + 0.002)
        if (chromaOf(oppositeLab) > NEUTRAL_CHROMA) {
          expect(angleDistance(positionOn(wheel, opposite)!, positionOn(wheel, linear)! + 180)).toBeLessThan(2)
        }
      }
    }
  })
})

describe('scheme colours', () => {
  // Common practice, no source: red splits its complement green into yellow-green and blue-green.
  it("split red's opposite into blue-green and yellow-green", () => {
    expect(schemePositions('split-complementary', 120).map(p => stepAt('painter', p))).toEqual([
      'red',
      'blue-green',
      'yellow-green'
    ])
  })

  it('give twelve different split-complementary schemes on twelve steps', () => {
    const names = PAINTER_STEPS.map((_, i) =>
      schemePositions('split-complementary', 30 * i)
        .map(p => stepAt('painter', p))
        .sort()
        .join()
    )
    expect(new Set(names).size).toBe(12)
  })

  it('come back from any position at the position asked for', () => {
    for (const wheel of WHEEL_NAMES) {
      for (let p = 0; p < 360; p += 7) {
        const lab = convertLinearToOklab(colourAt(wheel, { positionDeg: p, lightness: 0.62, chroma: 0.09 }))
        expect(
          angleDistance(positionOn(wheel, colourAt(wheel, { positionDeg: p, lightness: 0.62, chroma: 0.09 }))!, p)
        ).toBeLessThan(1)
        expect(lab[0]).toBeCloseTo(0.62, 2)
      }
    }
  })
})

describe('kinds', () => {
  it('name half mixtures with white, black and mid grey, in linear light, at every position of every wheel', () => {
    const grey = convertSrgbToLinear(0x77 / 255)
    for (const wheel of WHEEL_NAMES) {
      for (let p = 0; p < 360; p += 3) {
        const anchor = fitToGamut(anchorAt(wheel, p))
        for (const [expected, other] of [
          ['tint', 1],
          ['shade', 0],
          ['tone', grey]
        ] as const) {
          const mixed = anchor.map(c => (c + other) / 2) as unknown as Rgb
          const neutral = chromaOf(convertLinearToOklab(mixed)) < NEUTRAL_CHROMA
          expect(kindOn(wheel, mixed), `${wheel} ${p} ${hexOfLinear(mixed)}`).toBe(neutral ? 'neutral' : expected)
        }
        expect(kindOn(wheel, anchor)).toBe('hue')
      }
    }
  })
})
