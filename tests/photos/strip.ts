/**
 * `npm run strip [-- COUNT]`: work with our printed strip beside it under five lights, straightened by true corners:
 * how far colours are from the truth as photographed, and brought right by the strip.
 */
import { seededRandom } from '../../core/numeric/random'
import { correctPhoto } from '../../core/photo/correct'
import { NO_STEPS, type PhotoSteps } from '../../core/photo/steps'
import { findStrip } from '../../core/photo/strip/find'
import { demoPictures } from '../register/bases'
import { SEEING } from '../../shared/printed-marks'
import { differenceBetween, kitchenLight, LIGHTS, Corrections } from './lights'
import { photographBesideStrip } from './beside-strip'
import { workOf } from './work'

const COUNT = Number(process.argv[2] ?? 60),
  /** Half of what a phone takes. */
  SIZE = { width: 2400, height: 1800 }
const bases = await demoPictures(),
  found = new Corrections()
for (let n = 0; n < COUNT; n++) {
  const random = seededRandom(700 + n),
    [name, light] = Object.entries(LIGHTS)[n % 5]!,
    work = workOf(bases[(7 * n) % bases.length]!.raster, random),
    { photo, corners } = await photographBesideStrip(work, {
      light: kitchenLight(random, light, SIZE),
      random,
      printer: Number(process.env.PRINTER ?? 0)
    })
  const strip = findStrip(photo, SEEING),
    steps: PhotoSteps = { ...NO_STEPS, corners, ratio: work.raster.width / work.raster.height },
    plain = correctPhoto(photo, steps, { edge: 800 })
  const before = differenceBetween(plain.raster, work.raster)
  let after = before
  try {
    if (strip) after = differenceBetween(correctPhoto(photo, { ...steps, strip }, { edge: 800 }).raster, work.raster)
    else console.log(`${n}: the strip is not found`)
  } catch (error) {
    console.log(`${n}: ${(error as Error).message}`)
  }
  found.add(`${name}, ${work.margin ? 'on paper' : 'canvas'}`, { before, after })
}
found.print()
