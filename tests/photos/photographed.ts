/** A piece of the demo on paper, photographed on planks in a warm light: what tests hand in. */
import type { Point } from '../../core/numeric/homography'
import { seededRandom } from '../../core/numeric/random'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import type { Raster } from '../../core/picture/raster'
import { loaded } from '../register/pairs'
import { photographBesideStrip } from './beside-strip'
import { kitchenShot, photographWork } from './kitchen'
import { kitchenLight, LIGHTS } from './lights'
import { paperWork, type Work } from './work'

export interface PhotographedPiece {
  readonly jpeg: Buffer
  readonly work: Work
  /** Of the sheet in the photograph, clockwise from its top left: fractions. */
  readonly corners: readonly Point[]
}

export async function photographedPiece(key: string): Promise<PhotographedPiece> {
  const work = paperWork(await loaded(await renderPiece(pieceNamed(key)), 900), seededRandom(5)),
    shot = kitchenShot(seededRandom(11), { width: 1400, height: 1050 })
  return {
    work,
    ...(await photographWork(work, {
      ...shot,
      table: 'wood',
      cast: [1.25, 1, 0.7],
      falloff: 1.6,
      exposure: 0.6,
      hand: false,
      shadow: false,
      lost: 0
    }))
  }
}

/** The same with our printed strip beside it. */
export async function photographedBesideStrip(key: string): Promise<PhotographedPiece & { readonly photo: Raster }> {
  const random = seededRandom(12),
    work = paperWork(await loaded(await renderPiece(pieceNamed(key)), 900), random),
    light = { ...kitchenLight(random, LIGHTS['warm lamp']!, { width: 2400, height: 1800 }), tilt: 10, turn: -6 }
  return { work, ...(await photographBesideStrip(work, { light, random, printer: 0.02 })) }
}
