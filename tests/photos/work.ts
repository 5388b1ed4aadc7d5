/** Work as it lies there: full to the edge of a canvas whose corners are round, or with paper left around it. */
import { createRaster, type Raster } from '../../core/picture/raster'
import { reduceTo } from '../../core/picture/resample'
import type { Random } from '../../core/numeric/random'

export interface Work {
  readonly raster: Raster
  /** Of the paper around, of the width; 0 on a canvas. */
  readonly margin: number
  /** Radius of the corners, of the short edge. */
  readonly round: number
}

/** Nine tenths of the light. */
const WHITE = [243, 243, 243] as const
const PAPERS = [
  [250, 249, 246],
  [242, 238, 226],
  [222, 210, 184],
  [120, 116, 110]
] as const

/** Long edge of the picture, pixels. */
const EDGE = 900
const reduced = (picture: Raster): Raster => {
  const scale = Math.min(1, EDGE / Math.max(picture.width, picture.height))
  return reduceTo({ ...picture, channels: 4 }, Math.round(picture.width * scale), Math.round(picture.height * scale))
}

/** @param paper its colour, bytes. */
export function paperWork(picture: Raster, random: Random, paper: readonly number[] = WHITE): Work {
  const whole = reduced(picture),
    left = Math.round((0.03 + 0.09 * random()) * whole.width),
    sheet = createRaster(whole.width + 2 * left, whole.height + 2 * left)
  for (let p = 0; p < sheet.width * sheet.height; p++) sheet.data.set([...paper, 255], 4 * p)
  for (let y = 0; y < whole.height; y++)
    sheet.data.set(
      whole.data.subarray(4 * y * whole.width, 4 * (y + 1) * whole.width),
      4 * ((y + left) * sheet.width + left)
    )
  return { raster: sheet, margin: left / sheet.width, round: 0 }
}

export function workOf(picture: Raster, random: Random): Work {
  if (random() < 0.5) return { raster: reduced(picture), margin: 0, round: 0.004 + 0.02 * random() }
  return paperWork(picture, random, PAPERS[Math.floor(random() * PAPERS.length)]!)
}
