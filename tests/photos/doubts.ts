/**
 * `npm run doubts [-- COUNT]`: sheets photographed well, and the same with one thing wrong that is known: what the
 * doubts say of it, and what they say where nothing is wrong. Bounds are the middle of what was planted and what was
 * left.
 */
import sharp from 'sharp'
import { seededRandom } from '../../core/numeric/random'
import { correctPhoto } from '../../core/photo/correct'
import { NO_STEPS, type PhotoDoubt } from '../../core/photo/steps'
import type { Point } from '../../core/numeric/homography'
import type { Raster } from '../../core/picture/raster'
import { demoPictures, drawn, openBases } from '../register/bases'
import { kitchenShot, photographWork, type KitchenShot } from './kitchen'
import { workOf } from './work'

const COUNT = Number(process.argv[2] ?? 40),
  SIZE = { width: 1600, height: 1200 }

interface Taken {
  readonly photo: Raster
  readonly corners: readonly Point[]
}
type Change = (taken: Taken) => Promise<Taken>

const decoded = async (file: Buffer): Promise<Raster> => {
  const { data, info } = await sharp(file).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
}
const encoded = ({ width, height, data }: Raster) => sharp(data, { raw: { width, height, channels: 4 } }).removeAlpha()

/** Pixels of the sheet, and how large it lies: its middle and its long edge, in pixels. */
function sheetOf({ photo: { width, height }, corners }: Taken): { middle: Point; edge: number } {
  const at = corners.map(c => ({ x: c.x * width, y: c.y * height })),
    side = (i: number): number => Math.hypot(at[(i + 1) % 4]!.x - at[i]!.x, at[(i + 1) % 4]!.y - at[i]!.y)
  return {
    middle: { x: at.reduce((s, p) => s + p.x, 0) / 4, y: at.reduce((s, p) => s + p.y, 0) / 4 },
    edge: Math.max((side(0) + side(2)) / 2, (side(1) + side(3)) / 2)
  }
}

/** Every pixel by a rule of its place and colour, bytes. */
const painted =
  (rule: (colour: number, x: number, y: number) => number) =>
  ({ photo, corners }: Taken): Promise<Taken> => {
    const data = Uint8ClampedArray.from(photo.data, (v, i) =>
      i % 4 === 3 ? v : rule(v, (i >> 2) % photo.width, Math.floor((i >> 2) / photo.width))
    )
    return Promise.resolve({ photo: { ...photo, data }, corners })
  }
const blurred =
  (ofThousand: number): Change =>
  async taken => {
    const sigma = (ofThousand * sheetOf(taken).edge) / 1000
    return { ...taken, photo: await decoded(await encoded(taken.photo).blur(Math.max(0.3, sigma)).png().toBuffer()) }
  }
/** A lamp's shine: soft at its rim, full in its middle. @param radius of the sheet's long edge. */
const shining =
  (radius: number): Change =>
  taken => {
    const { middle, edge } = sheetOf(taken)
    return painted(
      (v, x, y) => v + 330 * Math.exp(-(((x - middle.x) ** 2 + (y - middle.y) ** 2) / (radius * edge) ** 2))
    )(taken)
  }
/** Lights and darks cut off: so much of the range at either end is lost. */
const burnt =
  (share: number): Change =>
  taken => {
    const order = Uint8Array.from(taken.photo.data.filter((_, i) => i % 4 === 1)).sort(),
      at = order[Math.floor((1 - share) * (order.length - 1))]!
    return painted(v => (v * 255) / Math.max(60, at) + (v >= at ? 8 : 0))(taken)
  }
const drowned =
  (share: number): Change =>
  taken => {
    const order = Uint8Array.from(taken.photo.data.filter((_, i) => i % 4 === 1)).sort(),
      at = order[Math.floor(share * (order.length - 1))]!
    return painted(v => ((v - at - 6) * 255) / (255 - at))(taken)
  }
const smaller =
  (edge: number): Change =>
  async taken => {
    const width = Math.round((taken.photo.width * edge) / sheetOf(taken).edge)
    return { ...taken, photo: await decoded(await encoded(taken.photo).resize(width).png().toBuffer()) }
  }

/** What is planted, the doubt it asks for (null: none), and how the photograph is taken for it. */
const PLANTED: readonly (readonly [name: string, kind: PhotoDoubt['kind'] | null, Change, Partial<KitchenShot>?])[] = [
  ['well taken', null, t => Promise.resolve(t)],
  ['a little soft', null, blurred(0.8)],
  ['out of focus', 'blur', blurred(3)],
  ['far out of focus', 'blur', blurred(5)],
  ['shine, a small one', 'glare', shining(0.045)],
  ['shine, a large one', 'glare', shining(0.12)],
  ['a tenth burnt out', 'clipped-lights', burnt(0.35)],
  ['a tenth drowned', 'clipped-darks', drowned(0.3)],
  ['a candle’s light', 'cast', t => Promise.resolve(t), { cast: [1.6, 1, 0.45] }],
  ['a sheet of 600 pixels', 'small', smaller(600)],
  ['a sheet of 900 pixels', null, smaller(900)]
]

/** No paint is darker than about three hundredths of the light (common practice, no source). */
const asPainted = (picture: Raster): Raster => ({
  ...picture,
  data: Uint8ClampedArray.from(picture.data, (v, i) => (i % 4 === 3 ? v : 38 + (v * 217) / 255))
})

const bases = [...(await demoPictures()), ...drawn(3), ...(await openBases(12))]
const said = PLANTED.map(() => new Map<string, number>())
for (let n = 0; n < COUNT; n++) {
  const work = workOf(asPainted(bases[(n * 5) % bases.length]!.raster), seededRandom(4000 + n)),
    shot = kitchenShot(seededRandom(5000 + n), SIZE),
    plain = { hand: false, shadow: false, lost: 0, cast: [1, 1, 1] as const, blur: 0.4, falloff: 1.3, fill: 0.95 }
  const taken = new Map<unknown, Taken>()
  for (const [i, [, , change, more]] of PLANTED.entries()) {
    if (!taken.has(more)) {
      const { jpeg, corners } = await photographWork(work, { ...shot, ...plain, ...more })
      taken.set(more, { photo: await decoded(jpeg), corners })
    }
    const { photo, corners } = await change(taken.get(more)!)
    for (const { kind } of correctPhoto(photo, { ...NO_STEPS, corners }, { edge: 1000 }).doubts)
      said[i]!.set(kind, (said[i]!.get(kind) ?? 0) + 1)
  }
}
for (const [i, [name, kind]] of PLANTED.entries()) {
  const of = [...said[i]!].filter(([k]) => k !== kind).map(([k, count]) => `${k} ${count}`)
  console.log(
    `${name.padEnd(24)} ${kind ? `${kind} ${said[i]!.get(kind) ?? 0} ` : ''}of ${COUNT};`
      + ` besides ${of.join(', ') || 'nothing'}`
  )
}
