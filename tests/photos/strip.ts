/**
 * `npm run strip [-- COUNT]`: work with our printed strip beside it under five lights, straightened by its true corners:
 * how far colours are from the truth as photographed, and brought right by the strip.
 */
import { seededRandom } from '../../core/numeric/random'
import { correctPhoto } from '../../core/photo/correct'
import { NO_STEPS, type PhotoSteps } from '../../core/photo/steps'
import { findStrip } from '../../core/photo/strip/find'
import { demoPictures } from '../register/bases'
import { SEEING } from '../../shared/printed-marks'
import { differenceBetween, kitchenLight, said, LIGHTS } from './lights'
import { photographBesideStrip } from './beside-strip'
import { workOf } from './work'

const COUNT = Number(process.argv[2] ?? 60),
  /** Half of what a phone takes. */
  SIZE = { width: 2400, height: 1800 }
const bases = await demoPictures(),
  found = new Map<string, { before: number[]; after: number[] }>()
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
  const kind = `${name}, ${work.margin ? 'on paper' : 'canvas'}`
  const one = found.get(kind) ?? { before: [], after: [] }
  one.before.push(differenceBetween(plain.raster, work.raster))
  try {
    const made = strip && correctPhoto(photo, { ...steps, strip }, { edge: 800 })
    one.after.push(made ? differenceBetween(made.raster, work.raster) : one.before.at(-1)!)
    if (process.env.EACH) console.log(n, kind, one.before.at(-1), one.after.at(-1), made ? made.strip : 'not found')
  } catch (error) {
    console.log(`${n} ${kind}: ${(error as Error).message}`)
    one.after.push(one.before.at(-1)!)
  }
  found.set(kind, one)
}
for (const [name, { before, after }] of found) said(name, before, after)
const all = [...found.values()]
said(
  'mean ΔE00',
  all.flatMap(f => f.before),
  all.flatMap(f => f.after)
)
