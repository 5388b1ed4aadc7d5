/** Targets against pictures whose numbers are known by construction, and against culori where a colour is asked for. */
import { converter } from 'culori'
import { describe, expect, it } from 'vitest'
import { convertValueToLuminance } from '../colour/lab'
import { hueHistogram } from '../measure/harmony/hues'
import type { Met } from '../measure/focus/met'
import { measurePicture } from '../measure/picture'
import { planesOf } from '../picture/planes'
import { createRaster, type Raster } from '../picture/raster'
import type { Area } from '../picture/area'
import { paintFace } from '../testing/face'
import { popOut } from '../testing/popout'
import { fill, stripes } from '../testing/paint'
import { PAINTER_ANCHORS } from '../wheel/painter'
import { seededRandom } from '../numeric/random'
import { DEFAULT_STANDARDS } from './standards'
import { checkTarget, describeTarget, type Target } from './target'
import { targetChoices } from './target-choices'

const grey = (value: number): readonly [number, number, number] => {
  const Y = convertValueToLuminance(value)
  return [Y, Y, Y]
}
function check(target: Target, raster: Raster, area: Area | null = null, met: Met = {}) {
  const planes = planesOf(raster),
    report = measurePicture({
      raster,
      source: { format: 'png', width: raster.width, height: raster.height },
      options: { wheel: 'painter' },
      planes
    })
  return checkTarget(target, area, { report, raster, planes, hues: hueHistogram(raster, planes, 'painter'), met })
}
const MIDDLE: Area = { kind: 'rectangle', x: 0.4, y: 0.4, w: 0.2, h: 0.2 }
const withMiddle = (ground: string | readonly [number, number, number], middle: typeof ground): Raster =>
  fill(fill(createRaster(100, 100), ground), middle, 40, 40, 20, 20)

describe('a target is reached exactly from its bound on', () => {
  it('separation: a patch of L* 62 on L* 40 is 22 steps apart, whichever of the two is lighter', () => {
    for (const raster of [withMiddle(grey(40), grey(62)), withMiddle(grey(62), grey(40))]) {
      const { value } = check({ measure: 'separation', atLeast: 15 }, raster, MIDDLE)!
      expect(value).toBeCloseTo(22, 0)
      expect(
        [value, value + 0.1].map(atLeast => check({ measure: 'separation', atLeast }, raster, MIDDLE)!.reached)
      ).toEqual([true, false])
    }
  })

  it('range and flat black: a quarter each of L* 0, 30, 60 and 90', () => {
    const raster = stripes([grey(0), grey(30), grey(60), grey(90)], 20)
    expect(check({ measure: 'range', atLeast: 90 }, raster)).toMatchObject({ value: expect.closeTo(90, 0) as number })
    expect(check({ measure: 'near-black', atMost: 0.25 }, raster)).toEqual({ value: 0.25, reached: true })
    expect(check({ measure: 'near-black', atMost: 0.24 }, raster)!.reached).toBe(false)
  })

  it('temperature: of the marked area alone, ±50 at the poles of OKLCH for half the chroma, by culori', () => {
    const rgb = converter('rgb'),
      hex = (h: number): string => {
        const c = rgb({ mode: 'oklch', l: 0.6, c: 0.1, h })!
        return (
          '#'
          + [c.r, c.g, c.b]
            .map(v =>
              Math.round(255 * v)
                .toString(16)
                .padStart(2, '0')
            )
            .join('')
        )
      }
    const warm = check({ measure: 'temperature', atLeast: 10 }, withMiddle(hex(225), hex(45)), MIDDLE)!,
      cool = check({ measure: 'temperature', atMost: -10 }, withMiddle(hex(45), hex(225)), MIDDLE)!
    expect([warm.reached, cool.reached]).toEqual([true, true])
    expect(Math.abs(warm.value - 50)).toBeLessThan(1)
    expect(Math.abs(cool.value + 50)).toBeLessThan(1)
  })

  it('coverage: two opposites in three parts of four, the fourth a quarter turn away', () => {
    const [yellow, , , red, , , violet] = PAINTER_ANCHORS,
      raster = stripes([yellow, violet, yellow, red], 20)
    const { value } = check({ measure: 'coverage', scheme: 'complementary', atLeast: 0.85 }, raster)!
    expect(value).toBeGreaterThan(0.6)
    expect(value).toBeLessThan(0.9)
    expect(
      check(
        { measure: 'coverage', scheme: 'complementary', atLeast: 0.85 },
        stripes([yellow, violet, yellow, violet], 20)
      )
    ).toMatchObject({ reached: true, value: expect.closeTo(1, 5) as number })
  })

  it('the eye going here first: what pops out of a field (Treisman and Gelade 1980), not a corner of it', () => {
    const { raster, x, y, radius } = popOut('value', seededRandom(4)),
      { width, height } = raster
    const odd: Area = {
      kind: 'rectangle',
      x: x - radius,
      y: y - (radius * width) / height,
      w: 2 * radius,
      h: (2 * radius * width) / height
    }
    expect(check({ measure: 'focus-rank', atMost: 1 }, raster, odd)).toEqual({ value: 1, reached: true })
    const elsewhere: Area = { kind: 'rectangle', x: 0, y: 0, w: 0.04, h: 0.04 }
    expect(check({ measure: 'focus-rank', atMost: 1 }, raster, elsewhere)!.reached).toBe(false)
  })
})

it('goes by what the critic said the eye meets first: a face found, one that is none, one marked', () => {
  const raster = fill(paintFace({ width: 600, height: 400 }, { x: 440, y: 180, r: 60 }), '#ff2a00', 120, 150, 80, 80),
    patch: Area = { kind: 'rectangle', x: 0.19, y: 0.36, w: 0.16, h: 0.23 },
    reached = (met?: Met) => check({ measure: 'focus-rank', atMost: 1 }, raster, patch, met)!.reached
  expect(reached()).toBe(false)
  expect(reached({ noFaces: true })).toBe(true)
  const marked = { name: 'the face', area: { kind: 'rectangle', x: 0.6, y: 0.25, w: 0.28, h: 0.45 } } as const
  expect(reached({ noFaces: true, faces: [marked] })).toBe(false)
})

it('cannot be measured without the place, the colour or the light it needs, and says so by null', () => {
  const neutral = stripes([grey(20), grey(80)], 40)
  for (const target of targetChoices(true, 'triad', DEFAULT_STANDARDS).filter(t =>
    ['separation', 'focus-rank', 'temperature'].includes(t.measure)
  ))
    expect(check(target, neutral, null), target.measure).toBeNull()
  expect(check({ measure: 'coverage', scheme: 'triad', atLeast: 0.8 }, neutral)).toBeNull()
  expect(check({ measure: 'evenness', atMost: 0.9 }, neutral)).toBeNull()
  expect(check({ measure: 'range', atLeast: 20 }, fill(createRaster(20, 20), grey(50), 0, 0, 20, 20, 0))).toBeNull()
})

it("a correction by hand is offered what can be measured where it is marked, with the house's own numbers", () => {
  const house = { ...DEFAULT_STANDARDS, range: { full: 82, moderate: 50 }, merge: { value: 21, deltaE: 10 } }
  const placed = targetChoices(true, 'complementary', house),
    whole = targetChoices(false, null, house)
  expect(placed).toContainEqual({ measure: 'separation', atLeast: 21 })
  expect(placed).toContainEqual({ measure: 'range', atLeast: 82 })
  expect(whole.map(t => t.measure)).toEqual(['range', 'near-black', 'line-dependence'])
  // Each is said differently, and none is reached by a picture of nothing.
  expect(new Set([...placed, ...whole].map(describeTarget)).size).toBe(placed.length)
  expect(describeTarget({ measure: 'focus-rank', atMost: 3 })).toBe("one of the eye's first 3 stops here")
})
