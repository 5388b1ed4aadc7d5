/**
 * Photographs of work whose truth is known: some of those of `npm run photos`, a camera of our own for proportions, and
 * light that was planted.
 */
import { describe, expect, it } from 'vitest'
import sharp, { type Sharp } from 'sharp'
import { PIECES } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { kitchenShot, photographWork, type KitchenShot } from '../../tests/photos/kitchen'
import { paperWork, type Work } from '../../tests/photos/work'
import { loaded } from '../../tests/register/pairs'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { through, type Point } from '../numeric/homography'
import { seededRandom } from '../numeric/random'
import { createRaster, type Raster } from '../picture/raster'
import { reduceTo } from '../picture/resample'
import { correctPhoto } from './correct'
import { NO_STEPS, FRAME } from './steps'
import { findSheet } from './find/find'
import { rectangleOf } from './find/rectangle'
import { flatMap } from './straighten'
import { castName, stepsInWords } from './words'

const SIZE = { width: 1200, height: 900 }
const demo = async (key: string): Promise<Raster> => loaded(await renderPiece(PIECES.find(p => p.key === key)!), 700)
async function photographed(work: Work, shot: KitchenShot): Promise<{ photo: Raster; corners: Point[] }> {
  const { jpeg, corners } = await photographWork(work, shot),
    { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { photo: { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }, corners }
}
/** The worst of four corners, of the diagonal. */
const off = (found: readonly Point[], truth: readonly Point[]): number =>
  Math.max(...found.map((c, i) => Math.hypot((c.x - truth[i]!.x) * SIZE.width, (c.y - truth[i]!.y) * SIZE.height)))
  / Math.hypot(SIZE.width, SIZE.height)
const shotOf = (seed: number, more: Partial<KitchenShot> = {}): KitchenShot => ({
  ...kitchenShot(seededRandom(seed), SIZE),
  ...more
})

describe('the corners of a sheet', () => {
  it.each([
    ['on planks, tilted', 11, { table: 'wood', hand: false, lost: 0 }],
    ['on a checked cloth, under a hand', 12, { table: 'checks', hand: true, lost: 0 }],
    ['in a shadow, one side hardly to be told from the table', 13, { table: 'plain', shadow: true, lost: 0.3 }],
    ['on tiles', 14, { table: 'tiles', hand: false }]
  ] as const)('%s are found', async (_, seed, more) => {
    const work = paperWork(await demo('gull'), seededRandom(seed)),
      { photo, corners } = await photographed(work, shotOf(seed, more)),
      found = findSheet(photo)
    expect(found.sure).toBe(true)
    expect(off(found.corners, corners)).toBeLessThan(0.005)
  })

  it('are not a picture’s, sure of it, where smooth paper as grey as the grainy table goes around it', () => {
    const photo = createRaster(SIZE.width, SIZE.height),
      random = seededRandom(8),
      within = (x: number, y: number, by: number): boolean =>
        x > 300 - by && x < 900 + by && y > 250 - by && y < 650 + by
    for (let y = 0; y < SIZE.height; y++)
      for (let x = 0; x < SIZE.width; x++) {
        // Grain of three pixels, that a photograph still shows.
        const grain = 120 + 90 * (seededRandom(7919 * Math.floor(y / 3) + Math.floor(x / 3))() - 0.5),
          colour = within(x, y, 0) ? [40, 70, 150] : within(x, y, 30) ? [120, 120, 120] : [grain, grain, grain]
        photo.data.set([...colour.map(v => v + 4 * random()), 255], 4 * (y * SIZE.width + x))
      }
    const found = findSheet(photo),
      picture = [
        [300, 250],
        [900, 250],
        [900, 650],
        [300, 650]
      ].map(([x, y]) => ({ x: x! / SIZE.width, y: y! / SIZE.height }))
    expect(found.sure && off(found.corners, picture) < 0.02).toBe(false)
  })

  it('are the photograph’s own where there is no sheet, and that is said', async () => {
    const nothing = createRaster(SIZE.width, SIZE.height),
      random = seededRandom(3)
    for (let i = 0; i < nothing.data.length; i++) nothing.data[i] = i % 4 === 3 ? 255 : 90 + 40 * random()
    expect(findSheet(nothing)).toMatchObject({ sure: false, corners: FRAME })
  })
})

it('a rectangle’s proportions come back from a camera’s view of it', () => {
  // A pinhole camera, by hand: 3 by 2, turned about both axes, focal length 1.1 of the long edge.
  const f = 1.1 * SIZE.width,
    [s, c] = [Math.sin(0.5), Math.cos(0.5)],
    [t, d] = [Math.sin(0.3), Math.cos(0.3)]
  const seen = (
    [
      [-1.5, -1],
      [1.5, -1],
      [1.5, 1],
      [-1.5, 1]
    ] as const
  ).map(([x, y]) => {
    const z = y * s,
      across = x * d + z * t,
      far = 5 - x * t + z * d
    return { x: SIZE.width / 2 + (f * across) / far, y: SIZE.height / 2 + (f * y * c) / far }
  })
  expect(rectangleOf(seen, SIZE)!.ratio).toBeCloseTo(1.5, 3)
  expect(rectangleOf(seen, SIZE)!.square).toBeLessThan(1e-6)
})

describe('a sheet laid flat', () => {
  it('is the sheet, within a per cent of its diagonal and the steps of compression', async () => {
    const work = paperWork(await demo('gull'), seededRandom(2)),
      { photo, corners } = await photographed(work, shotOf(21, { table: 'wood', hand: false, shadow: false, lost: 0 })),
      steps = { ...NO_STEPS, corners: findSheet(photo).corners },
      flat = correctPhoto(photo, steps, { edge: 500 })
    expect(Math.abs(flat.ratio / (work.raster.width / work.raster.height) - 1)).toBeLessThan(0.03)
    // Where a true place of the sheet falls on the flat one.
    const [there, back] = [flatMap(corners, photo)!, flatMap(steps.corners, photo)!]
    for (const p of [0.1, 0.5, 0.9].flatMap(x => [0.1, 0.5, 0.9].map(y => ({ x, y })))) {
      const wanted = through(there, p),
        got = through(back, p)
      expect(Math.hypot(wanted.x - got.x, wanted.y - got.y) / Math.hypot(photo.width, photo.height)).toBeLessThan(0.01)
    }
  })

  it('as it is, reduced, is what reducing makes of it', async () => {
    const picture = await demo('gull'),
      made = correctPhoto(picture, NO_STEPS, { edge: 350 }).raster,
      wanted = reduceTo({ ...picture, channels: 4 }, made.width, made.height)
    let sum = 0
    for (let i = 0; i < wanted.data.length; i++) sum += Math.abs(wanted.data[i]! - made.data[i]!)
    expect(sum / wanted.data.length).toBeLessThan(1)
  })

  it('has no more pixels than the photograph, whatever proportions are typed', () => {
    const photo = createRaster(400, 300),
      { own } = correctPhoto(photo, { ...NO_STEPS, ratio: 12 }, { edge: 50 })
    expect(own.width / own.height).toBeCloseTo(12, 0)
    expect(own.width * own.height).toBeLessThanOrEqual(400 * 300 * 1.05)
  })

  it('keeps what belongs to nobody', () => {
    const photo = createRaster(40, 30)
    for (let p = 0; p < 1200; p++) photo.data.set([200, 200, 200, p % 40 < 20 ? 0 : 255], 4 * p)
    const { data, width } = correctPhoto(photo, NO_STEPS, { edge: null }).raster
    expect([data[4 * (5 * width + 4) + 3], data[4 * (5 * width + 34) + 3]]).toEqual([0, 255])
  })

  it('corners that are no sheet’s are refused in words', () => {
    const photo = createRaster(40, 30),
      twice = [FRAME[0]!, FRAME[0]!, FRAME[2]!, FRAME[3]!]
    expect(() => correctPhoto(photo, { ...NO_STEPS, corners: twice }, { edge: null })).toThrow('no sheet’s')
  })
})

describe('white taken from the paper', () => {
  it('brings colours back under a warm lamp whose light falls off', async () => {
    const work = paperWork(await demo('lemons'), seededRandom(5)),
      shot = shotOf(31, {
        cast: [1.35, 1, 0.55],
        falloff: 2,
        exposure: 0.55,
        contrast: 1,
        hand: false,
        shadow: false,
        lost: 0
      }),
      { photo, corners } = await photographed(work, shot),
      at = through(flatMap(corners, photo)!, { x: 0.5, y: work.margin / 2 })
    const steps = {
      ...NO_STEPS,
      corners,
      ratio: work.raster.width / work.raster.height,
      known: { x: at.x / photo.width, y: at.y / photo.height, as: 'white' as const }
    }
    const made = correctPhoto(photo, steps, { edge: 400 }),
      plain = correctPhoto(photo, { ...steps, known: null }, { edge: 400 })
    const mean = (raster: Raster): number => {
      const [a, b] = [raster, work.raster].map(r => reduceTo({ ...r, channels: 4 }, 20, 20)),
        light = (r: Raster, p: number): Rgb => [0, 1, 2].map(c => LINEAR_OF_BYTE[r.data[4 * p + c]!]!) as unknown as Rgb
      let sum = 0
      for (let p = 0; p < 400; p++)
        sum += differenceOf(convertLinearToLab(light(a!, p)), convertLinearToLab(light(b!, p)))
      return sum / 400
    }
    expect(mean(plain.raster)).toBeGreaterThan(8)
    expect(mean(made.raster)).toBeLessThan(2)
    expect(castName(made.cast!)).toBe('warm')
    expect(made.falloff).toBeGreaterThan(0.25)
    expect(stepsInWords(steps, made)).toMatch(
      /^straightened; white taken from the paper, the light was warm; light fall-off of \d+ % taken out$/
    )
    expect(plain.doubts.map(d => d.kind)).toContain('cast')
    expect(made.doubts.map(d => d.kind)).not.toContain('cast')
  })

  it('is refused where the place is burnt out', () => {
    const photo = createRaster(60, 60)
    photo.data.fill(255)
    const known = { x: 0.5, y: 0.5, as: 'white' as const }
    expect(() => correctPhoto(photo, { ...NO_STEPS, known }, { edge: null })).toThrow('burnt out')
  })
})

it('what a photograph cannot be trusted in is said: burnt lights, blur, few pixels', async () => {
  const sharpOne = await demo('gull'),
    kinds = async (change: (s: Sharp) => Sharp): Promise<string[]> => {
      const { width, height, data } = sharpOne,
        { data: out, info } = await change(sharp(data, { raw: { width, height, channels: 4 } }))
          .ensureAlpha()
          .raw()
          .toBuffer({ resolveWithObject: true })
      const photo = { width: info.width, height: info.height, data: new Uint8ClampedArray(out) }
      return correctPhoto(photo, NO_STEPS, { edge: null }).doubts.map(d => d.kind)
    }
  const large = (s: Sharp): Sharp => s.resize(1200)
  expect(await kinds(s => large(s))).not.toContain('blur')
  expect(await kinds(s => large(s).blur(9))).toContain('blur')
  expect(await kinds(s => large(s).linear(2.4, 0))).toContain('clipped-lights')
  expect(await kinds(s => s.resize(500))).toContain('small')
})
