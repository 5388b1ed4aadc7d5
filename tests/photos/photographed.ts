/** A piece of the demo on paper, photographed on planks in a warm light: what tests hand in. */
import type { Point } from '../../core/numeric/homography'
import { seededRandom } from '../../core/numeric/random'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { loaded } from '../register/pairs'
import { kitchenShot, photographWork } from './kitchen'
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
