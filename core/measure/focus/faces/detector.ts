/**
 * The trained face detector: six layers that halve the picture to a thirty-second, and five boxes for each cell there.
 * Its weights and its plan are those of a free package, `weights.json` names it; what runs them is ours.
 */
import { bytesOf } from '../../../numeric/base64'
import { openOnce } from '../../../numeric/kernel'
import { Runner, type Layer, type Maps, type Network } from './network'
import weights from './weights.json' with { type: 'json' }

/** Pixels of the picture in one cell of what comes out. */
export const CELL = 32
/** Mean colour of what it was trained with, in bytes: it sees what differs from that. */
export const MEAN: readonly [number, number, number] = [117.001, 114.697, 97.404]
/** Widths and heights that its boxes begin from, in cells. */
const ANCHORS = [
  [1.603231, 2.094468],
  [6.041143, 7.080126],
  [2.882459, 3.518061],
  [4.266906, 5.178857],
  [9.041765, 10.66308]
] as const
const BOX_NUMBERS = 5

/** In pixels of what was looked at, or in fractions of it. */
export interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  /** How sure, 0–1. */
  readonly score: number
}

/** Every list of numbers by its name: each is a byte, stretched from its least by its step. */
function readNetwork(): Network {
  const bytes = bytesOf(weights.bytes),
    lists = new Map<string, Float32Array>()
  let from = 0
  for (const { name, size, scale, min } of weights.layers) {
    lists.set(
      name,
      Float32Array.from(bytes.subarray(from, from + size), byte => byte * scale + min)
    )
    from += size
  }
  const list = (name: string): Float32Array => lists.get(name)!
  const layer = (name: string, which: string): Layer => ({
    filters: list(`${name}/${which}`),
    bias: list(`${name}/bias`)
  })
  return {
    first: layer('conv0', 'filters'),
    separable: [1, 2, 3, 4, 5].map(i => ({
      ...layer(`conv${i}`, 'pointwise_filter'),
      depthwise: list(`conv${i}/depthwise_filter`)
    })),
    last: layer('conv8', 'filters')
  }
}

/** None where the machine cannot run it: then no face is found. */
const runnerHere = /* @__PURE__ */ openOnce(() => new Runner(readNetwork()))

/**
 * @param seen three channels, bytes less their mean, over 255; both sides multiples of {@link CELL}.
 * @returns five times five numbers a cell and more behind; null where it cannot run.
 */
export function runDetector(seen: Maps): Maps | null {
  return runnerHere()?.run(seen) ?? null
}

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x))

/** @param least of the score. @returns every box that sure, most sure first. */
export function boxesOf({ width, height, channels, data }: Maps, least: number): Box[] {
  const boxes: Box[] = []
  for (let cell = 0; cell < width * height; cell++) {
    for (const [k, [aw, ah]] of ANCHORS.entries()) {
      const [x, y, w, h, sure] = data.subarray(
        cell * channels + k * BOX_NUMBERS,
        cell * channels + (k + 1) * BOX_NUMBERS
      )
      const score = sigmoid(sure)
      if (score < least) continue
      const bw = Math.exp(w) * aw * CELL,
        bh = Math.exp(h) * ah * CELL
      boxes.push({
        x: ((cell % width) + sigmoid(x)) * CELL - bw / 2,
        y: (Math.floor(cell / width) + sigmoid(y)) * CELL - bh / 2,
        w: bw,
        h: bh,
        score
      })
    }
  }
  return boxes
}

/** Boxes that overlap by more than this, as a share of both together, are of one face. */
const SAME = 0.4

/** The most sure of those that lie upon each other. */
export function apart(boxes: readonly Box[]): Box[] {
  const kept: Box[] = []
  for (const box of [...boxes].sort((p, q) => q.score - p.score))
    if (kept.every(other => overlap(box, other) <= SAME)) kept.push(box)
  return kept
}

function overlap(p: Box, q: Box): number {
  const w = Math.min(p.x + p.w, q.x + q.w) - Math.max(p.x, q.x),
    h = Math.min(p.y + p.h, q.y + q.h) - Math.max(p.y, q.y)
  if (w <= 0 || h <= 0) return 0
  return (w * h) / (p.w * p.h + q.w * q.h - w * h)
}
