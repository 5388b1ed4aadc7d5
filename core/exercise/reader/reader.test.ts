/**
 * The reader on photographs made by the tests' painter and photographer: small ones here, the sixty of twelve
 * megapixels in `npm run sheets`. What was painted is the truth.
 */
import { beforeAll, describe, expect, it } from 'vitest'
import { convertLinearToLab } from '../../colour/lab'
import { differenceOf } from '../../colour/difference'
import { linearOfHex, type Rgb } from '../../colour/srgb'
import { seededRandom } from '../../numeric/random'
import { createRaster, type Raster } from '../../picture/raster'
import { decoded, sceneOf, type Scene } from '../../../tests/sheets/scenes'
import { SEEING } from '../../../shared/printed-marks'
import { outerMarks, PLAIN_SHOT } from '../../../tests/sheets/filled'
import { photograph, type Shot } from '../../../tests/sheets/photographer'
import { homographyOf, through } from '../../numeric/homography'
import { monotoneCurve } from './light'
import { readSheets, type SheetRead } from './read'

const SIZE = { width: PLAIN_SHOT.width, height: PLAIN_SHOT.height }
let scene: Scene
beforeAll(async () => {
  // Opposites, with twelve boxes and more.
  scene = await sceneOf(15, SIZE)
}, 60_000)

const shoot = async (
  more: Partial<Shot> = {},
  flat: Raster = scene.flat
): Promise<{ photo: Raster; corners: readonly { x: number; y: number }[] }> => {
  const { jpeg, corners } = await photograph(flat, { ...PLAIN_SHOT, ...more }, seededRandom(3))
  return { photo: await decoded(jpeg), corners }
}
function sheetOf(photo: Raster): SheetRead {
  const [first] = readSheets(photo, SEEING)
  if (first?.kind !== 'read') throw new Error(first ? first.reason : 'no sheet')
  return first.sheet
}
const off = (read: SheetRead): number => {
  const all = scene.sheet.boxes.flatMap(({ name }) => {
    const fill = scene.fills.get(name)
    if (!fill || 'from' in fill) return []
    const { measured } = read.boxes.find(b => b.name === name)!
    return [differenceOf(convertLinearToLab(fill as Rgb), convertLinearToLab(linearOfHex(measured)))]
  })
  return all.reduce((p, q) => p + q, 0) / all.length
}

describe('a filled sheet', () => {
  it('gives back its paints and its verdicts through tilt, fall-off, cast and a lossy file', async () => {
    const { photo, corners } = await shoot(),
      read = sheetOf(photo),
      flat = sheetOf(scene.flat)
    expect(read.code).toMatchObject({ exercise: scene.sheet.code.exercise, number: 115 })
    expect(off(read)).toBeLessThan(2)
    expect(read.doubts).toEqual([])
    read.corners.forEach((c, i) => expect(Math.hypot(c.x - corners[i].x, c.y - corners[i].y)).toBeLessThan(3))
    const same = read.boxes.filter((b, i) => b.verdict === flat.boxes[i].verdict)
    expect(same.length / read.boxes.length).toBeGreaterThanOrEqual(0.9)
    for (const box of read.boxes) expect(box.word === '').toBe(box.verdict === 'right')
  }, 60_000)

  it('is read lying on its head, and by corners that a hand set', async () => {
    const turned = (await shoot({ lean: 184 })).photo
    expect(off(sheetOf(turned))).toBeLessThan(2)
    const { photo, corners } = await shoot(),
      outer = outerMarks(scene.sheet, corners)
    // Begun at another corner than the first.
    const [first] = readSheets(photo, SEEING, { byHand: { corners: [...outer.slice(2), ...outer.slice(0, 2)] } })
    expect(first.kind === 'read' && off(first.sheet)).toBeLessThan(2)
  }, 60_000)

  it('is read with a thumb on one of its corners', async () => {
    const { photo, corners } = await shoot()
    const { x, y } = corners[2],
      data = new Uint8ClampedArray(photo.data)
    for (let row = Math.round(y) - 180; row < Math.min(photo.height, y + 40); row++)
      for (let col = Math.round(x) - 180; col < Math.min(photo.width, x + 40); col++)
        data.set([168, 120, 96, 255], 4 * (row * photo.width + col))
    expect(off(sheetOf({ ...photo, data }))).toBeLessThan(2)
  }, 60_000)

  it.each([
    ['a shadow across it', { shadow: true }, /shadow/],
    ['too much light', { exposure: 1.9 }, /overexposed/],
    ['a shaken hand', { blur: 1.9 }, /blurred/]
  ] as const)(
    'says that it is not to be trusted: %s',
    async (_, more, says) => {
      const [first] = readSheets((await shoot(more)).photo, SEEING)
      if (first?.kind !== 'read') throw new Error(first ? first.reason : 'no sheet is found')
      expect(first.sheet.doubts.join(' ')).toMatch(says)
    },
    60_000
  )

  it('tells which box a glare lies on', async () => {
    const read = sheetOf((await shoot({ glare: true })).photo)
    expect(read.boxes.filter(b => b.doubt).length).toBeGreaterThan(0)
    expect(read.boxes.filter(b => b.doubt).length).toBeLessThan(read.boxes.length / 2)
  }, 60_000)
})

it('two sheets in one photograph are told apart by their codes', async () => {
  const other = await sceneOf(17, SIZE)
  const shots = await Promise.all([shoot({ fill: 0.9 }), shoot({ fill: 0.9, lean: -4 }, other.flat)])
  const both = createRaster(2 * SIZE.width, SIZE.height)
  shots.forEach(({ photo }, i) => {
    for (let y = 0; y < photo.height; y++)
      both.data.set(
        photo.data.subarray(4 * y * photo.width, 4 * (y + 1) * photo.width),
        4 * (y * both.width + i * photo.width)
      )
  })
  const read = readSheets(both, SEEING).flatMap(o => (o.kind === 'read' ? [o.sheet.code.number] : []))
  expect(read.sort()).toEqual([115, 117])
}, 90_000)

it('finds no sheet where there is none', () => {
  expect(
    readSheets({ ...createRaster(600, 400), data: new Uint8ClampedArray(600 * 400 * 4).fill(200) }, SEEING)
  ).toEqual([])
})

describe('what it stands on', () => {
  it('a map through eight points is the one that made them', () => {
    const h = [1.2, 0.1, 30, -0.05, 0.9, 12, 0.0004, -0.0002, 1]
    const from = [0, 1, 2, 3, 4, 5, 6, 7].map(i => ({ x: 40 * (i % 3) + i, y: 55 * Math.floor(i / 3) - i }))
    const found = homographyOf(
      from,
      from.map(p => through(h, p))
    )!
    found.forEach((v, i) => expect(v).toBeCloseTo(h[i], 6))
  })

  it('a curve through rising points never falls, and meets each of them', () => {
    const xs = [0.1, 0.2, 0.22, 0.6, 1],
      ys = [0.05, 0.1, 0.4, 0.41, 1],
      curve = monotoneCurve(xs, ys)
    xs.forEach((x, i) => expect(curve(x)).toBeCloseTo(ys[i], 9))
    let before = -Infinity
    for (let x = 0.1; x <= 1; x += 0.005) {
      expect(curve(x)).toBeGreaterThanOrEqual(before - 1e-12)
      before = curve(x)
    }
  })
})
