import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../numeric/random'
import { planesOf } from '../../picture/planes'
import type { Area } from '../../picture/area'
import { createRaster, type Raster } from '../../picture/raster'
import { fill } from '../../testing/paint'
import { ODD_KINDS, popOut } from '../../testing/popout'
import { measureFocus } from './focus'
import { readingOrder } from './reading-order'
import { isMeasured, type FocusSection, type Peak } from '../report'

const focusOf = (raster: Raster, area: Area | null = null): FocusSection =>
  measureFocus(planesOf(raster), { area }) as FocusSection
const peaksIn = (raster: Raster): readonly Peak[] => {
  const { peaks } = focusOf(raster)
  return isMeasured(peaks) ? peaks : []
}

describe('pop-out displays (Treisman and Gelade, Cognitive Psychology 12, 1980: an odd one is found at once)', () => {
  // Named causes: size has none of its own, and is reported as detail.
  it.each(ODD_KINDS)('the element odd in %s is the first peak in 97 of 100, for the right cause in 90', kind => {
    const random = seededRandom(kind.length * 1000 + kind.charCodeAt(0))
    const count = 34
    const missed: string[] = []
    let right = 0
    for (let i = 0; i < count; i++) {
      const display = popOut(kind, random)
      const [first] = peaksIn(display.raster)
      const { width, height } = display.raster
      if (!first || Math.hypot(first.x - display.x, ((first.y - display.y) * height) / width) > display.radius)
        missed.push(display.about)
      else if (Object.entries(first.causes).sort((p, q) => q[1] - p[1])[0][0] === (kind === 'size' ? 'detail' : kind))
        right++
    }
    expect(missed.length / count, missed.join('\n')).toBeLessThanOrEqual(0.03)
    expect(right / count).toBeGreaterThanOrEqual(0.9)
  })
})

describe('focus', () => {
  /** A dull ground with a strong white square left and a fainter one right. */
  const scene = (): Raster =>
    fill(fill(fill(createRaster(300, 200), '#6f7378'), '#ffffff', 40, 60, 40, 40), '#8d9196', 220, 80, 40, 40)
  const left = { kind: 'rectangle', x: 0.12, y: 0.27, w: 0.17, h: 0.26 } as const
  const right = { kind: 'rectangle', x: 0.7, y: 0.36, w: 0.2, h: 0.3 } as const

  it('ranks the intended area, and names what is before it', () => {
    expect(focusOf(scene(), left)).toMatchObject({ rank: 1 })
    const weak = focusOf(scene(), right)
    expect(weak.rank).toBe(2)
    expect(weak.competitors![0].x).toBeCloseTo(0.2, 1)
  })

  it('takes a window and its frame for one thing', () => {
    const house = fill(createRaster(300, 200), '#8a7f70')
    fill(fill(fill(house, '#f4f0e6', 100, 60, 50, 50), '#1c3a5c', 105, 65, 18, 40), '#1c3a5c', 127, 65, 18, 40)
    fill(house, '#b8412b', 230, 150, 12, 12)
    const peaks = focusOf(house).peaks as Peak[]
    const atWindow = peaks.filter(p => p.x > 0.32 && p.x < 0.52 && p.y > 0.28 && p.y < 0.57)
    expect(atWindow).toHaveLength(1)
    expect(atWindow[0].extent.w).toBeGreaterThan(0.12)
  })

  it('finds a small strong thing where it is, though something faint is joined to it', () => {
    const raster = fill(createRaster(512, 384), '#3c5a96')
    fill(raster, '#4a68a0', 128, 138, 230, 38)
    fill(raster, '#f07814', 112, 146, 26, 23)
    const [first] = peaksIn(raster)
    expect(first!.x).toBeGreaterThan(0.21)
    expect(first!.x).toBeLessThan(0.28)
  })

  it('compares its contrast with the strongest window elsewhere', () => {
    const { contrast, elsewhere, ratio, lift } = focusOf(scene(), left)
    // #ffffff is L* 100, #6f7378 about 48, #8d9196 about 60 (CIE 15).
    expect(contrast).toBeCloseTo(51.8, 0)
    expect(elsewhere as number).toBeCloseTo(11.8, 0)
    expect(ratio as number).toBeCloseTo(contrast! / (elsewhere as number), 1)
    expect(lift).toBeGreaterThan(3)
  })

  it('lists the whites, largest first, and says when nothing stands out', () => {
    const whites = fill(
      fill(fill(createRaster(100, 100), '#444444'), '#ffffff', 10, 10, 10, 10),
      '#fafafa',
      60,
      60,
      30,
      20
    )
    expect(focusOf(whites).whites).toEqual([
      { x: 0.75, y: 0.7, share: 0.06 },
      { x: 0.15, y: 0.15, share: 0.01 }
    ])
    expect(focusOf(fill(createRaster(50, 40), '#808080')).peaks).toMatchObject({ kind: 'not-measurable' })
  })

  it('mirrors with the picture', () => {
    const display = popOut('hue', seededRandom(5)).raster
    const mirrored = createRaster(display.width, display.height)
    for (let y = 0; y < display.height; y++)
      for (let x = 0; x < display.width; x++)
        mirrored.data.set(
          display.data.subarray((y * display.width + x) * 4, (y * display.width + x) * 4 + 4),
          (y * display.width + display.width - 1 - x) * 4
        )
    const own = peaksIn(display),
      other = peaksIn(mirrored)
    expect(other[0].x).toBeCloseTo(1 - own[0].x, 2)
    expect(other[0].y).toBeCloseTo(own[0].y, 2)
  })

  it('follows an intended route and names the stops it skips', () => {
    const at = (x: number, y: number): Peak => ({
      named: 'grey',
      extent: { x, y, w: 0, h: 0 },
      x,
      y,
      strength: 1,
      causes: { value: 1, chroma: 0, hue: 0, detail: 0, orientation: 0 }
    })
    const stop = (x: number) => ({ kind: 'rectangle', x, y: 0, w: 0.2, h: 1 }) as const
    expect(readingOrder([at(0.5, 0.5), at(0.1, 0.4)], [stop(0), stop(0.4), stop(0.8)])).toEqual({
      taken: [1, 0],
      skipped: [2],
      inOrder: false
    })
  })
})
