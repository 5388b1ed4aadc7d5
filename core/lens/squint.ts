/** The squint: a blur in linear light, as an eye half closed adds light and not paint numbers. */
import { encodeByte, LINEAR_OF_BYTE } from '../colour/srgb'
import { blurPlane } from '../picture/blur'
import type { Raster } from '../picture/raster'

/** Blur of the squint, as a share of the diagonal. */
export const SQUINT_SHARE = 0.02

/** @param sigmaPx standard deviation in pixels. @param out caller-given RGBA, overwritten. */
export function blurRaster({ width, height, data }: Raster, sigmaPx: number, out: Uint8ClampedArray): void {
  const size = width * height
  const plane = new Float32Array(size),
    cover = new Float32Array(size),
    scratch = new Float32Array(size)
  for (let i = 0; i < size; i++) cover[i] = data[i * 4 + 3] / 255
  const own = cover.slice()
  blurPlane(cover, { width, height, sigma: sigmaPx, scratch })
  for (let c = 0; c < 3; c++) {
    for (let i = 0; i < size; i++) plane[i] = LINEAR_OF_BYTE[data[i * 4 + c]] * own[i]
    blurPlane(plane, { width, height, sigma: sigmaPx, scratch })
    for (let i = 0; i < size; i++) out[i * 4 + c] = cover[i] > 1e-4 ? encodeByte(plane[i] / cover[i]) : 0
  }
  for (let i = 0; i < size; i++) out[i * 4 + 3] = data[i * 4 + 3]
}
