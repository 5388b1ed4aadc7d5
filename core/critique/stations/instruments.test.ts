/** The readings that a station's instrument asks for: planes, figures, greys, first look, route, reference. */
import { describe, expect, it } from 'vitest'
import { areaTemperature } from '../../measure/temperature'
import { edgeMaps } from '../../measure/composition/edge-maps'
import { cutOutOf } from '../../measure/composition/edges'
import { measureDepth, type DepthLadder } from '../../measure/value/depth'
import { readFramings } from '../../measure/composition/framing'
import { greyDisagreements } from '../../measure/value/greys'
import { measureValue } from '../../measure/value/value'
import { planesOf } from '../../picture/planes'
import { createRaster } from '../../picture/raster'
import type { Area } from '../../picture/area'
import type { Peak, ValueSection } from '../../measure/report'
import { fill, stripes } from '../../testing/paint'
import { DEFAULT_STANDARDS } from '../standards'
import { cutOutReading } from './edges/area'
import { firstLookReading } from './first-look/eye'
import { routeReading } from './focus/route'
import { areaTemperatureReading } from './temperature/area'
import { planesTemperatureReading } from './temperature/planes'
import { greysReading } from './values/greys'
import { planesValueReading } from './values/planes'
import { referenceReading } from './values/reference'
import { thumbnailReading } from './values/thumbnail'

const box = (x: number, y: number, w: number, h: number): Area => ({ kind: 'rectangle', x, y, w, h })
const depthReadings = (ladder: DepthLadder) =>
  [planesValueReading(ladder), planesTemperatureReading(ladder)].filter(r => r !== null)
const peak = (x: number, y: number): Peak => ({
  named: 'grey',
  extent: { x, y, w: 0, h: 0 },
  x,
  y,
  strength: 1,
  causes: { value: 1, chroma: 0, hue: 0, detail: 0, orientation: 0 }
})

describe('instrument readings', () => {
  it('a neutral grey in a cyan scene reads warm (common practice, no source)', () => {
    const raster = fill(fill(createRaster(200, 150), '#5fa8b5'), '#8f8f8f', 80, 50, 40, 40),
      planes = planesOf(raster)
    expect(
      areaTemperatureReading('the wall', areaTemperature(box(0.4, 1 / 3, 0.2, 4 / 15), planes, raster)!).sentence
    ).toMatch(
      /^The wall is \d+ warmer than the scene and \d+ warmer than what is around it\. It is a grey, and reads warm here\.$/
    )
  })

  it('planes step back, or the middle one is out of its place and the far one comes forward', () => {
    const areas = { far: box(0, 0, 1, 0.3), middle: box(0, 0.35, 1, 0.3), near: box(0, 0.7, 1, 0.3) }
    const ladder = (far: string, middle: string, near: string) => {
      const raster = fill(fill(fill(createRaster(120, 90), far), middle, 0, 30, 120, 30), near, 0, 60, 120, 30)
      return depthReadings(measureDepth(areas, planesOf(raster), raster)).map(r => [r.id, r.verdict])
    }
    expect(ladder('#c9d6dd', '#8f9f9f', '#4a4a3a')).toEqual([
      ['value.planes', 'works'],
      ['temperature.planes', 'works']
    ])
    expect(ladder('#b5825a', '#33383a', '#7c8a90')).toEqual([
      ['value.planes', 'fix'],
      ['temperature.planes', 'look']
    ])
    expect(
      depthReadings(measureDepth({ near: box(0, 0, 1, 1) }, planesOf(createRaster(9, 9)), createRaster(9, 9)))
    ).toEqual([])
  })

  it('a sharp figure on a soft ground looks cut out', () => {
    const raster = createRaster(300, 200)
    for (let x = 0; x < 300; x++) fill(raster, [0.25 + x / 1500, 0.3 + x / 1500, 0.35], x, 0, 1, 200)
    for (let k = 0; k < 8; k++) fill(raster, k % 2 ? '#f4efe0' : '#201a14', 120 + 8 * k, 70, 8, 60)
    const planes = planesOf(raster),
      cut = cutOutOf(box(0.4, 0.35, 0.21, 0.3), planes, edgeMaps(planes))!
    expect(cutOutReading('the gull', cut, DEFAULT_STANDARDS)).toMatchObject({
      verdict: 'fix',
      sentence: expect.stringContaining('The gull looks cut out')
    })
    expect(
      cutOutReading('the gull', cut, { ...DEFAULT_STANDARDS, cutout: Math.max(cut.sharpness, cut.detail) + 1 }).verdict
    ).toBe('works')
  })

  it('names the colour that greys disagree on: red is L* 53, half of HSL lightness (as L* 54), white to HSV', () => {
    const raster = fill(fill(createRaster(100, 100), '#777777'), '#ff0000', 70, 0, 30, 30)
    // CIE 15: L* of #ff0000 is 53.2; HSV value 255 is seen as L* 100.
    expect(greysReading(greyDisagreements(raster, planesOf(raster)))!.sentence).toMatch(
      /^The red in the upper right reads 47 steps darker in L\* than in HSV value\.$/
    )
    const grey = stripes(['#303030', '#b0b0b0'], 20)
    expect(greysReading(greyDisagreements(grey, planesOf(grey)))).toBeNull()
  })

  it('the first look is compared with the measure and with the intention', () => {
    const peaks = [peak(0.8, 0.2), peak(0.2, 0.8)]
    expect(firstLookReading({ x: 0.82, y: 0.2 }, peaks, null)).toMatchObject({
      verdict: 'works',
      sentence: expect.stringContaining('The measured first stop is the same')
    })
    expect(firstLookReading({ x: 0.5, y: 0.5 }, [peak(0.36, 0.62)], null)).toMatchObject({
      verdict: 'works',
      sentence: 'Your eye went first to the middle. The measured first stop is the same.'
    })
    expect(firstLookReading({ x: 0.2, y: 0.8 }, peaks, box(0.7, 0.1, 0.2, 0.2))).toMatchObject({
      verdict: 'fix',
      sentence: expect.stringMatching(/the upper right comes before it\. It should have gone to the focus/)
    })
    expect(firstLookReading({ x: 0.5, y: 0.5 }, peaks, box(0.4, 0.4, 0.2, 0.2)).verdict).toBe('works')
  })

  it('a route, a stamp and a reference say what is missing', () => {
    expect(routeReading({ taken: [0, 2], skipped: [1], inOrder: true })).toMatchObject({
      verdict: 'look',
      sentence: 'The eye takes the stops in their order: 1 and 3. It passes by stop 2.'
    })
    expect(routeReading({ taken: [], skipped: [0], inOrder: true }).sentence).toBe('The eye reaches none of the stops.')
    expect(thumbnailReading({ kept: 0.4, focusHolds: false })!.sentence).toMatch(
      /^Detail eats the big picture: 40.% .*The focus is lost with it/
    )
    expect(thumbnailReading({ kept: null, focusHolds: null })).toBeNull()
    const values = (colours: string[]): ValueSection => measureValue(planesOf(stripes(colours, 30))) as ValueSection
    const reference = values(['#000000', '#777777', '#ffffff'])
    expect(referenceReading(values(['#060606', '#7a7a7a', '#fafafa']), reference).verdict).toBe('works')
    expect(referenceReading(values(['#474747', '#777777', '#c6c6c6']), reference)).toMatchObject({
      verdict: 'fix',
      sentence: 'Against the reference the darkest dark is 30 too light, the lightest light is 20 too dark.'
    })
  })

  it('framings are measured as pictures of their own', () => {
    const raster = fill(fill(createRaster(200, 100), '#777777'), '#ffffff', 0, 0, 20, 100),
      framings = readFramings(raster)
    expect(framings.map(f => f.name)).toEqual(['as it is', 'centred', 'left', 'right', 'tall', 'wide'])
    // Mid grey (L* 50) and a white edge that only some crops keep.
    expect(framings.map(f => Math.round(f.range!))).toEqual([50, 0, 50, 0, 0, 50])
  })
})
