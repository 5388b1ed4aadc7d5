/**
 * A figure alone, cut out or before an even ground, is read from its head down: a person, a bird, a tree, flowers in a
 * vase (common practice, no source). Contrast alone finds its neck or its hem.
 */
import { componentsOf, listComponents } from '../../../picture/components'
import type { Plane } from '../../../picture/plane'
import type { Features } from './features'

/** Colours nearer than this to the rim above, in OKLab-sized units with the colour axes doubled, are its ground. */
const EVEN = 0.1
/** From this share of clear cells on a picture is cut out: only they are ground. */
const CUT_OUT = 0.05
/**
 * So much of the rim above, of both sides and of the picture is ground around a figure alone. Shoulders may be cut off
 * by the sides; what reaches higher is a table or land.
 */
const GROUND = { above: 0.9, sides: 0.8, all: 0.25 } as const
/** So much of what is not ground is the one figure. */
const ONE = 0.8
/** Attention falls to this share by the middle of a figure, and by as much again to its foot. Our choice. */
const BY_THE_MIDDLE = 0.4

/** 1 where a cell is ground, joined to the rim above or clear; null where the rim above is not even. */
function groundOf({ width, height, value, a, b, cover }: Features): Uint8Array | null {
  const ground = new Uint8Array(cover.data.length)
  let clear = 0
  for (let i = 0; i < ground.length; i++) if (cover.data[i] < 0.5) clear += ground[i] = 1
  if (clear >= CUT_OUT * ground.length) return ground
  const [v, va, vb] = [value, a, b].map(({ data }) => data.subarray(0, width).reduce((sum, x) => sum + x, 0) / width)
  const mark = (from: number, to: number): number => {
    let marked = 0
    for (let i = from; i < to; i++) {
      const dv = value.data[i] - v,
        da = 2 * (a.data[i] - va),
        db = 2 * (b.data[i] - vb)
      marked += ground[i] = dv * dv + da * da + db * db < EVEN * EVEN ? 1 : 0
    }
    return marked
  }
  if (mark(0, width) < GROUND.above * width) return null
  mark(width, ground.length)
  const { labels } = componentsOf(ground, { width, height, most: 1 }),
    above = new Set(labels.subarray(0, width))
  for (let i = 0; i < ground.length; i++) if (ground[i] === 1 && !above.has(labels[i])) ground[i] = 0
  return ground
}

/** Where a figure begins and how high it is, in rows. */
export interface Figure {
  readonly head: number
  readonly high: number
}

/** The one figure before an even ground; null where none is alone. */
export function figureAlone(f: Features): Figure | null {
  const { width, height } = f,
    ground = groundOf(f)
  if (!ground) return null
  let above = 0,
    sides = 0,
    all = 0
  for (let x = 0; x < width; x++) above += ground[x]
  for (let y = 0; y < height; y++) sides += ground[y * width] + ground[(y + 1) * width - 1]
  for (const g of ground) all += g
  if (above < GROUND.above * width || sides < GROUND.sides * 2 * height || all < GROUND.all * ground.length) return null
  const rest = ground.map(g => 1 - g)
  const [figure] = listComponents(rest, { width, height, most: 1 })
  if (!figure || figure.size < ONE * (ground.length - all)) return null
  const { y, h } = figure.bounds
  return { head: y * height, high: h * height }
}

/** Changes the map; at its greatest it is 1 again. */
export function favourHead({ width, height, data }: Plane, { head, high }: Figure): void {
  let peak = 0
  for (let y = 0, i = 0; y < height; y++) {
    const share = BY_THE_MIDDLE ** (2 * Math.max(0, (y - head) / high))
    for (let x = 0; x < width; x++, i++) peak = Math.max(peak, (data[i] *= share))
  }
  if (peak > 0) for (let i = 0; i < data.length; i++) data[i] /= peak
}
