import { expect, it } from 'vitest'
import { valueOfLinear } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import { fill, stripes } from '../testing/paint'
import { renderLens, type LensRequest } from './lens'

const seen = (raster: Raster, request: LensRequest): Uint8ClampedArray => {
  const out = new Uint8ClampedArray(raster.data.length)
  renderLens(request, { raster, planes: planesOf(raster), out })
  return out
}
const at = (data: Uint8ClampedArray, index: number): number[] => [...data.subarray(index * 4, index * 4 + 4)]

it('shows each grey as its formula gives it: red #e32322 in L*, luma (BT.601), HSL and HSV', () => {
  const red = fill(createRaster(2, 2), '#e32322')
  const value = at(seen(red, { name: 'grey' }), 0)[0]
  // The grey of L* 49.07 (CIE 15): byte 117.
  expect(Math.abs(valueOfLinear(linearOfHex('#' + value.toString(16).repeat(3))) - 49.07)).toBeLessThan(0.3)
  expect((['luma', 'hsl', 'hsv'] as const).map(grey => at(seen(red, { name: 'grey', grey }), 0)[0])).toEqual([
    Math.round(0.299 * 227 + 0.587 * 35 + 0.114 * 34),
    Math.round((227 + 34) / 2),
    227
  ])
})

it('keeps alpha, mirrors, and splits by Otsu', () => {
  const raster = fill(stripes(['#202020', '#d0d0d0'], 4, 2), '#00ff00', 0, 0, 1, 1, 0)
  for (const name of ['grey', 'squint', 'temperature', 'edges', 'attention'] as const)
    expect(at(seen(raster, { name }), 0)[3], name).toBe(0)
  expect(at(seen(raster, { name: 'mirrored' }), 0)).toEqual([208, 208, 208, 255])
  expect([1, 6].map(i => at(seen(raster, { name: 'two-values' }), i)[0])).toEqual([26, 236])
})

it('leaves evidence in its own colour and sinks the rest to near the wall', () => {
  const raster = stripes(['#000000', '#e32322', '#f0f0f0'], 4, 2)
  const black = seen(raster, { name: 'near-black' })
  expect(at(black, 0)).toEqual([0, 0, 0, 255])
  const [r, g, b] = at(black, 5)
  expect([r, g]).toEqual([b, b])
  const off = seen(raster, { name: 'off-scheme', wheel: 'painter', scheme: 'monochrome', rotation: 300 })
  expect(at(off, 5).slice(0, 3)).toEqual([227, 35, 34])
})

it('keeps what is vivid in its own colour, and shows strength as light whatever the value', () => {
  const raster = stripes(['#e32322', '#7a6a5a', '#f0f0f0', '#202020'], 4, 2),
    [vivid, strength] = (['vivid', 'strength'] as const).map(name => seen(raster, { name }))
  expect(at(vivid!, 0).slice(0, 3)).toEqual([227, 35, 34])
  const [r, g, b] = at(vivid!, 5)
  expect([r, g]).toEqual([b, b])
  const [red, brown, white, black] = [0, 5, 9, 13].map(i => at(strength!, i)[0]!)
  expect(red).toBeGreaterThan(brown! + 100)
  expect(brown).toBeGreaterThan(white! + 10)
  expect(Math.abs(white! - black!)).toBeLessThan(3)
})

it('shows warm lighter and redder, cool darker and bluer, relative to the scene when asked', () => {
  const raster = stripes(['#2fa7b5', '#2fa7b5', '#808080'], 4, 2)
  const absolute = at(seen(raster, { name: 'temperature' }), 9),
    relative = at(seen(raster, { name: 'relative-temperature' }), 9)
  expect(absolute[0]).toBe(absolute[2])
  expect(relative[0]).toBeGreaterThan(relative[2] + 40)
})

it('shows each family flat in the full-strength colour of its place, and neutrals sunk', () => {
  // Dull mixtures of the painter's yellow and violet: each family is one colour, that of its own step of the wheel.
  const raster = stripes(['#b8ad3a', '#c7bd55', '#5d4a6b', '#6f5a80', '#808080'], 8, 6),
    out = seen(raster, { name: 'families', wheel: 'painter' })
  const [yellow, sameYellow, violet, sameViolet, ground] = [0, 8, 16, 24, 32].map(x => at(out, x + 3).slice(0, 3))
  expect([sameYellow, sameViolet]).toEqual([yellow, violet])
  expect(yellow[0]).toBeGreaterThan(yellow[2] + 150)
  expect(violet[2]).toBeGreaterThan(violet[1] + 40)
  expect(new Set(ground).size).toBe(1)
})

it('shows where the picture is busy: stripes lighter than the flat beside them, sharp edges lighter than soft', () => {
  const raster = fill(createRaster(1024, 96), '#808080')
  for (let x = 8; x < 480; x += 16) fill(raster, '#303030', x, 0, 8, 96)
  for (let x = 560; x < 1024; x++)
    fill(raster, [0.1 + (x - 560) / 2000, 0.1 + (x - 560) / 2000, 0.1 + (x - 560) / 2000], x, 0, 1, 96)
  const mean = (out: Uint8ClampedArray, from: number, to: number): number => {
    let sum = 0,
      n = 0
    for (let y = 30; y < 66; y++) for (let x = from; x < to; x++, n++) sum += at(out, y * 1024 + x)[0]
    return sum / n
  }
  for (const name of ['detail', 'edges'] as const) {
    const out = seen(raster, { name })
    expect(mean(out, 100, 400), name).toBeGreaterThan(mean(out, 650, 950) + 20)
  }
})

it('refuses a buffer of another size', () => {
  expect(() =>
    renderLens(
      { name: 'plain' },
      {
        raster: createRaster(2, 2),
        planes: planesOf(createRaster(2, 2)),
        out: new Uint8ClampedArray(4)
      }
    )
  ).toThrow(RangeError)
})
