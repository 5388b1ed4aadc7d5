import { describe, expect, it } from 'vitest'
import { convertLinearToLab } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import { LINEAR_OF_BYTE } from '../colour/srgb'
import { seededRandom } from '../numeric/random'
import colours from './colour.json' with { type: 'json' }
import { fillByKernel } from './fill-colour'
import { planesOf } from './planes'
import { createRaster, type Raster } from './raster'
import kernel from './reduce.json' with { type: 'json' }
import { reduceByKernel } from './reducer'
import { coverOf, reduceInScript, reduceTo } from './resample'
import { assembledKernel } from '../../bin/lib/kernel'
import { orient } from './orient'

export function noise(width: number, height: number, seed: number): Raster {
  const random = seededRandom(seed),
    raster = createRaster(width, height)
  for (let i = 0; i < raster.data.length; i++)
    raster.data[i] = i % 4 === 3 ? (random() < 0.2 ? 0 : 255) : Math.floor(256 * random() ** 2)
  return raster
}

describe('planes', () => {
  it('hold the kernel to the plain formulas within 3e-6 (OKLab) and 3e-4 L*', async () => {
    expect(colours.bytes).toBe(await assembledKernel('core/picture/colour'))
    const raster = noise(201, 199, 8)
    expect(fillByKernel(raster.data.subarray(0, 12), planesOf(raster))).toBe(true)
    const { value, lightness, a, b } = planesOf(raster)
    for (let i = 0; i < value.length; i++) {
      const linear = [0, 1, 2].map(c => LINEAR_OF_BYTE[raster.data[i * 4 + c]]) as [number, number, number]
      const [L, A, B] = convertLinearToOklab(linear)
      expect(Math.max(Math.abs(lightness[i] - L), Math.abs(a[i] - A), Math.abs(b[i] - B))).toBeLessThan(3e-6)
      expect(Math.abs(value[i] - convertLinearToLab(linear)[0])).toBeLessThan(3e-4)
    }
  })
})

describe('reduction', () => {
  it('averages light: black and white pixels side by side become byte 188 (linear 0.5), not 128', () => {
    const board = createRaster(4, 4)
    for (let i = 0; i < 16; i++) board.data.set(i % 2 ? [255, 255, 255, 255] : [0, 0, 0, 255], i * 4)
    expect([...reduceTo({ ...board, channels: 4 }, 2, 2).data]).toEqual(new Array(4).fill([188, 188, 188, 255]).flat())
  })

  it("weighs partly covered pixels by their cover, and never lets a clear pixel's colour out", () => {
    const three = createRaster(3, 1)
    three.data.set([255, 0, 0, 0, 0, 0, 255, 255, 0, 0, 255, 255])
    const [first, second] = [0, 4].map(at => [...reduceTo({ ...three, channels: 4 }, 2, 1).data.subarray(at, at + 4)])
    expect(first).toEqual([0, 0, 255, 85])
    expect(second).toEqual([0, 0, 255, 255])
  })

  it('by the kernel is the same as in script: a byte is one off where rounding is close, seldom', async () => {
    expect(kernel.bytes).toBe(await assembledKernel('core/picture/reduce'))
    for (const channels of [3, 4] as const) {
      const data = noise(301, 203, 7).data.subarray(0, 301 * 203 * channels),
        source = { width: 301, height: 203, channels, data },
        into = () => ({ across: coverOf(301, 97), down: coverOf(203, 66), out: new Uint8ClampedArray(97 * 66 * 4) })
      const [one, other] = [into(), into()]
      reduceInScript(source, one)
      expect(reduceByKernel(source, other)).toBe(true)
      const off = one.out.map((byte, i) => Math.abs(byte - other.out[i])),
        total = off.reduce((p, q) => p + q, 0)
      expect([Math.max(...off) <= 1, total / off.length < 1e-3]).toEqual([true, true])
    }
  })

  it('keeps the mean light of any picture', () => {
    const source = noise(97, 61, 2)
    for (let i = 3; i < source.data.length; i += 4) source.data[i] = 255
    const mean = (r: Raster): number =>
      r.data.reduce((sum, byte, i) => (i % 4 === 1 ? sum + LINEAR_OF_BYTE[byte] : sum), 0) / (r.data.length / 4)
    expect(Math.abs(mean(reduceTo({ ...source, channels: 4 }, 40, 25)) - mean(source))).toBeLessThan(2e-3)
  })
})

it('turns by each EXIF orientation as the standard draws it (EXIF 2.32, 0x0112)', () => {
  const raster = createRaster(2, 3)
  'abcdef'.split('').forEach((_, i) => raster.data.set([i, 0, 0, 255], i * 4))
  const shown = (o: number): string => {
    const r = orient(raster, o)
    return `${r.width}:${[...r.data]
      .filter((_, i) => i % 4 === 0)
      .map(v => 'abcdef'[v])
      .join('')}`
  }
  expect([1, 2, 3, 4, 5, 6, 7, 8].map(shown)).toEqual([
    '2:abcdef',
    '2:badcfe',
    '2:fedcba',
    '2:efcdab',
    '3:acebdf',
    '3:ecafdb',
    '3:fdbeca',
    '3:bdface'
  ])
})
