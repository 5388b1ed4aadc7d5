/**
 * Faces, painted ones too: the eye goes to them before anything measured. Found, never known: a face is a place, and
 * whose it is nobody asks.
 */
import { round3 } from '../../../numeric/round'
import { perPlanes } from '../../../picture/per-planes'
import type { Planes } from '../../../picture/planes'
import { wordsOf } from '../../../picture/raster'
import { fitWithin } from '../../../picture/resample'
import type { Extent } from '../../report'
import { apart, boxesOf, CELL, MEAN, runDetector, type Box } from './detector'
import type { Maps } from './network'

type Size = { readonly width: number; readonly height: number }

export interface Face extends Extent {
  /** How sure, 0–1. */
  readonly score: number
}

/**
 * Long edges of what is looked at. A face is found when it is some 40 to 150 pixels wide there: the larger for small
 * faces, the smaller for those that fill the picture.
 */
const EDGES = [320, 224] as const
/** Less sure than even, it is not said. */
const SURE = 0.5

/**
 * The picture's bytes less the detector's mean, over 255, three numbers a pixel; halved where that leaves enough. What
 * is not measured is of the mean colour.
 */
function bytesOf({ width, height, pixels, mask }: Planes): Maps {
  const side = Math.max(width, height) >= 2 * EDGES[0] ? 2 : 1,
    wide = Math.floor(width / side),
    high = Math.floor(height / side),
    data = new Float32Array(wide * high * 3)
  const words = wordsOf(pixels)
  for (let y = 0, to = 0; y < high; y++) {
    for (let x = 0; x < wide; x++, to += 3) {
      // Red and blue are added up in one number: four bytes leave room between them.
      let redBlue = 0,
        green = 0,
        n = 0
      for (let py = y * side; py < (y + 1) * side; py++) {
        for (let i = py * width + x * side, end = i + side; i < end; i++) {
          if (mask[i] === 0) continue
          redBlue += words[i] & 0xff00ff
          green += (words[i] >>> 8) & 0xff
          n++
        }
      }
      if (n === 0) continue
      data[to] = ((redBlue & 0xffff) / n - MEAN[0]) / 255
      data[to + 1] = (green / n - MEAN[1]) / 255
      data[to + 2] = ((redBlue >>> 16) / n - MEAN[2]) / 255
    }
  }
  return { width: wide, height: high, channels: 3, data }
}

/**
 * The same smaller, as the detector was trained on it: read between neighbours and not averaged, so that edges stay
 * crisp. What fills the last cells is of the mean colour.
 */
function sampled({ width, height, data }: Maps, own: Size): Maps {
  const wide = Math.ceil(own.width / CELL) * CELL,
    high = Math.ceil(own.height / CELL) * CELL,
    out = new Float32Array(wide * high * 3)
  for (let y = 0; y < own.height; y++) {
    const at = (y * height) / own.height,
      up = Math.floor(at),
      down = Math.min(height - 1, up + 1),
      v = at - up
    for (let x = 0, to = y * wide * 3; x < own.width; x++) {
      const across = (x * width) / own.width,
        left = Math.floor(across),
        u = across - left,
        right = Math.min(width - 1, left + 1)
      for (let c = 0; c < 3; c++, to++) {
        const upper = data[(up * width + left) * 3 + c] * (1 - u) + data[(up * width + right) * 3 + c] * u,
          lower = data[(down * width + left) * 3 + c] * (1 - u) + data[(down * width + right) * 3 + c] * u
        out[to] = upper * (1 - v) + lower * v
      }
    }
  }
  return { width: wide, height: high, channels: 3, data: out }
}

/** Boxes in fractions of the picture; a picture smaller than the edge is taken as it is. */
function boxesAt(bytes: Maps, edge: number): Box[] {
  const own = fitWithin(bytes.width, bytes.height, edge),
    out = runDetector(sampled(bytes, own))
  return (out ? boxesOf(out, SURE) : []).map(({ x, y, w, h, score }) => ({
    x: x / own.width,
    y: y / own.height,
    w: w / own.width,
    h: h / own.height,
    score
  }))
}

/** From here to there, within the picture. */
function inside(start: number, length: number): [start: number, length: number] {
  const from = round3(Math.max(0, start))
  return [from, round3(Math.min(1, start + length) - from)]
}

/** Largest first, in fractions of the picture; none where the machine cannot look for any. */
export const facesOf = perPlanes((planes: Planes): readonly Face[] => {
  const bytes = bytesOf(planes)
  return apart(EDGES.flatMap(edge => boxesAt(bytes, edge)))
    .map(box => {
      const [x, w] = inside(box.x, box.w),
        [y, h] = inside(box.y, box.h)
      return { x, y, w, h, score: round3(box.score) }
    })
    .filter(({ w, h }) => w > 0 && h > 0)
    .sort((p, q) => q.w * q.h - p.w * p.h)
})
