/**
 * Pictures that registering is measured on: the demo's own, flat and foggy ones drawn here, open ones of the archive.
 */
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { seededRandom, type Random } from '../../core/numeric/random'
import { createRaster, type Raster } from '../../core/picture/raster'
import { openPictures } from '../judge/open'
import { loaded } from './pairs'

export interface Base {
  readonly kind: 'demo' | 'flat' | 'fog' | 'open'
  readonly name: string
  readonly raster: Raster
}

type Ink = readonly [number, number, number]
const ink = (random: Random): Ink => [255 * random(), 255 * random(), 255 * random()]

/** A poster: a ground, a few plain shapes, hard edges. */
export function flat(seed: number): Raster {
  const random = seededRandom(9000 + seed),
    raster = createRaster(900, 640),
    { width, height, data } = raster
  const paint = (colour: Ink, inside: (x: number, y: number) => boolean): void => {
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) if (inside(x, y)) data.set([...colour, 255], 4 * (y * width + x))
  }
  paint(ink(random), () => true)
  for (let n = 0, count = 3 + Math.floor(6 * random()); n < count; n++) {
    const cx = width * random(),
      cy = height * random(),
      r = width * (0.05 + 0.16 * random()),
      turn = Math.PI * random(),
      kind = Math.floor(3 * random()),
      long = 0.5 + random()
    paint(ink(random), (x, y) => {
      const u = (x - cx) * Math.cos(turn) + (y - cy) * Math.sin(turn),
        v = ((y - cy) * Math.cos(turn) - (x - cx) * Math.sin(turn)) / long
      return kind === 0
        ? u * u + v * v < r * r
        : kind === 1
          ? Math.abs(u) < r && Math.abs(v) < r
          : v > -r / 2 && 2 * Math.abs(u) + v < r
    })
  }
  return raster
}

/** Masses a few steps apart with soft edges, the further the softer: a harbour that is hardly there. */
export function fog(seed: number): Raster {
  const random = seededRandom(7000 + seed),
    raster = createRaster(900, 640),
    { width, height, data } = raster,
    ground = 130 + 60 * random()
  const masses = Array.from({ length: 5 + Math.floor(6 * random()) }, () => {
    const r = width * (0.04 + 0.12 * random())
    return {
      x: width * random(),
      y: height * random(),
      r,
      flat: 0.5 + random(),
      by: (random() < 0.5 ? -1 : 1) * (7 + 20 * random()),
      soft: r * (0.04 + 0.3 * random())
    }
  })
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let v = ground + (20 * y) / height
      for (const m of masses) v += m.by / (1 + Math.exp((Math.hypot(x - m.x, (y - m.y) / m.flat) - m.r) / m.soft))
      const grain = 2.5 * (random() - 0.5)
      data.set([v + grain, v + 4 + grain, v + 9 + grain, 255], 4 * (y * width + x))
    }
  return raster
}

const FOLDER = join(import.meta.dirname, '../../.cache')

/** Painted for the demo, as they lie there once it was loaded. */
export async function demoPictures(): Promise<Base[]> {
  const folder = join(FOLDER, 'demo')
  if (!existsSync(folder)) return []
  const newest = new Map(readdirSync(folder).map(file => [file.replace(/-[0-9a-f]+\.png$/, ''), file]))
  return Promise.all(
    [...newest].map(async ([name, file]) => ({ kind: 'demo' as const, name, raster: await loaded(join(folder, file)) }))
  )
}

/** @param most of them, spread over all that there are. */
export async function openBases(most: number): Promise<Base[]> {
  const files = openPictures(join(FOLDER, 'open-pictures')).filter(f => /\.(jpe?g|png|webp)$/i.test(f)),
    bases: Base[] = []
  for (let i = 0; i < files.length && bases.length < most; i += Math.max(1, Math.floor(files.length / (1.5 * most)))) {
    const raster = await loaded(files[i]!).catch(() => null)
    // Icons and sprites are no pictures.
    if (raster && Math.min(raster.width, raster.height) >= 500)
      bases.push({ kind: 'open', name: files[i]!.split('/').at(-1)!, raster })
  }
  return bases
}

export const drawn = (count: number): Base[] =>
  Array.from({ length: count }, (_, i) => [
    { kind: 'flat' as const, name: `flat ${i}`, raster: flat(i) },
    { kind: 'fog' as const, name: `fog ${i}`, raster: fog(i) }
  ]).flat()
