/**
 * `npm run neutral [-- COUNT]`: sheets with paper around them under five lights, straightened by their true corners:
 * how far colours are from the truth as photographed, and with the paper's white picked.
 */
import sharp from 'sharp'
import { differenceOf } from '../../core/colour/difference'
import { convertLinearToLab } from '../../core/colour/lab'
import { LINEAR_OF_BYTE, type Rgb } from '../../core/colour/srgb'
import { medianOf } from '../../core/numeric/median'
import { seededRandom } from '../../core/numeric/random'
import { correctPhoto } from '../../core/photo/correct'
import type { PhotoSteps } from '../../core/photo/steps'
import { reduceTo } from '../../core/picture/resample'
import type { Raster } from '../../core/picture/raster'
import { demoPictures } from '../register/bases'
import { photographWork, kitchenShot, type KitchenShot } from './kitchen'
import { flatMap } from '../../core/photo/straighten'
import { through } from '../../core/numeric/homography'
import { paperWork } from './work'

const COUNT = Number(process.argv[2] ?? 60),
  SIZE = { width: 1600, height: 1200 }
type Light = Pick<KitchenShot, 'cast' | 'falloff' | 'second'>
const LIGHTS: Readonly<Record<string, Light>> = {
  daylight: { cast: [0.97, 1, 1.04], falloff: 1.15 },
  'warm lamp': { cast: [1.35, 1, 0.55], falloff: 1.3 },
  'cool tube': { cast: [0.85, 1.05, 1.12], falloff: 1.2 },
  mixed: { cast: [1.3, 1, 0.62], falloff: 1.25, second: [0.85, 1, 1.2] },
  'window 2:1': { cast: [0.95, 1, 1.08], falloff: 2 }
}

/** Mean ΔE00 over the sheet, cell by cell. */
function differenceBetween(made: Raster, truth: Raster): number {
  const cells = 24,
    [a, b] = [made, truth].map(r => reduceTo({ ...r, channels: 4 }, cells, cells))
  const light = (r: Raster, p: number): Rgb => [0, 1, 2].map(c => LINEAR_OF_BYTE[r.data[4 * p + c]!]!) as unknown as Rgb
  let sum = 0
  for (let p = 0; p < cells * cells; p++)
    sum += differenceOf(convertLinearToLab(light(a!, p)), convertLinearToLab(light(b!, p)))
  return sum / cells / cells
}

const bases = await demoPictures()
const found = new Map<string, { before: number[]; after: number[] }>()
for (let n = 0; n < COUNT; n++) {
  const random = seededRandom(900 + n),
    [name, light] = Object.entries(LIGHTS)[n % 5]!,
    work = paperWork(bases[n % bases.length]!.raster, random)
  const shot: KitchenShot = {
    ...kitchenShot(random, SIZE),
    hand: false,
    shadow: false,
    lost: 0,
    contrast: 1,
    exposure: 0.6,
    ...light
  }
  const { jpeg, corners } = await photographWork(work, shot),
    { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true }),
    photo = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
  const inMargin = through(flatMap(corners, photo)!, { x: 0.5, y: work.margin / 2 })
  const steps: PhotoSteps = { corners, ratio: work.raster.width / work.raster.height, known: null, even: true }
  const plain = correctPhoto(photo, steps, { edge: 800 }),
    white = { x: inMargin.x / photo.width, y: inMargin.y / photo.height, as: 'white' as const },
    made = correctPhoto(photo, { ...steps, known: white }, { edge: 800 })
  const one = found.get(name) ?? { before: [], after: [] }
  one.before.push(differenceBetween(plain.raster, work.raster))
  one.after.push(differenceBetween(made.raster, work.raster))
  found.set(name, one)
}
const mean = (of: number[]): string => (of.reduce((p, q) => p + q, 0) / of.length).toFixed(1)
const said = (name: string, before: number[], after: number[]): void =>
  console.log(
    `${name.padEnd(11)} as photographed ${mean(before)},`,
    `with the paper's white ${mean(after)} (middle ${medianOf(after).toFixed(1)})`
  )
for (const [name, { before, after }] of found) said(name, before, after)
const all = [...found.values()]
said(
  'mean ΔE00',
  all.flatMap(f => f.before),
  all.flatMap(f => f.after)
)
