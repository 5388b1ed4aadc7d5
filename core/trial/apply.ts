/** Applying a trial to a picture of any size: its operations pixel by pixel, the blend in linear light, its strokes. */
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import type { Area } from '../picture/area'
import { blurPlane } from '../picture/blur'
import { fillColour } from '../picture/fill-colour'
import { createRaster, diagonalOf, wordsOf, type Raster } from '../picture/raster'
import { outlineOfStroke, paintOutline } from '../picture/stroke'
import { colourHolding } from '../colour/hold'
import { blendQuick, quickTable, type Changer } from './quick'
import { pixelOperation, weightedValue, type Hand, type HandOperation, type PixelOperation } from './operations'
import { reachOf, weightsOf, type Reach } from './reach'
import type { Trial } from './trial'

/** Value, OKLab lightness and axes of a row of pixels, filled a row at a time by the kernel that fills planes. */
interface Row {
  readonly value: Float32Array
  readonly lightness: Float32Array
  readonly a: Float32Array
  readonly b: Float32Array
}
const rowOf = (length: number): Row => ({
  value: new Float32Array(length),
  lightness: new Float32Array(length),
  a: new Float32Array(length),
  b: new Float32Array(length)
})

/**
 * Gives the changed linear colour of a pixel into `out`. @param word its bytes. @param x its column in the row. @param
 * at its place in the reach.
 */
type Change = (word: number, x: number, at: number, out: Float64Array) => void

/**
 * Puts the pixels of a row through the operations, exactly. @param detail by place in the reach; null where no
 * operation asks for it.
 */
function rowChange(
  operations: readonly PixelOperation[],
  { value, lightness, a, b }: Row,
  detail: Float32Array | null
): Change {
  const hand: Hand = { value: 0, a: 0, b: 0, detail: 0 }
  return (_word, x, at, out) => {
    const before = value[x]!
    hand.value = before
    hand.a = a[x]!
    hand.b = b[x]!
    hand.detail = detail ? detail[at]! : 0
    for (let i = 0; i < operations.length; i++) operations[i]!(hand)
    // L* is made of the cube root of light, as lightness is: a step of it is a 116th.
    const held = hand.value < 0 ? 0 : hand.value > 100 ? 100 : hand.value
    colourHolding(held, hand.a, hand.b, out, lightness[x]! + (held - before) / 116)
  }
}

/** Colours remembered: a picture has far fewer than pixels. */
const REMEMBERED = 1 << 17

/** Each colour worked out once as long as it is remembered. Only where nothing but the colour counts. */
function remembering(change: Change): Change {
  const keys = new Int32Array(REMEMBERED).fill(-1),
    made = new Float32Array(3 * REMEMBERED)
  return (word, x, at, out) => {
    const key = word & 0xffffff,
      slot = (Math.imul(key, 0x9e3779b1) >>> 15) & (REMEMBERED - 1),
      m = 3 * slot
    if (keys[slot] !== key) {
      change(word, x, at, out)
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
  const sigma = EDGE_SHARE * diagonalOf(raster),
    reach = reachOf(trial, { area, size: raster }),
    wide = reachOf(trial, { area, size: raster, more: Math.ceil(4 * sigma) })
  const w = wide.x1 - wide.x0,
    h = wide.y1 - wide.y0,
    part = createRaster(Math.max(1, w), Math.max(1, h))
  for (let y = 0; y < h; y++)
    part.data.set(
      raster.data.subarray(4 * ((wide.y0 + y) * raster.width + wide.x0), 4 * ((wide.y0 + y) * raster.width + wide.x1)),
      4 * y * w
    )
  const value = new Float32Array(w * h),
    spare = new Float32Array(w * h)
  fillColour(part.data, { value, lightness: spare, a: spare, b: spare })
  const soft = value.slice()
  blurPlane(soft, { width: w, height: h, sigma, scratch: spare })
  const across = reach.x1 - reach.x0,
    detail = new Float32Array(across * (reach.y1 - reach.y0))
  for (let y = reach.y0, to = 0; y < reach.y1; y++)
    for (let x = reach.x0, from = (y - wide.y0) * w + x - wide.x0; x < reach.x1; x++, from++, to++)
      detail[to] = value[from]! - soft[from]!
  return detail
}

/** What gets less of a trial than this share shows nothing of it. */
const LEAST = 1 / 512

const byteOf = (linear: number): number =>
  BYTE_OF_LINEAR[linear <= 0 ? 0 : linear >= 1 ? 65536 : (linear * 65536 + 0.5) | 0]!

function blend(
  raster: Raster,
  out: Raster,
  {
    region: { x0, y0, x1, y1 },
    weights,
    light,
    row,
    change
  }: {
    readonly region: Reach
    readonly weights: Float32Array
    readonly light: Rgb
    readonly row: Row
    readonly change: Change | null
  }
): void {
  const changed = new Float64Array(3),
    from = wordsOf(raster.data),
    to = wordsOf(out.data),
    linear = LINEAR_OF_BYTE,
    [lightR, lightG, lightB] = light
  for (let y = y0, at = 0; y < y1; y++) {
    const start = y * raster.width + x0,
      across = x1 - x0
    if (change) fillColour(raster.data.subarray(4 * start, 4 * (start + across)), row)
    for (let x = 0; x < across; x++, at++) {
      const w = weights[at]!
      if (w < LEAST) continue
      const word = from[start + x]!,
        R = linear[word & 255]!,
        G = linear[(word >>> 8) & 255]!,
        B = linear[(word >>> 16) & 255]!
      if (change) change(word, x, at, changed)
      else {
        changed[0] = R
        changed[1] = G
        changed[2] = B
      }
      to[start + x] =
        (word & 0xff000000)
        | (byteOf(B + w * (changed[2]! * lightB - B)) << 16)
        | (byteOf(G + w * (changed[1]! * lightG - G)) << 8)
        | byteOf(R + w * (changed[0]! * lightR - R))
    }
  }
}

/** One colour through the operations, for the quick table. */
function colourChanger(operations: readonly PixelOperation[]): Changer {
  const one = createRaster(1, 1),
    row = rowOf(1),
    change = rowChange(operations, row, null)
  return (R, G, B, out) => {
    for (const [c, linear] of [R, G, B].entries()) one.data[c] = byteOf(linear)
    one.data[3] = 255
    fillColour(one.data, row)
    change(0, 0, 0, out)
  }
}

/**
 * The picture with the trial applied. @param area where; null is everywhere.
 * @param quick for a hand on a slider: by a table, unless an operation looks at a pixel's neighbours.
 * Light is multiplied in linear light; the other operations work on value and the colour axes.
 */
export function applyTrial({
  trial,
  area,
  raster,
  quick = false
}: {
  trial: Trial
  area: Area | null
  raster: Raster
  quick?: boolean
}): Raster {
  const out = createRaster(raster.width, raster.height)
  out.data.set(raster.data)
  if (trial.operations.length > 0) {
    const weights = weightsOf(trial, area, raster),
      reach = reachOf(trial, { area, size: raster })
    const others = trial.operations.filter((o): o is HandOperation => o.kind !== 'light')
    const light = trial.operations.reduce<Rgb>(
      (all, o) => (o.kind === 'light' ? [all[0] * o.ratio[0], all[1] * o.ratio[1], all[2] * o.ratio[2]] : all),
      [1, 1, 1]
    )
    const operations = others.map(o => pixelOperation(o, () => weightedValue(raster, reach, weights)))
    const byNeighbours = others.some(o => o.kind === 'edges'),
      row = rowOf(reach.x1 - reach.x0)
    const exact = (): Change =>
      byNeighbours
        ? rowChange(operations, row, detailOf(raster, trial, area))
        : remembering(rowChange(operations, row, null))
    if (quick && !byNeighbours && others.length > 0)
      blendQuick(raster, out, { region: reach, weights, table: quickTable(colourChanger(operations), light) })
    else blend(raster, out, { region: reach, weights, light, row, change: others.length === 0 ? null : exact() })
  }
  for (const { points, width, hex } of trial.strokes ?? [])
    paintOutline(out, { outline: outlineOfStroke(points, width, out), hex, strength: trial.strength })
  return out
}

/** Several trials, one after the other. */
export const applyTrials = (
  trials: readonly { readonly trial: Trial; readonly area: Area | null }[],
  raster: Raster,
  quick = false
): Raster => trials.reduce((made, { trial, area }) => applyTrial({ trial, area, raster: made, quick }), raster)
