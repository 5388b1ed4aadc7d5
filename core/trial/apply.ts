/** Applying a trial to a picture of any size: its operations pixel by pixel, the blend in linear light, its strokes. */
import { valueOfLinear } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import { BYTE_OF_LINEAR, convertSrgbToLinear, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import type { Area } from '../picture/area'
import { blurPlane } from '../picture/blur'
import { fillColour } from '../picture/planes'
import { createRaster, diagonalOf, wordsOf, type Raster } from '../picture/raster'
import { outlineOfStroke, paintOutline } from '../picture/stroke'
import { colourHolding } from './hold'
import { pixelOperation, weightedValue, type Hand, type HandOperation, type PixelOperation } from './operations'
import { reachOf, weightsOf, type Reach } from './reach'
import type { Trial } from './trial'

/** Gives the changed linear colour of a pixel into `out`. @param word its bytes. @param at its place in the reach. */
type Change = (word: number, at: number, out: Float64Array) => void

/** Puts one colour through the operations. */
function changer(operations: readonly PixelOperation[]): (linear: Rgb, detail: number, out: Float64Array) => void {
  const hand: Hand = { value: 0, a: 0, b: 0, detail: 0 }
  return (linear, detail, out) => {
    const lab = convertLinearToOklab(linear)
    hand.value = valueOfLinear(linear)
    hand.a = lab[1]
    hand.b = lab[2]
    hand.detail = detail
    for (const operation of operations) operation(hand)
    colourHolding(hand.value, hand.a, hand.b, out)
  }
}
const linearOfWord = (word: number): Rgb => [LINEAR_OF_BYTE[word & 255]!, LINEAR_OF_BYTE[(word >>> 8) & 255]!, LINEAR_OF_BYTE[(word >>> 16) & 255]!]

/** Colours remembered: a picture has far fewer than pixels. */
const REMEMBERED = 1 << 18

/** Exact, each colour worked out once as long as it is remembered. */
function exactChange(operations: readonly PixelOperation[]): Change {
  const keys = new Int32Array(REMEMBERED).fill(-1), made = new Float32Array(3 * REMEMBERED), change = changer(operations)
  return (word, _at, out) => {
    const key = word & 0xffffff, slot = (Math.imul(key, 0x9e3779b1) >>> 14) & (REMEMBERED - 1), m = 3 * slot
    if (keys[slot] !== key) {
      change(linearOfWord(word), 0, out)
      keys[slot] = key
      made[m] = out[0]!
      made[m + 1] = out[1]!
      made[m + 2] = out[2]!
    }
    out[0] = made[m]!
    out[1] = made[m + 1]!
    out[2] = made[m + 2]!
  }
}

/** Radius that edges are softened or sharpened over, as a share of the diagonal. */
const EDGE_SHARE = 0.004

/** How far each pixel of the reach lies from the softened value about it. */
function detailOf(raster: Raster, trial: Trial, area: Area | null): Float32Array {
  const sigma = EDGE_SHARE * diagonalOf(raster), reach = reachOf(trial, area, raster), wide = reachOf(trial, area, raster, Math.ceil(4 * sigma))
  const w = wide.x1 - wide.x0, h = wide.y1 - wide.y0, part = createRaster(Math.max(1, w), Math.max(1, h))
  for (let y = 0; y < h; y++) part.data.set(raster.data.subarray(4 * ((wide.y0 + y) * raster.width + wide.x0), 4 * ((wide.y0 + y) * raster.width + wide.x1)), 4 * y * w)
  const value = new Float32Array(w * h), spare = new Float32Array(w * h)
  fillColour(part.data, value, spare, spare, spare)
  const soft = value.slice()
  blurPlane(soft, w, h, sigma, spare)
  const across = reach.x1 - reach.x0, detail = new Float32Array(across * (reach.y1 - reach.y0))
  for (let y = reach.y0, to = 0; y < reach.y1; y++) for (let x = reach.x0, from = (y - wide.y0) * w + x - wide.x0; x < reach.x1; x++, from++, to++) detail[to] = value[from]! - soft[from]!
  return detail
}

/** Exact where an operation looks at a pixel's neighbours: nothing can be remembered. */
function neighbourChange(operations: readonly PixelOperation[], detail: Float32Array): Change {
  const change = changer(operations)
  return (word, at, out) => change(linearOfWord(word), detail[at]!, out)
}

/** Colours a side of the quick table. */
const SIDE = 17

/** By a table over the cube of encoded colours, blended between its corners: a few bytes off where the gamut ends, and fast enough to follow a slider. */
function quickChange(operations: readonly PixelOperation[]): Change {
  const table = new Float32Array(SIDE ** 3 * 3), made = new Float64Array(3), change = changer(operations)
  for (let i = 0; i < SIDE ** 3; i++) {
    change([Math.floor(i / SIDE ** 2), Math.floor(i / SIDE) % SIDE, i % SIDE].map(step => convertSrgbToLinear(step / (SIDE - 1))) as unknown as Rgb, 0, made)
    table.set(made, 3 * i)
  }
  const perByte = (SIDE - 1) / 255, R = 3 * SIDE * SIDE, G = 3 * SIDE, B = 3
  return (word, _at, out) => {
    const r = (word & 255) * perByte, g = ((word >>> 8) & 255) * perByte, b = ((word >>> 16) & 255) * perByte
    const ri = Math.min(SIDE - 2, r | 0), gi = Math.min(SIDE - 2, g | 0), bi = Math.min(SIDE - 2, b | 0)
    const tr = r - ri, tg = g - gi, tb = b - bi, at = R * ri + G * gi + B * bi
    for (let c = 0; c < 3; c++) {
      const o = at + c
      const near = (table[o]! * (1 - tb) + table[o + B]! * tb) * (1 - tg) + (table[o + G]! * (1 - tb) + table[o + G + B]! * tb) * tg
      const far = (table[o + R]! * (1 - tb) + table[o + R + B]! * tb) * (1 - tg) + (table[o + R + G]! * (1 - tb) + table[o + R + G + B]! * tb) * tg
      out[c] = near + tr * (far - near)
    }
  }
}

const byteOf = (linear: number): number => BYTE_OF_LINEAR[linear <= 0 ? 0 : linear >= 1 ? 65536 : (linear * 65536 + 0.5) | 0]!

/** What gets less of a trial than this share shows nothing of it. */
const LEAST = 1 / 512

function blend(raster: Raster, out: Raster, { x0, y0, x1, y1 }: Reach, weights: Float32Array, light: Rgb, change: Change | null): void {
  const changed = new Float64Array(3), words = wordsOf(raster.data), linear = LINEAR_OF_BYTE, [lightR, lightG, lightB] = light
  for (let y = y0, at = 0; y < y1; y++) {
    for (let i = y * raster.width + x0, end = y * raster.width + x1; i < end; i++, at++) {
      const w = weights[at]!
      if (w < LEAST) continue
      const word = words[i]!, p = 4 * i, R = linear[word & 255]!, G = linear[(word >>> 8) & 255]!, B = linear[(word >>> 16) & 255]!
      if (change) change(word, at, changed)
      else {
        changed[0] = R
        changed[1] = G
        changed[2] = B
      }
      out.data[p] = byteOf(R + w * (changed[0]! * lightR - R))
      out.data[p + 1] = byteOf(G + w * (changed[1]! * lightG - G))
      out.data[p + 2] = byteOf(B + w * (changed[2]! * lightB - B))
    }
  }
}

/**
 * The picture with the trial applied. @param area where; null is everywhere.
 * @param quick for a hand on a slider: by a table, unless an operation looks at a pixel's neighbours.
 * Light is multiplied in linear light; the other operations work on value and the colour axes.
 */
export function applyTrial(trial: Trial, area: Area | null, raster: Raster, quick = false): Raster {
  const out = createRaster(raster.width, raster.height)
  out.data.set(raster.data)
  if (trial.operations.length > 0) {
    const weights = weightsOf(trial, area, raster), reach = reachOf(trial, area, raster)
    const others = trial.operations.filter((o): o is HandOperation => o.kind !== 'light')
    const light = trial.operations.reduce<Rgb>((all, o) => (o.kind === 'light' ? [all[0] * o.ratio[0], all[1] * o.ratio[1], all[2] * o.ratio[2]] : all), [1, 1, 1])
    const operations = others.map(o => pixelOperation(o, () => weightedValue(raster, reach, weights)))
    const change = others.length === 0
      ? null
      : others.some(o => o.kind === 'edges') ? neighbourChange(operations, detailOf(raster, trial, area)) : quick ? quickChange(operations) : exactChange(operations)
    blend(raster, out, reach, weights, light, change)
  }
  for (const { points, width, hex } of trial.strokes ?? []) paintOutline(out, outlineOfStroke(points, width, out), hex, trial.strength)
  return out
}

/** Several trials, one after the other. */
export const applyTrials = (trials: readonly { readonly trial: Trial, readonly area: Area | null }[], raster: Raster, quick = false): Raster =>
  trials.reduce((made, { trial, area }) => applyTrial(trial, area, made, quick), raster)
