/**
 * `npm run neutral [-- COUNT]`: sheets with paper around them under five lights, straightened by their true corners:
 * how far colours are from the truth as photographed, and with the paper's white picked.
 */
import sharp from 'sharp'
import { seededRandom } from '../../core/numeric/random'
import { correctPhoto } from '../../core/photo/correct'
import type { PhotoSteps } from '../../core/photo/steps'
import { demoPictures } from '../register/bases'
import { photographWork } from './kitchen'
import { differenceBetween, Corrections, kitchenLight, LIGHTS } from './lights'
import { flatMap } from '../../core/photo/straighten'
import { through } from '../../core/numeric/homography'
import { paperWork } from './work'

const COUNT = Number(process.argv[2] ?? 60)
const bases = await demoPictures()
const found = new Corrections()
for (let n = 0; n < COUNT; n++) {
  const random = seededRandom(900 + n),
    [name, light] = Object.entries(LIGHTS)[n % 5]!,
    work = paperWork(bases[n % bases.length]!.raster, random)
  const shot = kitchenLight(random, light)
  const { jpeg, corners } = await photographWork(work, shot),
    { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true }),
    photo = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
  const inMargin = through(flatMap(corners, photo)!, { x: 0.5, y: work.margin / 2 })
  const steps: PhotoSteps = {
    corners,
    ratio: work.raster.width / work.raster.height,
    known: null,
    strip: null,
    even: true
  }
  const plain = correctPhoto(photo, steps, { edge: 800 }),
    white = { x: inMargin.x / photo.width, y: inMargin.y / photo.height, as: 'white' as const },
    made = correctPhoto(photo, { ...steps, known: white }, { edge: 800 })
  found.add(name, {
    before: differenceBetween(plain.raster, work.raster),
    after: differenceBetween(made.raster, work.raster)
  })
}
found.print()
