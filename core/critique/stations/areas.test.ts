/** What is said of one marked area, and of the light that materials share: the number, the judgement, the way out. */
import { describe, expect, it } from 'vitest'
import { convertValueToLuminance } from '../../colour/lab'
import { formatHex, convertLinearToByte, linearOfHex, type Rgb } from '../../colour/srgb'
import { measureLight, type ShadowPair } from '../../measure/light'
import { measureSeparation } from '../../measure/value/separation'
import { silhouetteOf } from '../../measure/composition/composition'
import { isMeasured, type LightSection, type Separation } from '../../measure/report'
import type { Area } from '../../picture/area'
import { planesOf } from '../../picture/planes'
import { createRaster, type Raster } from '../../picture/raster'
import { fill } from '../../testing/paint'
import { DEFAULT_STANDARDS } from '../standards'
import { silhouetteReading } from './edges/area'
import { ambientReading } from './light/ambient'
import { materialReadings } from './light/materials'
import { separationReading } from './values/separation'

const grey = (value: number): Rgb => {
  const Y = convertValueToLuminance(value)
  return [Y, Y, Y]
}
const BOAT: Area = { kind: 'rectangle', x: 0.4, y: 0.4, w: 0.2, h: 0.2 }

describe('an area against its surroundings', () => {
  const read = (ground: Rgb | string, boat: Rgb | string, merge = DEFAULT_STANDARDS.merge) => {
    const raster = fill(fill(createRaster(100, 100), ground), boat, 40, 40, 20, 20),
      separation = measureSeparation({ name: 'the boat', area: BOAT, planes: planesOf(raster), raster })
    return separationReading('the boat', separation as Separation, { ...DEFAULT_STANDARDS, merge })
  }
  it('stands clear, merges, or is held by colour alone', () => {
    expect(read(grey(40), grey(70))).toMatchObject({
      verdict: 'works',
      sentence: 'The boat stands clear: 30 value steps lighter than what is around it.'
    })
    expect(read(grey(50), grey(46))).toMatchObject({
      verdict: 'fix',
      sentence: 'The boat merges with its surroundings: 4 apart, 10 wanted.'
    })
    // A red and a green of one value (L* 49): CIE 15 values of #c8443c and #3e8048, from memory, hence the wide bound.
    const held = read('#3e8048', '#c8443c')
    expect([held.verdict, held.sentence.replace(/\d+/, 'N')]).toEqual([
      'look',
      'The boat is held apart by colour alone: only N value steps.'
    ])
  })
  it('asks to lift what is lighter and to lower what is darker, by more than it takes not to merge', () => {
    expect(read(grey(50), grey(54)).correction!.todo).toMatch(/^Lift it, or lower what lies behind it/)
    expect(read(grey(50), grey(46)).correction!.todo).toMatch(/^Lower it, or lift what lies behind it/)
    expect(read(grey(50), grey(46)).correction!.target).toEqual({ measure: 'separation', atLeast: 15 })
    expect(read(grey(50), grey(46), { value: 20, deltaE: 15 }).correction!.target).toEqual({
      measure: 'separation',
      atLeast: 20
    })
    expect(read(grey(40), grey(70)).correction).toBeUndefined()
  })
  it('follows the house: what stands clear in one class merges in another', () => {
    expect(read(grey(50), grey(64)).verdict).toBe('works')
    expect(read(grey(50), grey(64), { value: 18, deltaE: 20 }).verdict).toBe('fix')
  })
})

it('a plain shape is told from one that keeps itself when it is filled', () => {
  const star: Area = {
    kind: 'polygon',
    points: Array.from({ length: 10 }, (_, i) => {
      const r = i % 2 ? 0.12 : 0.4,
        a = (Math.PI * i) / 5
      return [0.5 + r * Math.cos(a), 0.5 + r * Math.sin(a)]
    })
  }
  const said = (area: Area) => silhouetteReading('the gull', silhouetteOf(area, 400, 400)!)
  expect(said({ kind: 'rectangle', x: 0.3, y: 0.3, w: 0.4, h: 0.4 })).toMatchObject({
    verdict: 'look',
    sentence: expect.stringContaining('a plain lump: 100') as string
  })
  expect(said(star)).toMatchObject({
    verdict: 'works',
    sentence: expect.stringContaining('keeps a shape of its own') as string
  })
})

describe('one light', () => {
  /**
   * Materials in the light, and in a shadow of the given ratio: what one light would make of each (common practice, no
   * source).
   */
  const LIT = { pot: '#c06a3c', cloth: '#d8cfae', jar: '#5f8f86' } as const
  function scene(
    ratio: Rgb,
    other: Partial<Record<keyof typeof LIT, Rgb>> = {}
  ): { raster: Raster; pairs: ShadowPair[] } {
    const raster = createRaster(120, 80),
      pairs = Object.entries(LIT).map(([name, hex], i) => {
        const lit = linearOfHex(hex),
          by = other[name as keyof typeof LIT] ?? ratio,
          shadow = lit.map((c, k) => c * by[k]!) as unknown as Rgb
        fill(fill(raster, lit, 40 * i, 0, 40, 40), formatHex(shadow.map(convertLinearToByte)), 40 * i, 40, 40, 40)
        const half = (y: number): Area => ({ kind: 'rectangle', x: (40 * i + 5) / 120, y, w: 0.25, h: 0.4 })
        return { name, lit: half(0.05), shadow: half(0.55) }
      })
    return { raster, pairs }
  }
  const said = ({ raster, pairs }: ReturnType<typeof scene>) => {
    const section = measureLight(pairs, planesOf(raster), raster)
    if (!isMeasured(section)) throw new Error(section.reason)
    return { section: section as LightSection, readings: materialReadings(section, DEFAULT_STANDARDS) }
  }
  it('holds all where every shadow follows one ratio', () => {
    expect(said(scene([0.3, 0.33, 0.42])).readings.map(r => [r.id, r.sentence])).toContainEqual([
      'light.one',
      'One light holds all: pot, cloth and jar agree.'
    ])
  })
  it('names the one that leaves it, which way, and the colour it should have', () => {
    const { readings } = said(scene([0.3, 0.33, 0.42], { cloth: [0.62, 0.6, 0.5] })),
      leaves = readings.find(r => r.id === 'light.leaves.cloth')!
    expect(leaves).toMatchObject({
      verdict: 'fix',
      sentence: expect.stringMatching(
        /^Cloth leaves the light: its shadow is \d+ away from where the others put it, [\d.]+ stops too light\. Expected is #[0-9a-f]{6}\.$/
      ) as string
    })
    const expected = linearOfHex(leaves.sentence.match(/#[0-9a-f]{6}/)![0]),
      wanted = linearOfHex(LIT.cloth).map((c, i) => c * [0.3, 0.33, 0.42][i]!)
    expected.forEach((c, i) => expect(Math.abs(c - wanted[i]!), `channel ${i}`).toBeLessThan(0.02))
    expect(readings.map(r => r.id)).not.toContain('light.one')
    expect(readings.filter(r => r.verdict === 'fix')).toHaveLength(1)
  })
  it('calls a shadow that is only darker dead, and one turned toward its surroundings alive', () => {
    expect(said(scene([0.3, 0.3, 0.3])).readings.map(r => r.id)).toContain('light.only-darker')
    expect(said(scene([0.2, 0.33, 0.5])).readings.map(r => r.id)).not.toContain('light.only-darker')
  })
  it('says whether the shadows carry the sky, and nothing where either has no hue', () => {
    expect(ambientReading({ ratioHue: 250, surroundHue: 240, apart: 10, carried: true })).toMatchObject({
      verdict: 'works',
      sentence: 'The shadows carry the colour of the surroundings: their hues are 10° apart.'
    })
    expect(ambientReading({ ratioHue: 250, surroundHue: 60, apart: 170, carried: false })!.verdict).toBe('look')
    expect(ambientReading(null)).toBeNull()
  })
})
