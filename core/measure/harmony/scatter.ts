/** The picture's colours as points of value and chroma, for the harmony station's scatter. */
import { formatHex } from '../../colour/srgb'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'

export interface ScatterPoint {
  readonly value: number
  readonly chroma: number
  readonly hex: string
}

/** @param most about how many points; they are taken in even steps over the picture. */
export function scatterOf(
  { data, width, height }: Raster,
  { value, chroma, mask }: Planes,
  most = 700
): ScatterPoint[] {
  const step = Math.max(1, Math.round(Math.sqrt((width * height) / most)))
  const points: ScatterPoint[] = []
  for (let y = step >> 1; y < height; y += step) {
    for (let x = step >> 1; x < width; x += step) {
      const i = y * width + x
      if (mask[i]) points.push({ value: value[i], chroma: chroma[i], hex: formatHex(data.subarray(4 * i, 4 * i + 3)) })
    }
  }
  return points
}
