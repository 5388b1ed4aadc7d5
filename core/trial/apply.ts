/** Applying a trial to a picture: its weights, its operations pixel by pixel, and the blend in linear light. */
import { valueOfLinear } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import { BYTE_OF_LINEAR, convertSrgbToLinear, LINEAR_OF_BYTE, linearOfHex, type Rgb } from '../colour/srgb'
import { hueOf, turnBetween } from '../numeric/angle'
import { TEMPERATURE_PER_AXIS } from '../measure/temperature'
import { NEAR_BLACK } from '../measure/value'
import { boundsOf, spansOf, type Area } from '../picture/area'
import { blurPlane } from '../picture/blur'
import type { Planes } from '../picture/planes'
import { createRaster, diagonalOf, type Raster } from '../picture/raster'
import { anchorAt } from '../wheel/wheel'
import { colourHolding } from './hold'
import type { Trial, TrialOperation } from './trial'

/** The part of the picture that a trial reaches, in whole pixels. */
interface Reach { readonly x0: number, readonly y0: number, readonly x1: number, readonly y1: number }

/** Fading is three boxes wide: beyond this many widths nothing is left of it. */
const FADE_REACH = 2.2

function reachOf({ outside, feather }: Trial, area: Area | null, size: { width: number, height: number }): Reach {
  if (!area || outside) return { x0: 0, y0: 0, x1: size.width, y1: size.height }
  const { x, y, w, h } = boundsOf(area), more = Math.ceil(FADE_REACH * feather * diagonalOf(size)) + 1
  return {
    x0: Math.max(0, Math.floor(x * size.width) - more), y0: Math.max(0, Math.floor(y * size.height) - more),
    x1: Math.min(size.width, Math.ceil((x + w) * size.width) + more), y1: Math.min(size.height, Math.ceil((y + h) * size.height) + more)
  }
}

/** How much of the trial each pixel of the picture gets, 0–1: the area (or all but it), its edge faded, times the strength. */
export function weightsOf(trial: Trial, area: Area | null, size: { width: number, height: number }): Float32Array {
  const { outside, feather, strength } = trial, weights = new Float32Array(size.width * size.height)
  if (!area) return weights.fill(strength)
  const { top, rows } = spansOf(area, size.width, size.height)
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2) weights.fill(1, (top + r) * size.width + row[s]!, (top + r) * size.width + row[s + 1]!)
  })
  if (feather > 0) fade(weights, size.width, reachOf({ ...trial, outside: false }, area, size), (feather * diagonalOf(size)) / 2)
  for (let i = 0; i < weights.length; i++) weights[i] = strength * (outside ? 1 - weights[i]! : weights[i]!)
  return weights
}

/** Blurs the weights where the area is: the rest of the picture has none to blur. */
function fade(weights: Float32Array, width: number, { x0, y0, x1, y1 }: Reach, sigma: number): void {
  const w = x1 - x0, h = y1 - y0, part = new Float32Array(w * h)
  for (let y = 0; y < h; y++) part.set(weights.subarray((y0 + y) * width + x0, (y0 + y) * width + x1), y * w)
  blurPlane(part, w, h, sigma, new Float32Array(part.length))
  for (let y = 0; y < h; y++) weights.set(part.subarray(y * w, (y + 1) * w), (y0 + y) * width + x0)
}

/** Value, and the two colour axes, of the pixel in hand. */
interface Hand { value: number, a: number, b: number }
type PixelOperation = (hand: Hand, pixel: number) => void

/** Radius that edges are softened or sharpened over, as a share of the diagonal. */
const EDGE_SHARE = 0.004

function softened(planes: Planes): Float32Array {
  const soft = planes.value.slice()
  blurPlane(soft, planes.width, planes.height, EDGE_SHARE * diagonalOf(planes), new Float32Array(soft.length))
  return soft
}

function meanValue({ value, mask }: Planes, weights: Float32Array): number {
  let sum = 0, n = 0
  for (let i = 0; i < value.length; i++) {
    sum += mask[i]! * weights[i]! * value[i]!
    n += mask[i]! * weights[i]!
  }
  return n > 0 ? sum / n : 50
}

/** One operation as a function of a pixel; what it refers to (mean, soft copy, hue) is found once. */
function pixelOperation(operation: Exclude<TrialOperation, { kind: 'light' }>, planes: Planes, weights: Float32Array): PixelOperation {
  switch (operation.kind) {
    case 'value': return (hand) => { hand.value += operation.by }
    case 'range': {
      const mean = meanValue(planes, weights)
      return (hand) => { hand.value = mean + operation.times * (hand.value - mean) }
    }
    case 'temperature': {
      // T is counted along a + b: half of the step on each axis.
      const half = operation.by / TEMPERATURE_PER_AXIS / 2
      return (hand) => {
        hand.a += half
        hand.b += half
      }
    }
    case 'chroma': return (hand) => {
      hand.a *= operation.times
      hand.b *= operation.times
    }
    case 'hue': {
      const goal = anchorAt(operation.wheel, operation.position), hue = hueOf(goal[1], goal[2])
      return (hand) => {
        const turn = (operation.share * turnBetween(hueOf(hand.a, hand.b), hue) * Math.PI) / 180, cos = Math.cos(turn), sin = Math.sin(turn), { a, b } = hand
        hand.a = a * cos - b * sin
        hand.b = a * sin + b * cos
      }
    }
    case 'edges': {
      const soft = softened(planes)
      return (hand, pixel) => { hand.value += operation.by * (planes.value[pixel]! - soft[pixel]!) }
    }
    case 'black': {
      const [, a, b] = convertLinearToOklab(linearOfHex(operation.hex))
      return (hand) => {
        if (hand.value >= NEAR_BLACK.value || Math.hypot(hand.a, hand.b) >= NEAR_BLACK.chroma) return
        hand.a = a
        hand.b = b
      }
    }
  }
}

const byteOf = (linear: number): number => BYTE_OF_LINEAR[linear <= 0 ? 0 : linear >= 1 ? 65536 : (linear * 65536 + 0.5) | 0]!

/** Gives the changed linear colour of a pixel into `out`. */
type Change = (pixel: number, out: Float64Array) => void

/** Pixel by pixel, exact. */
function exactChange(operations: readonly PixelOperation[], { value, a, b }: Planes): Change {
  const hand: Hand = { value: 0, a: 0, b: 0 }
  return (pixel, out) => {
    hand.value = value[pixel]!
    hand.a = a[pixel]!
    hand.b = b[pixel]!
    for (const operation of operations) operation(hand, pixel)
    colourHolding(hand.value, hand.a, hand.b, out)
  }
}

/** Colours a side of the quick table. */
const SIDE = 17

/**
 * By a table over the cube of encoded colours, blended between its corners: a few bytes off where the
 * gamut ends, and fast enough to follow a slider. Only for operations that look at nothing but the colour.
 */
function quickChange(operations: readonly PixelOperation[], { data }: Raster): Change {
  const table = new Float32Array(SIDE ** 3 * 3), hand: Hand = { value: 0, a: 0, b: 0 }, made = new Float64Array(3)
  for (let i = 0; i < SIDE ** 3; i++) {
    const linear = [Math.floor(i / SIDE ** 2), Math.floor(i / SIDE) % SIDE, i % SIDE].map(step => convertSrgbToLinear(step / (SIDE - 1))) as unknown as Rgb
    const lab = convertLinearToOklab(linear)
    hand.value = valueOfLinear(linear)
    hand.a = lab[1]
    hand.b = lab[2]
    for (const operation of operations) operation(hand, -1)
    colourHolding(hand.value, hand.a, hand.b, made)
    table.set(made, 3 * i)
  }
  const perByte = (SIDE - 1) / 255, R = 3 * SIDE * SIDE, G = 3 * SIDE, B = 3
  return (pixel, out) => {
    const r = data[4 * pixel]! * perByte, g = data[4 * pixel + 1]! * perByte, b = data[4 * pixel + 2]! * perByte
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

/**
 * The picture with the trial applied. @param area where; null is everywhere. @param raster of the planes.
 * @param quick for a hand on a slider: by a table, unless an operation looks at a pixel's neighbours.
 * Light is multiplied in linear light; the other operations work on value and the colour axes.
 */
export function applyTrial(trial: Trial, area: Area | null, raster: Raster, planes: Planes, quick = false): Raster {
  const weights = weightsOf(trial, area, raster), out = createRaster(raster.width, raster.height)
  out.data.set(raster.data)
  const light = trial.operations.filter(o => o.kind === 'light'), others = trial.operations.filter(o => o.kind !== 'light')
  const [lightR, lightG, lightB] = light.reduce((all, { ratio: r }) => [all[0]! * r[0], all[1]! * r[1], all[2]! * r[2]], [1, 1, 1]) as [number, number, number]
  const operations = others.map(o => pixelOperation(o, planes, weights))
  const change = operations.length === 0 ? null : quick && !others.some(o => o.kind === 'edges') ? quickChange(operations, raster) : exactChange(operations, planes)
  const changed = new Float64Array(3), { data } = raster, linear = LINEAR_OF_BYTE
  const { x0, y0, x1, y1 } = reachOf(trial, area, raster), least = 1 / 512
  for (let y = y0; y < y1; y++) {
    for (let i = y * raster.width + x0, end = y * raster.width + x1; i < end; i++) {
      const w = weights[i]!
      if (w < least) continue
      const p = 4 * i, R = linear[data[p]!]!, G = linear[data[p + 1]!]!, B = linear[data[p + 2]!]!
      if (change) change(i, changed)
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
  return out
}
