/**
 * Two versions in one frame, the old one's, each showing only what both show: what was cropped away, and the wall
 * around a photograph, is then no change.
 */
import { convertLinearToByte, LINEAR_OF_BYTE } from '../colour/srgb'
import type { Homography } from '../numeric/homography'
import { createRaster, type Raster } from '../picture/raster'
import { halfOf } from '../register/look'
import { MIDDLE, type Camera } from './light'

export interface Aligned {
  readonly old: Raster
  readonly next: Raster
  /** Of the old picture, what both show: 0–1. */
  readonly shared: number
}

/** Pixels of the new version along its border that are not believed: half of them may be wall. */
const BORDER = 1

/** @param map as registered, from the old picture to the new one. */
export function align(old: Raster, next: Raster, map: Homography): Aligned {
  const { width, height } = old,
    half = halfOf(old),
    to = halfOf(next)
  const before = createRaster(width, height),
    after = createRaster(width, height)
  let shared = 0
  for (let y = 0; y < height; y++) {
    const v = (y + 0.5 - height / 2) / half
    for (let x = 0; x < width; x++) {
      const u = (x + 0.5 - width / 2) / half,
        z = map[6] * u + map[7] * v + map[8],
        px = ((map[0] * u + map[1] * v + map[2]) / z) * to + next.width / 2 - 0.5,
        py = ((map[3] * u + map[4] * v + map[5]) / z) * to + next.height / 2 - 0.5,
        o = 4 * (y * width + x)
      if (!(px >= BORDER && py >= BORDER && px < next.width - 1 - BORDER && py < next.height - 1 - BORDER)) continue
      const ix = px | 0,
        iy = py | 0,
        fx = px - ix,
        fy = py - iy,
        i = 4 * (iy * next.width + ix),
        w = 4 * next.width
      for (let c = 0; c < 3; c++) {
        before.data[o + c] = old.data[o + c]
        // In encoded bytes: between neighbours the difference to linear light is under a byte.
        after.data[o + c] =
          (next.data[i + c] * (1 - fx) + next.data[i + 4 + c] * fx) * (1 - fy)
          + (next.data[i + w + c] * (1 - fx) + next.data[i + w + 4 + c] * fx) * fy
      }
      const alpha = Math.min(old.data[o + 3], next.data[i + 3])
      before.data[o + 3] = alpha
      after.data[o + 3] = alpha
      if (alpha >= 128) shared++
    }
  }
  return { old: before, next: after, shared: shared / (width * height) }
}

/** Another camera's light undone, as far as it was not clipped. @returns a copy. */
export function withoutLight(raster: Raster, { gains, contrast }: Camera): Raster {
  const tables = gains.map(gain =>
    Uint8Array.from({ length: 256 }, (_, byte) =>
      convertLinearToByte(Math.min(1, MIDDLE * (LINEAR_OF_BYTE[byte] / gain / MIDDLE) ** (1 / contrast)))
    )
  )
  const data = new Uint8ClampedArray(raster.data)
  for (let i = 0; i < data.length; i += 4) for (let c = 0; c < 3; c++) data[i + c] = tables[c][data[i + c]]
  return { width: raster.width, height: raster.height, data }
}
