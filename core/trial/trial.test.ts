/** What a trial may change and what it must hold, over random colours; the blend against a plain composite. */
import { describe, expect, it } from 'vitest'
import { convertLinearToLab, convertValueToLuminance, luminanceOf, valueOfLinear } from '../colour/lab'
import { chromaOf, convertLinearToOklab, convertOklabToLinear } from '../colour/oklab'
import { convertLinearToByte, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { temperatureOf } from '../colour/temperature'
import { differenceOf } from '../colour/difference'
import { angleDistance, hueOf } from '../numeric/angle'
import { seededRandom } from '../numeric/random'
import { measureLight } from '../measure/light'
import { isMeasured } from '../measure/report'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import type { Area } from '../picture/area'
import { fill } from '../testing/paint'
import { painterPositionOfHue } from '../wheel/painter'
import { applyTrial } from './apply'
import { reachOf, weightsOf } from './reach'
import { colourHolding } from '../colour/hold'
import { describeTrial } from './words'
import type { Trial, TrialOperation } from './trial'

const trialOf = (...operations: TrialOperation[]): Trial => ({ outside: false, feather: 0, strength: 1, operations })
const hueOfLinear = (linear: Rgb): number => {
  const lab = convertLinearToOklab(linear)
  return hueOf(lab[1], lab[2])
}

/** The exact colour a trial makes, before it is rounded to bytes. */
function changed(rgb: Rgb, change: (value: number, a: number, b: number) => [number, number, number]): Rgb {
  const lab = convertLinearToOklab(rgb),
    out = [0, 0, 0]
  colourHolding(...change(valueOfLinear(rgb), lab[1], lab[2]), out)
  return out as unknown as Rgb
}

describe('what a trial holds', () => {
  it('value within 0.5 L* and hue within 2°, whatever is asked of the others, on 20,000 random colours', () => {
    const random = seededRandom(71)
    for (let k = 0; k < 20_000; k++) {
      const rgb = [random(), random(), random()] as const,
        value = valueOfLinear(rgb),
        hue = hueOfLinear(rgb),
        chroma = chromaOf(convertLinearToOklab(rgb))
      const by = 80 * random() - 40,
        times = 3 * random()
      const lifted = changed(rgb, (v, a, b) => [v + by, a, b]),
        wanted = Math.min(100, Math.max(0, value + by))
      expect(Math.abs(valueOfLinear(lifted) - wanted), `seed 71, colour ${k}`).toBeLessThan(0.5)
      // Under one step of value there is only black.
      if (wanted > 1 && chromaOf(convertLinearToOklab(lifted)) > 0.004 && chroma > 0.02)
        expect(angleDistance(hueOfLinear(lifted), hue), `lift ${by} of ${rgb.join()}`).toBeLessThan(2)
      const muted = changed(rgb, (v, a, b) => [v, a * times, b * times])
      expect(Math.abs(valueOfLinear(muted) - value)).toBeLessThan(0.5)
      if (chromaOf(convertLinearToOklab(muted)) > 0.004 && chroma > 0.02)
        expect(angleDistance(hueOfLinear(muted), hue)).toBeLessThan(2)
      expect(chromaOf(convertLinearToOklab(muted))).toBeLessThan(chroma * times + 1e-3)
    }
  })

  it('loses no more chroma than the gamut takes: within half a hundredth of the most that a fine search finds', () => {
    const random = seededRandom(72),
      out = [0, 0, 0]
    for (let k = 0; k < 400; k++) {
      const value = 5 + 90 * random(),
        hue = 2 * Math.PI * random(),
        a = 0.4 * Math.cos(hue),
        b = 0.4 * Math.sin(hue),
        Y = convertValueToLuminance(value)
      colourHolding(value, a, b, out)
      const got = chromaOf(convertLinearToOklab(out as unknown as Rgb))
      // For each chroma the lightness that keeps the luminance, by bisection: it grows with lightness.
      let most = 0
      for (let step = 1; step <= 400; step++) {
        let low = 0,
          high = 1.2
        for (let round = 0; round < 40; round++) {
          const mid = (low + high) / 2
          if (luminanceOf(convertOklabToLinear([mid, (a * step) / 400, (b * step) / 400])) < Y) low = mid
          else high = mid
        }
        if (convertOklabToLinear([low, (a * step) / 400, (b * step) / 400]).every(c => c >= -1e-6 && c <= 1 + 1e-6))
          most = (0.4 * step) / 400
        else break
      }
      expect(Math.abs(got - most), `seed 72, colour ${k}: value ${value}, hue ${hue}`).toBeLessThan(0.002)
    }
  })

  it('and does what is asked: temperature by steps where the gamut has room, hue to its place, range by mean', () => {
    const one = (hex: string, ...operations: TrialOperation[]): Rgb => {
      const raster = fill(createRaster(8, 8), hex),
        { data } = applyTrial({ trial: trialOf(...operations), area: null, raster })
      return [0, 1, 2].map(c => LINEAR_OF_BYTE[data[c]!]!) as unknown as Rgb
    }
    const warm = (c: Rgb): number => temperatureOf(convertLinearToOklab(c))
    expect(warm(one('#808890', { kind: 'temperature', by: 30 })) - warm(one('#808890'))).toBeCloseTo(30, 0)
    const turned = one('#4a7a9a', { kind: 'hue', wheel: 'painter', position: 120, share: 1 })
    expect(Math.abs(painterPositionOfHue(hueOfLinear(turned)) - 120)).toBeLessThan(3)
    expect(Math.abs(valueOfLinear(turned) - valueOfLinear(one('#4a7a9a')))).toBeLessThan(0.5)
    const two = fill(fill(createRaster(20, 10), '#5e5e5e'), '#919191', 10, 0, 10, 10),
      spread = planesOf(applyTrial({ trial: trialOf({ kind: 'range', times: 2 }), area: null, raster: two }))
    // L* 40 and 60 about their mean of 50: twice as far apart is 30 and 70.
    expect([spread.value[0]!, spread.value[15]!].map(Math.round)).toEqual([30, 70])
    const black = one('#0a0a0a', { kind: 'black', hex: '#24100c' })
    expect(Math.abs(valueOfLinear(black) - valueOfLinear(one('#0a0a0a')))).toBeLessThan(0.6)
    expect(convertLinearToOklab(black)[1]).toBeGreaterThan(0.005)
  })
})

describe('what a trial leaves alone', () => {
  const noise = (): Raster => {
    const random = seededRandom(9),
      raster = createRaster(60, 40)
    for (let i = 0; i < raster.data.length; i++) raster.data[i] = i % 4 === 3 ? 255 : Math.floor(256 * random())
    return raster
  }
  const box: Area = { kind: 'rectangle', x: 0.25, y: 0.25, w: 0.5, h: 0.5 }

  it('everything outside the area, the original itself, and with "outside" the area', () => {
    const raster = noise(),
      before = raster.data.slice(),
      lift: Trial = trialOf({ kind: 'value', by: 20 })
    const inside = applyTrial({ trial: lift, area: box, raster }),
      around = applyTrial({ trial: { ...lift, outside: true }, area: box, raster })
    expect(raster.data).toEqual(before)
    for (let i = 0; i < 60 * 40; i++) {
      const within = i % 60 >= 15 && i % 60 < 45 && i >= 600 && i < 1800
      const same = (other: Raster): boolean => [0, 1, 2, 3].every(c => other.data[4 * i + c] === before[4 * i + c])
      expect(same(within ? around : inside), `pixel ${i}`).toBe(true)
    }
  })

  it('and a feathered edge is the plain composite in linear light: no halo', () => {
    const raster = fill(createRaster(120, 80), '#6b7f93'),
      soft: Trial = { outside: false, feather: 0.06, strength: 0.8, operations: [{ kind: 'value', by: 25 }] }
    const whole = applyTrial({ trial: { ...soft, feather: 0, strength: 1 }, area: null, raster }),
      blended = applyTrial({ trial: soft, area: box, raster }),
      weights = weightsOf(soft, box, raster),
      reach = reachOf(soft, { area: box, size: raster })
    const weightAt = (x: number, y: number): number =>
      x < reach.x0 ? 0 : weights[(y - reach.y0) * (reach.x1 - reach.x0) + x - reach.x0]!
    let last = -1
    for (let x = 0; x < 60; x++) {
      // walking in from the left edge the value never falls and never overshoots
      const i = 40 * 120 + x,
        p = 4 * i,
        w = weightAt(x, 40)
      for (let c = 0; c < 3; c++) {
        const plain = convertLinearToByte(
          (1 - w) * LINEAR_OF_BYTE[raster.data[p + c]!]! + w * LINEAR_OF_BYTE[whole.data[p + c]!]!
        )
        expect(Math.abs(blended.data[p + c]! - plain), `column ${x}`).toBeLessThanOrEqual(1)
      }
      expect(blended.data[p]!).toBeGreaterThanOrEqual(last)
      last = blended.data[p]!
    }
    expect(Math.max(...weights)).toBeLessThanOrEqual(0.8 + 1e-6)
  })
})

it('shows under a moving slider what it will keep: the quick table is within a few bytes of exact', () => {
  const random = seededRandom(12),
    raster = createRaster(90, 60)
  for (let i = 0; i < raster.data.length; i++) raster.data[i] = i % 4 === 3 ? 255 : 40 + Math.floor(170 * random())
  const trial = trialOf({ kind: 'value', by: 9 }, { kind: 'chroma', times: 0.6 }, { kind: 'temperature', by: 12 })
  const exact = applyTrial({ trial, area: null, raster }),
    quick = applyTrial({ trial, area: null, raster, quick: true })
  const off = [...exact.data].map((byte, i) => Math.abs(byte - quick.data[i]!)).sort((p, q) => p - q)
  expect([off[off.length >> 1]!, off[Math.floor(0.99 * off.length)]!].map((n, i) => n <= [1, 4][i]!)).toEqual([
    true,
    true
  ])
})

it('remembers colours without mixing them up: a pixel of a noisy picture changes as it does alone', () => {
  const random = seededRandom(31),
    raster = createRaster(700, 500),
    trial = trialOf({ kind: 'value', by: -14 }, { kind: 'temperature', by: 25 })
  for (let i = 0; i < raster.data.length; i++) raster.data[i] = i % 4 === 3 ? 255 : Math.floor(256 * random())
  const all = applyTrial({ trial, area: null, raster })
  for (let k = 0; k < 300; k++) {
    const p = 4 * Math.floor(350_000 * random()),
      one = createRaster(1, 1)
    one.data.set(raster.data.subarray(p, p + 4))
    expect([...applyTrial({ trial, area: null, raster: one }).data], `seed 31, pixel ${p / 4}`).toEqual([
      ...all.data.subarray(p, p + 4)
    ])
  }
})

describe('a stroke painted over the picture', () => {
  const paper = (width: number, height: number): Raster => fill(createRaster(width, height), '#808080')
  const painted = (width: number, height: number, points: [number, number, number][]): Raster =>
    applyTrial({
      trial: { ...trialOf(), strokes: [{ hex: '#c04020', width: 0.06, points }] },
      area: null,
      raster: paper(width, height)
    })
  const shareOf = ({ data }: Raster): number =>
    data.reduce((n, byte, i) => n + (i % 4 === 0 && byte > 0xa4 ? 1 : 0), 0) / (data.length / 4)

  it('is as wide as asked, has no hole where it crosses itself, and leaves the rest alone', () => {
    const line = painted(200, 200, [
        [0.2, 0.5, 0.5],
        [0.5, 0.5, 0.5],
        [0.8, 0.5, 0.5]
      ]),
      down = Array.from({ length: 200 }, (_, y) => line.data[4 * (200 * y + 100)]!)
    // 0.06 of a diagonal of 283 pixels is 17.
    expect(Math.abs(down.filter(byte => byte === 0xc0).length - 17)).toBeLessThanOrEqual(2)
    expect([line.data[4 * (200 * 20 + 100)], line.data[4 * (200 * 100 + 10)]]).toEqual([0x80, 0x80])
    const cross = painted(200, 200, [
      [0.2, 0.2, 0.5],
      [0.8, 0.8, 0.5],
      [0.8, 0.2, 0.5],
      [0.2, 0.8, 0.5]
    ])
    expect(cross.data[4 * (200 * 100 + 100)]).toBe(0xc0)
  })

  it('and has one shape at every size; the hand that presses more paints more', () => {
    const wave = Array.from({ length: 30 }, (_, i): [number, number, number] => [
      0.1 + i * 0.027,
      0.5 + 0.3 * Math.sin(i / 4),
      0.5
    ])
    expect(shareOf(painted(800, 500, wave)) / shareOf(painted(200, 125, wave))).toBeCloseTo(1, 1)
    expect(
      shareOf(
        painted(
          400,
          250,
          wave.map(([x, y]) => [x, y, 0.95])
        )
      )
    ).toBeGreaterThan(1.2 * shareOf(painted(400, 250, wave)))
  })
})

it('takes a shadow to the expected one within ΔE00 1, so that the material no longer leaves the light', () => {
  const pairs = ['#c8784a', '#5a966e', '#d2c8b4', '#786ebe'],
    raster = createRaster(160, 80)
  const linear = (hex: string): Rgb =>
    [1, 3, 5].map(i => LINEAR_OF_BYTE[Number.parseInt(hex.slice(i, i + 2), 16)]!) as unknown as Rgb
  pairs.forEach((hex, i) => {
    const ratio = i === 3 ? [0.7, 0.2, 0.2] : [0.3, 0.35, 0.45]
    fill(raster, hex, 40 * i, 0, 40, 40)
    for (let y = 40; y < 80; y++)
      for (let x = 40 * i; x < 40 * i + 40; x++)
        raster.data.set([...linear(hex).map((c, k) => convertLinearToByte(c * ratio[k]!)), 255], 4 * (y * 160 + x))
  })
  const areas = pairs.map(
    (_, i) =>
      ({
        name: `m${i}`,
        lit: { kind: 'rectangle', x: 0.25 * i + 0.05, y: 0.1, w: 0.15, h: 0.3 },
        shadow: { kind: 'rectangle', x: 0.25 * i + 0.05, y: 0.6, w: 0.15, h: 0.3 }
      }) as const
  )
  const section = measureLight(areas, planesOf(raster), raster)
  if (!isMeasured(section)) throw new Error('not measured')
  const odd = section.materials[3]!
  if (!isMeasured(odd)) throw new Error('not measured')
  expect(odd.leaves).toBe(true)
  const ratio = [0, 1, 2].map(c => linear(odd.expected)[c]! / linear(odd.shadow)[c]!) as unknown as [
    number,
    number,
    number
  ]
  const after = applyTrial({
      trial: trialOf({ kind: 'light', ratio }),
      area: { kind: 'rectangle', x: 0.75, y: 0.5, w: 0.25, h: 0.5 },
      raster
    }),
    again = measureLight(areas, planesOf(after), after)
  if (!isMeasured(again)) throw new Error('not measured')
  expect(again.materials[3]).toMatchObject({ leaves: false })
  const p = 4 * (60 * 160 + 140),
    got = [0, 1, 2].map(c => LINEAR_OF_BYTE[after.data[p + c]!]!) as unknown as Rgb
  expect(differenceOf(convertLinearToLab(got), convertLinearToLab(linear(odd.expected)))).toBeLessThan(1)
})

it('says what a trial shows, as its learner reads it', () => {
  const stroke = { hex: '#c04020', width: 0.01, points: [[0.1, 0.1, 0.5]] } as const
  expect(describeTrial(trialOf({ kind: 'value', by: -8 }, { kind: 'chroma', times: 0.4 }))).toBe(
    '8 steps darker and muted to 40\u00a0%'
  )
  expect(describeTrial({ ...trialOf({ kind: 'temperature', by: 12 }), outside: true, strokes: [stroke, stroke] })).toBe(
    'everything but the area 12 warmer and painted over in two strokes'
  )
  expect(describeTrial({ ...trialOf(), strokes: [stroke] })).toBe('painted over in one stroke')
})
