/** Masses hold their value in any colour, by culori; and are carried along as fast as a hand drags. */
import { lab65, oklch } from 'culori'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { createRaster } from '../picture/raster'
import { linearOfHex } from '../colour/srgb'
import { CLASS_BOX } from '../testing/box'
import { boxOf } from '../paint/own'
import { palettesOn } from '../paint/asked/palettes'
import { SCHEMES } from '../wheel/schemes'
import { drawMasses, inScheme, oneHue, VARIANTS } from './colours'
import { massesOf } from './masses'

const value = (hex: string): number => lab65(hex)!.l
const MASSES = [
  { value: 18, share: 0.2 },
  { value: 47, share: 0.55 },
  { value: 83, share: 0.25 }
]

describe('masses', () => {
  it('are found where they are, specks left to what is around them', () => {
    const raster = createRaster(120, 80),
      random = seededRandom(3)
    for (let y = 0; y < 80; y++)
      for (let x = 0; x < 120; x++) {
        const byte = (y < 30 ? 210 : x < 60 ? 40 : 120) + 12 * (random() - 0.5)
        raster.data.set(random() < 0.01 ? [255, 0, 0, 255] : [byte, byte, byte, 255], 4 * (y * 120 + x))
      }
    const { labels, masses } = massesOf(raster, 3)
    expect([labels[10 * 120 + 60], labels[60 * 120 + 20], labels[60 * 120 + 100]]).toEqual([2, 0, 1])
    expect(masses.map(m => Math.round(m.value))).toEqual(
      [40, 120, 210].map(v => Math.round(value(`rgb(${v} ${v} ${v})`))).map(v => expect.closeTo(v, -0.7))
    )
    expect(masses.reduce((sum, m) => sum + m.share, 0)).toBeCloseTo(1, 6)
  })

  it('keep their value within 1 in every scheme, key colour and variant', () => {
    for (const { name } of SCHEMES)
      for (let hue = 0; hue < 360; hue += 15) {
        const all = [
          oneHue(MASSES, 'painter', hue),
          ...Array.from({ length: VARIANTS }, (_, v) => inScheme(MASSES, { wheel: 'painter', scheme: name, hue }, v))
        ]
        for (const hexes of all)
          hexes.forEach((hex, i) => expect(Math.abs(value(hex) - MASSES[i]!.value)).toBeLessThan(1))
      }
  })

  it('take different colours in the three variants', () => {
    const hexes = [0, 1, 2].map(v => inScheme(MASSES, { wheel: 'painter', scheme: 'triad', hue: 30 }, v))
    expect(new Set(hexes.map(h => h.join())).size).toBe(3)
    const hues = hexes[0]!.map(hex => oklch(hex)!.h!)
    expect(Math.max(...hues) - Math.min(...hues)).toBeGreaterThan(60)
  })

  it('are drawn pixel by pixel in their colours', () => {
    const into = new Uint32Array(3)
    drawMasses(Uint8Array.from([0, 1, 0]), ['#102030', '#ffffff'], into)
    expect([...new Uint8Array(into.buffer)].slice(0, 8)).toEqual([0x10, 0x20, 0x30, 255, 255, 255, 255, 255])
  })

  it('follow a dragged key colour in a fraction of a frame of sixty', () => {
    const labels = Uint8Array.from({ length: 480 * 320 }, (_, i) => i % 3),
      into = new Uint32Array(labels.length)
    const frame = (hue: number): number => {
      const start = performance.now()
      for (let v = 0; v < VARIANTS; v++)
        drawMasses(labels, inScheme(MASSES, { wheel: 'painter', scheme: 'triad', hue }, v), into)
      return performance.now() - start
    }
    const times = Array.from({ length: 60 }, (_, i) => frame(6 * i)).sort((p, q) => p - q)
    expect(times[30]).toBeLessThan(1000 / 60)
  })
})

it('palettes are five, of few of one’s own paints, and hold the values of the masses', () => {
  const wanted = ['#3d3d52', '#8c8d7a', '#d9c9a8'],
    tried = palettesOn(wanted.map(linearOfHex), boxOf(CLASS_BOX), 'painter')
  expect(tried).toHaveLength(5)
  expect(new Set(tried.map(t => [...t.paints].sort().join())).size).toBe(5)
  for (const { paints, masses } of tried) {
    expect(paints.length).toBeLessThanOrEqual(3)
    masses.forEach(({ hex, parts }, i) => {
      expect(Math.abs(value(hex) - value(wanted[i]!))).toBeLessThan(8)
      for (const { name } of parts) expect([...paints, 'titanium white']).toContain(name)
    })
  }
})
