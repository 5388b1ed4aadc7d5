/**
 * A margin: a flat border of paper, mat or frame around the picture that is part of the file but not of the work. It is
 * left out of what is measured, and said. Our own definition: all four sides are flat and of one colour, and the
 * picture inside ends along a straight line on each.
 */
import { boundsOf, type Area } from '../picture/area'
import { perPlanes } from '../picture/per-planes'
import { distributionOf, valueDistribution } from '../picture/distribution'
import type { Planes } from '../picture/planes'

/** In pixels of the raster. */
interface Box {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

/** Paper and paint are never quite even: this much, in L* and in OKLab's colour axes, is still one flat colour. */
const FLAT = { value: 2.5, colour: 0.012 }
/** Along this share of a side the picture inside differs from its border by a step that is seen, in L* or colour. */
const ENDS = { share: 0.75, value: 6, colour: 0.04 }
/** A border is a hundredth of the short side at least, and a quarter at most; the picture keeps most of the file. */
const DEPTH = { least: 0.008, most: 0.25 }
const LEAST_INSIDE = 0.45
/** What lies inside is a picture: it has some contrast of its own (standard deviation, L*). */
const LEAST_CONTRAST = 4
/** A mat within a frame, and a line round it. */
const MOST_BORDERS = 3

interface Tone {
  readonly value: number
  readonly a: number
  readonly b: number
}

/** One row or column of pixels: where it begins, how far its pixels lie apart, and how many there are. */
interface Line {
  readonly from: number
  readonly step: number
  readonly count: number
}

function toneOf({ value, a, b, mask }: Planes, { from, step, count }: Line): { tone: Tone; flat: boolean } | null {
  let n = 0,
    v = 0,
    vv = 0,
    sa = 0,
    sb = 0,
    cc = 0
  for (let k = 0, i = from; k < count; k++, i += step) {
    if (!mask[i]) continue
    n++
    v += value[i]
    vv += value[i] * value[i]
    sa += a[i]
    sb += b[i]
    cc += a[i] * a[i] + b[i] * b[i]
  }
  if (n < 0.98 * count) return null
  const tone = { value: v / n, a: sa / n, b: sb / n }
  const spread = Math.sqrt(Math.max(0, vv / n - tone.value ** 2))
  const colours = Math.sqrt(Math.max(0, cc / n - tone.a ** 2 - tone.b ** 2))
  return { tone, flat: spread < FLAT.value && colours < FLAT.colour }
}

const differs = (p: Tone, q: Tone, by: { value: number; colour: number }): boolean =>
  Math.abs(p.value - q.value) > by.value || Math.hypot(p.a - q.a, p.b - q.b) > by.colour

type Side = 'top' | 'bottom' | 'left' | 'right'
const SIDES: readonly Side[] = ['top', 'bottom', 'left', 'right']

/** The line at a depth inward from a side of the box. */
function lineAt(
  { x0, y0, x1, y1 }: Box,
  width: number,
  { side, depth }: { readonly side: Side; readonly depth: number }
): Line {
  switch (side) {
    case 'top':
      return { from: (y0 + depth) * width + x0, step: 1, count: x1 - x0 }
    case 'bottom':
      return { from: (y1 - 1 - depth) * width + x0, step: 1, count: x1 - x0 }
    case 'left':
      return { from: y0 * width + x0 + depth, step: width, count: y1 - y0 }
    case 'right':
      return { from: y0 * width + x1 - 1 - depth, step: width, count: y1 - y0 }
  }
}

/** How deep a side is flat and of one colour. */
function borderAt(
  planes: Planes,
  box: Box,
  { side, most }: { readonly side: Side; readonly most: number }
): { depth: number; tone: Tone } | null {
  const first = toneOf(planes, lineAt(box, planes.width, { side, depth: 0 }))
  if (!first?.flat) return null
  let depth = 1
  while (depth <= most) {
    const next = toneOf(planes, lineAt(box, planes.width, { side, depth }))
    if (!next?.flat || differs(next.tone, first.tone, FLAT)) break
    depth++
  }
  return { depth, tone: first.tone }
}

/** Whether the picture inside ends along the side: a little way in, most of the line is not the border's colour. */
function ends(
  { value, a, b, width }: Planes,
  inner: Box,
  { side, tone }: { readonly side: Side; readonly tone: Tone }
): boolean {
  const { from, step, count } = lineAt(inner, width, { side, depth: 2 })
  let n = 0
  for (let k = 0, i = from; k < count; k++, i += step) {
    if (differs({ value: value[i], a: a[i], b: b[i] }, tone, ENDS)) n++
  }
  return n >= ENDS.share * count
}

function spreadWithin({ value, width }: Planes, { x0, y0, x1, y1 }: Box): number {
  let n = 0,
    sum = 0,
    square = 0
  for (let y = y0; y < y1; y++) {
    for (let i = y * width + x0, last = y * width + x1; i < last; i++) {
      n++
      sum += value[i]
      square += value[i] * value[i]
    }
  }
  return Math.sqrt(Math.max(0, square / n - (sum / n) ** 2))
}

function insideBorder(planes: Planes, box: Box): Box | null {
  const short = Math.min(box.x1 - box.x0, box.y1 - box.y0),
    least = Math.max(3, DEPTH.least * short)
  const borders = SIDES.map(side => borderAt(planes, box, { side, most: DEPTH.most * short }))
  const [top, bottom, left, right] = borders
  if (!top || !bottom || !left || !right) return null
  if (borders.some(b => b!.depth < least || b!.depth > DEPTH.most * short)) return null
  if (borders.some(b => differs(b!.tone, top.tone, { value: ENDS.value, colour: ENDS.colour }))) return null
  const inner = { x0: box.x0 + left.depth, x1: box.x1 - right.depth, y0: box.y0 + top.depth, y1: box.y1 - bottom.depth }
  const whole = SIDES.every((side, i) => ends(planes, inner, { side, tone: borders[i]!.tone }))
  return whole && spreadWithin(planes, inner) >= LEAST_CONTRAST ? inner : null
}

/**
 * The picture within its margin, as a rectangle in fractions of the file; null where there is none.
 * Kept with the planes.
 */
export const insideMargin = (planes: Planes): Area | null => found(planes).area

const found = perPlanes((planes: Planes): { area: Area | null } => {
  const { width, height } = planes
  let box: Box = { x0: 0, y0: 0, x1: width, y1: height },
    area: Area | null = null
  for (let k = 0; k < MOST_BORDERS; k++) {
    const inner = insideBorder(planes, box)
    if (!inner || (inner.x1 - inner.x0) * (inner.y1 - inner.y0) < LEAST_INSIDE * width * height) break
    box = inner
    area = {
      kind: 'rectangle',
      x: box.x0 / width,
      y: box.y0 / height,
      w: (box.x1 - box.x0) / width,
      h: (box.y1 - box.y0) / height
    }
  }
  return { area }
})

/** The planes of the picture within its margin; the same planes where there is none. */
export const planesInside = perPlanes((planes: Planes): Planes => {
  const area = insideMargin(planes)
  if (!area) return planes
  const { width, height, value, chroma, chromas } = planes,
    { x, y, w, h } = boundsOf(area)
  const x0 = Math.round(x * width),
    x1 = Math.round((x + w) * width),
    y0 = Math.round(y * height),
    y1 = Math.round((y + h) * height)
  const mask = new Uint8Array(planes.mask.length)
  for (let row = y0; row < y1; row++) {
    mask.set(planes.mask.subarray(row * width + x0, row * width + x1), row * width + x0)
  }
  const values = valueDistribution(value, mask),
    bins = chromas.counts.length
  return {
    ...planes,
    mask,
    count: values.total,
    values,
    chromas: distributionOf(chroma, mask, { low: chromas.low, high: chromas.low + bins * chromas.step, bins })
  }
})
