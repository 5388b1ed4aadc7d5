/**
 * The thing that a peak of attention belongs to: a region of like colour and value, or an item apart from its ground.
 */
import type { Plane } from '../../../picture/plane'
import { nameOf } from '../../../colour/names'
import type { Extent } from '../../report'
import type { Features } from './features'
import type { Items } from './items'

export interface Thing {
  /** Its middle, in cells. */
  readonly x: number
  readonly y: number
  /** Cells that belong to it. */
  readonly cells: Int32Array
  readonly extent: Extent
  readonly named: string
  /** Small enough to be looked at as one thing, at its middle. */
  readonly one: boolean
}

/** Under this share of the picture something is looked at as one thing. */
const ONE_THING = 0.06
/** Colours nearer than this, in OKLab-sized units with the colour axes doubled, are one region. */
const LIKE = 0.1
/** A region over this share is ground, not a thing. */
const GROUND = 0.15

/** The colour about a cell, as a mean of three by three. */
function colourAt({ width, height, value, a, b }: Features, at: number): [number, number, number] {
  const x = at % width,
    y = Math.floor(at / width)
  const sums: [number, number, number] = [0, 0, 0]
  let n = 0
  for (let py = Math.max(0, y - 1); py <= Math.min(height - 1, y + 1); py++) {
    for (let px = Math.max(0, x - 1); px <= Math.min(width - 1, x + 1); px++, n++) {
      const i = py * width + px
      sums[0] += value.data[i]
      sums[1] += a.data[i]
      sums[2] += b.data[i]
    }
  }
  return [sums[0] / n, sums[1] / n, sums[2] / n]
}

/** The connected cells of the colour about a cell; null when they are too many to be a thing. */
function regionAt(f: Features, at: number): Int32Array | null {
  const { width, height, value, a, b, cover } = f,
    [v, ca, cb] = colourAt(f, at),
    most = GROUND * value.data.length
  const like = (i: number): boolean => {
    const dv = value.data[i] - v,
      da = 2 * (a.data[i] - ca),
      db = 2 * (b.data[i] - cb)
    return cover.data[i] > 0.5 && dv * dv + da * da + db * db < LIKE * LIKE
  }
  const seen = new Uint8Array(value.data.length),
    cells = new Int32Array(Math.ceil(most) + 4)
  let count = 1
  cells[0] = at
  seen[at] = 1
  for (let next = 0; next < count; next++) {
    const i = cells[next],
      x = i % width
    for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
      if (j < 0 || j >= width * height || seen[j] || !like(j)) continue
      seen[j] = 1
      if (count >= most) return null
      cells[count++] = j
    }
  }
  return cells.slice(0, count)
}

function cellsOf(labels: Int32Array, label: number): Int32Array {
  const cells: number[] = []
  for (let i = 0; i < labels.length; i++) if (labels[i] === label) cells.push(i)
  return Int32Array.from(cells)
}

/** @param at cell of the peak. */
export function thingAt(f: Features, items: Items, at: number): Thing {
  const item = items.labels[at] > 0 ? items.list.find(c => c.label === items.labels[at]) : undefined
  if (item && item.size < ONE_THING * items.labels.length) {
    return { ...described(f, cellsOf(items.labels, item.label)), x: item.x, y: item.y, one: true }
  }
  const region = regionAt(f, at)
  if (!region) return { ...described(f, Int32Array.of(at)), one: false }
  return { ...described(f, region), one: region.length < ONE_THING * items.labels.length }
}

function described({ width, height, value, a, b }: Features, cells: Int32Array): Omit<Thing, 'one'> {
  let x0 = width,
    x1 = 0,
    y0 = height,
    y1 = 0,
    sx = 0,
    sy = 0
  for (const i of cells) {
    const x = i % width,
      y = Math.floor(i / width)
    x0 = Math.min(x0, x)
    x1 = Math.max(x1, x + 1)
    y0 = Math.min(y0, y)
    y1 = Math.max(y1, y + 1)
    sx += x
    sy += y
  }
  const mean = ({ data }: Plane): number => cells.reduce((sum, i) => sum + data[i], 0) / cells.length
  return {
    cells,
    x: sx / cells.length,
    y: sy / cells.length,
    extent: { x: x0 / width, y: y0 / height, w: (x1 - x0) / width, h: (y1 - y0) / height },
    named: nameOf(100 * mean(value), [0, mean(a), mean(b)]).said
  }
}
