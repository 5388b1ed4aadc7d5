/** Filled sheets of every exercise, photographed: what the reader is measured on. */
import sharp from 'sharp'
import { seededRandom, type Random } from '../../core/numeric/random'
import type { Raster } from '../../core/picture/raster'
import { EXERCISE_KEYS } from '../../core/exercise/shelf'
import { PLAIN_SETTINGS } from '../../core/exercise/settings'
import { worksheetOf } from '../../core/exercise/worksheet/layout'
import type { Worksheet } from '../../core/exercise/worksheet/worksheet'
import { WHEEL_NAMES } from '../../core/wheel/steps'
import { nearly, paint, printed, type Fill } from './painter'
import { photograph, someShot, type Shot } from './photographer'

export interface Scene {
  readonly sheet: Worksheet
  readonly fills: ReadonlyMap<string, Fill>
  /** As it lies there, not photographed. */
  readonly flat: Raster
  readonly shot: Shot
  readonly random: Random
}

/** Painted well, fairly or badly, box by box. */
export function fillsFor({ boxes }: Worksheet, random: Random): Map<string, Fill> {
  return new Map(
    boxes.map(({ name, wanted }): [string, Fill] => {
      const off = [0.5, 1, 1.6][Math.floor(3 * random())]
      if (wanted.kind !== 'run') return [name, nearly(wanted.hex, off, random)]
      return [name, { from: nearly(wanted.from, 0.5, random), to: nearly(wanted.to, 0.5, random) }]
    })
  )
}

export async function sceneOf(seed: number, size: { width: number; height: number }): Promise<Scene> {
  const random = seededRandom(seed),
    exercise = EXERCISE_KEYS[seed % EXERCISE_KEYS.length]
  const settings = { ...PLAIN_SETTINGS, wheel: WHEEL_NAMES[seed % 3], hue: 30 * Math.floor(12 * random()) }
  const sheet = worksheetOf({ exercise, settings, paper: seed % 4 === 0 ? 'letter' : 'a4', number: 100 + seed })
  const fills = fillsFor(sheet, random)
  const flat = paint(await printed(sheet), { boxes: sheet.boxes, fills }, random)
  return { sheet, fills, flat, shot: someShot(random, size), random }
}

export async function decoded(jpeg: Buffer): Promise<Raster> {
  const { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
}

export const photographOf = async ({ flat, shot, random }: Scene): Promise<Raster> =>
  decoded((await photograph(flat, shot, random)).jpeg)
