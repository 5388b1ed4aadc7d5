/**
 * `npm run photos [-- COUNT [SEED] | speed]`: work photographed on kitchen tables, its true corners known: how many are
 * found within 1 % of the diagonal, how the sheet's proportions come out, and how long it takes.
 */
import sharp from 'sharp'
import { findSheet, sheetFinder } from '../../core/photo/find/find'
import { rectangleOf } from '../../core/photo/find/rectangle'
import { seededRandom } from '../../core/numeric/random'
import { through } from '../../core/numeric/homography'
import { middleOf } from '../../core/numeric/quad'
import { correctPhoto } from '../../core/photo/correct'
import { NO_STEPS } from '../../core/photo/steps'
import { flatMap, straighten } from '../../core/photo/straighten'
import { findStrip } from '../../core/photo/strip/find'
import { SEEING } from '../../shared/printed-marks'
import type { Raster } from '../../core/picture/raster'
import { reduceTo } from '../../core/picture/resample'
import { demoPictures, drawn, openBases } from '../register/bases'
import { kitchenShot, photographWork } from './kitchen'
import { photographedBesideStrip, photographedPiece } from './photographed'
import { workOf } from './work'

const COUNT = Number(process.argv[2]) || 200,
  SEED = 10_000 * Number(process.argv[3] ?? 0),
  SIZE = { width: 1600, height: 1200 },
  RIGHT = 0.01

async function rasterOf(jpeg: Buffer): Promise<Raster> {
  const { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
}

/** Twelve megapixels: found; laid flat, its light evened, at the working size and every pixel; shown while dragged. */
async function speeds(): Promise<void> {
  const { jpeg, corners } = await photographedPiece('lemons'),
    large = await rasterOf(await sharp(jpeg).resize(4000, 3000, { fit: 'fill' }).jpeg().toBuffer()),
    size = { width: large.width, height: large.height }
  const at = through(flatMap(corners, size)!, { x: 0.5, y: 0.02 }),
    steps = { ...NO_STEPS, corners, known: { x: at.x / size.width, y: at.y / size.height, as: 'white' as const } }
  const small = reduceTo({ ...large, channels: 4 }, 1200, 900),
    map = flatMap(corners, small)!
  const timed = (what: string, run: () => unknown): void => {
    const taken = [0, 1, 2].map(() => {
      const start = performance.now()
      run()
      return performance.now() - start
    })
    console.log(`${what.padEnd(36)} ${Math.round(taken[0]!)} ms at first, ${Math.round(Math.min(...taken))} ms then`)
  }
  const beside = await photographedBesideStrip('lemons'),
    whole = await rasterOf(await sharp(beside.jpeg).resize(4000, 3000, { fit: 'fill' }).jpeg().toBuffer())
  // As the page does it, nothing being warm: found, our strip looked for, found again beside it, laid flat and evened.
  timed('12 megapixels, everything', () => {
    const held = reduceTo({ ...whole, channels: 4 }, 1200, 900)
    const find = sheetFinder(held)
    find()
    const strip = findStrip(whole, SEEING),
      { corners } = find(strip && middleOf(strip))
    correctPhoto(whole, { ...NO_STEPS, corners, strip, even: true }, { edge: 1600 })
  })
  timed('found', () => findSheet(large))
  timed('laid flat and evened, 1024 pixels', () => correctPhoto(large, steps, { edge: 1024 }))
  timed('laid flat and evened, every pixel', () => correctPhoto(large, steps, { edge: null }))
  const strip = findStrip(whole, SEEING)
  timed('printed strip found', () => findStrip(whole, SEEING))
  timed('laid flat by it, 1024 pixels', () =>
    correctPhoto(whole, { ...NO_STEPS, corners: beside.corners, strip, even: true }, { edge: 1024 })
  )
  timed('shown while a corner is dragged', () =>
    straighten({ ...small, channels: 4 }, { map, size: { width: 480, height: 360 } })
  )
}

if (process.argv[2] === 'speed') {
  await speeds()
  process.exit()
}

const bases = [...(await demoPictures()), ...drawn(3), ...(await openBases(20))]
const tally = new Map<string, { right: number; wrong: number; unsure: number }>()
const times: number[] = [],
  ratios: number[] = []
for (let n = 0; n < COUNT; n++) {
  const random = seededRandom(SEED + 600 + n),
    base = bases[(n * 5) % bases.length]!,
    work = workOf(base.raster, random),
    shot = kitchenShot(random, SIZE)
  const { jpeg, corners } = await photographWork(work, shot),
    photo = await rasterOf(jpeg),
    start = performance.now(),
    found = findSheet(photo)
  times.push(performance.now() - start)
  const off =
    Math.max(
      ...found.corners.map((c, i) =>
        Math.hypot((c.x - corners[i]!.x) * SIZE.width, (c.y - corners[i]!.y) * SIZE.height)
      )
    ) / Math.hypot(SIZE.width, SIZE.height)
  const right = found.sure && off < RIGHT
  if (right) {
    const pixels = found.corners.map(({ x, y }) => ({ x: x * SIZE.width, y: y * SIZE.height }))
    ratios.push(Math.abs(rectangleOf(pixels, SIZE)!.ratio / (work.raster.width / work.raster.height) - 1))
  }
  const kinds = [
    shot.table,
    work.margin ? 'paper' : 'canvas',
    ...(['hand', 'shadow', 'lost'] as const).filter(k => shot[k])
  ]
  for (const kind of kinds) {
    const t = tally.get(kind) ?? { right: 0, wrong: 0, unsure: 0 }
    t[right ? 'right' : found.sure ? 'wrong' : 'unsure']++
    tally.set(kind, t)
  }
  if (process.env.WRONG && !right)
    console.log(
      `${n} ${base.name} ${kinds.join(' ')} ${found.sure ? `off ${(100 * off).toFixed(1)} %` : 'unsure'}`,
      `${found.score.toFixed(2)} ${found.weakest.toFixed(2)}`
    )
}
for (const [kind, { right, wrong, unsure }] of [...tally].sort())
  console.log(
    `${kind.padEnd(9)} right ${right} of ${right + wrong + unsure}, sure and wrong ${wrong}, not sure ${unsure}`
  )
const sum = (of: 'right' | 'wrong' | 'unsure'): number =>
  (tally.get('paper')?.[of] ?? 0) + (tally.get('canvas')?.[of] ?? 0)
const middle = (of: number[], share: number): number => of.sort((p, q) => p - q)[Math.floor(share * (of.length - 1))]!
console.log(
  `corners within 1 %    ${sum('right')} of ${COUNT}; sure and wrong ${sum('wrong')}, not sure ${sum('unsure')}`
)
console.log(
  `proportions off by    ${(100 * middle(ratios, 0.5)).toFixed(1)} % in the middle,`,
  `${(100 * middle(ratios, 0.9)).toFixed(1)} % at nine of ten`
)
console.log(`one photograph        ${Math.round(middle(times, 0.5))} ms in the middle`)
