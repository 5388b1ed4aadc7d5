/**
 * What a place of the sheet looks like in the photograph: read from the original's own pixels, never from a
 * straightened copy.
 */
import { LINEAR_OF_BYTE, type Rgb } from '../../colour/srgb'
import { medianOf } from '../../numeric/median'
import type { Raster } from '../../picture/raster'
import type { Place } from '../worksheet/worksheet'
import { through, type Homography } from '../../numeric/homography'

/** A photograph, and where the sheet lies in it. */
export interface Seen {
  readonly photo: Raster
  readonly map: Homography
}

/** @property light linear, 0–1, three a sample. @property clipped share of samples at the top of any channel. */
export interface Samples {
  readonly light: Float64Array
  readonly count: number
  readonly clipped: number
}

const CLIPPED = 254

/**
 * Samples a place in a grid. @param inset millimetres left out all round. @param step millimetres between samples.
 * @returns fewer samples than asked where the place leaves the photograph.
 */
export function samplePlace(
  { photo: { width, height, data }, map }: Seen,
  { place, inset, step }: { readonly place: Place; readonly inset: number; readonly step: number }
): Samples {
  const w = place.w - 2 * inset,
    h = place.h - 2 * inset,
    across = Math.max(2, Math.round(w / step)),
    down = Math.max(2, Math.round(h / step))
  const light = new Float64Array(3 * across * down)
  let count = 0,
    clipped = 0
  for (let j = 0; j < down; j++)
    for (let i = 0; i < across; i++) {
      const at = through(map, {
        x: place.x + inset + ((i + 0.5) / across) * w,
        y: place.y + inset + ((j + 0.5) / down) * h
      })
      const x = Math.floor(at.x),
        y = Math.floor(at.y)
      if (x < 0 || y < 0 || x >= width || y >= height) continue
      const p = 4 * (y * width + x)
      for (let c = 0; c < 3; c++) light[3 * count + c] = LINEAR_OF_BYTE[data[p + c]]
      if (data[p] >= CLIPPED || data[p + 1] >= CLIPPED || data[p + 2] >= CLIPPED) clipped++
      count++
    }
  return { light: light.subarray(0, 3 * count), count, clipped: count ? clipped / count : 0 }
}

/** The middle of each channel. */
export function medianLight({ light, count }: Samples): Rgb {
  return [0, 1, 2].map(c => medianOf(Array.from({ length: count }, (_, i) => light[3 * i + c]))) as unknown as Rgb
}
