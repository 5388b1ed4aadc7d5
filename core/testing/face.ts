/** A face painted in a dozen flat ovals, as a beginner blocks one in. */
import { parseHex } from '../colour/srgb'
import { createRaster, type Raster } from '../picture/raster'
import { fill } from './paint'

type Oval = readonly [x: number, y: number, rx: number, ry: number, hex: string]

const HEAD: readonly Oval[] = [
  [0, -0.22, 1.05, 1.25, '#3a2a20'],
  [0, 1.2, 0.45, 0.6, '#b07a5c'],
  [0, 2.2, 1.6, 0.9, '#2d3f5c'],
  [0, 0, 0.8, 1.08, '#d9a583'],
  [0.35, 0.11, 0.42, 0.9, '#c68f6d']
]
const FEATURES: readonly Oval[] = [
  ...[-0.33, 0.33].flatMap((x): Oval[] => [
    [x, -0.12, 0.2, 0.11, '#f1e6dc'],
    [x, -0.12, 0.09, 0.1, '#2b1d16'],
    [x, -0.32, 0.22, 0.04, '#4a3021']
  ]),
  [0, 0.22, 0.1, 0.22, '#c58b68'],
  [0, 0.38, 0.17, 0.07, '#a96e50'],
  [0, 0.64, 0.28, 0.09, '#a34f45'],
  [0, 0.63, 0.27, 0.02, '#6e2f2a']
]

/** @param features false for a head without a face. @param at middle and half a head's width, in pixels. */
export function paintFace(
  { width, height }: { readonly width: number; readonly height: number },
  at: { readonly x: number; readonly y: number; readonly r: number },
  features = true
): Raster {
  const raster = fill(createRaster(width, height), '#5b6b70')
  for (const [ox, oy, rx, ry, hex] of features ? [...HEAD, ...FEATURES] : HEAD) {
    const bytes = [...parseHex(hex), 255],
      middle = at.y + oy * at.r
    for (let y = Math.max(0, Math.floor(middle - ry * at.r)); y < Math.min(height, middle + ry * at.r); y++) {
      const half = rx * at.r * Math.sqrt(Math.max(0, 1 - ((y + 0.5 - middle) / (ry * at.r)) ** 2)),
        x = at.x + ox * at.r
      for (let px = Math.max(0, Math.round(x - half)); px < Math.min(width, Math.round(x + half)); px++)
        raster.data.set(bytes, 4 * (y * width + px))
    }
  }
  return raster
}
