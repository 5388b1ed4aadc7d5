/** The photo worker: holds a photograph of work, finds the sheet in it, lays it flat and frees it of its light. */
import { expose, transfer } from 'comlink'
import { correctPhoto } from '~~/core/photo/correct'
import type { PhotoSteps } from '~~/core/photo/steps'
import { sheetFinder, type SheetFinder } from '~~/core/photo/find/find'
import { isSheet } from '~~/core/photo/find/rectangle'
import { findStrip } from '~~/core/photo/strip/find'
import { flatMap, flatSize, ratioOf, straighten } from '~~/core/photo/straighten'
import { middleOf } from '~~/core/numeric/quad'
import { fitWithin, reduceTo } from '~~/core/picture/resample'
import type { Raster } from '~~/core/picture/raster'
import { SEEING } from '~~/shared/printed-marks'
import { decoded } from './decoded'
import type { PhotoWorker } from './photo-protocol'

/** Long edges that a wall shows, that corners are dragged over, and that is drawn meanwhile. */
const WALL = 1600,
  HELD = 1200,
  WHILE_DRAGGED = 480
interface Held {
  readonly photo: Raster
  readonly small: Raster
  readonly find: SheetFinder
}
let opened: Held | null = null

function held(): Held {
  if (!opened) throw new Error('The photograph is still being opened.')
  return opened
}
async function drawn({ width, height, data }: Raster): Promise<ImageBitmap> {
  const bitmap = await createImageBitmap(new ImageData(new Uint8ClampedArray(data), width, height))
  return transfer(bitmap, [bitmap])
}

const worker: PhotoWorker = {
  async load(file) {
    const photo = await decoded(file),
      { width, height } = photo,
      size = fitWithin(width, height, HELD),
      small = reduceTo({ ...photo, channels: 4 }, size.width, size.height),
      find = sheetFinder(small)
    opened = { photo, small, find }
    return { width, height, found: find() }
  },
  async strip() {
    const { photo, find } = held(),
      corners = findStrip(photo, SEEING)
    return corners && { corners, found: find(middleOf(corners)) }
  },
  plain: () => drawn(held().small),

  async preview(corners, ratio) {
    const { small } = held(),
      map = flatMap(corners, small)
    if (!map || !isSheet(corners, small)) return null
    const own = flatSize(corners, small, ratioOf(corners, small, ratio))
    return drawn(straighten({ ...small, channels: 4 }, { map, size: fitWithin(own.width, own.height, WHILE_DRAGGED) }))
  },

  async correct(steps: PhotoSteps) {
    const { raster, own: _own, ...told } = correctPhoto(held().photo, steps, { edge: WALL }),
      canvas = new OffscreenCanvas(raster.width, raster.height)
    canvas
      .getContext('2d')!
      .putImageData(new ImageData(new Uint8ClampedArray(raster.data), raster.width, raster.height), 0, 0)
    return {
      picture: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.93 }),
      told
    }
  }
}

expose(worker)
