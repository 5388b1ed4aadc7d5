/**
 * Pop-out displays, the standard test of attention maps (Treisman and Gelade 1980): one odd element
 * among many alike, odd in value, hue, chroma, size or orientation, in either direction; positions
 * jittered, distractors varied a little.
 */
import { convertOklabToLinear, oklabOf } from '../colour/oklab'
import { fitToGamut, inGamut } from '../colour/gamut'
import { encodeByte, type Rgb } from '../colour/srgb'
import { gaussian, type Random } from '../numeric/random'
import { createRaster, type Raster } from '../picture/raster'

export type OddKind = 'value' | 'hue' | 'chroma' | 'size' | 'orientation'
export const ODD_KINDS: readonly OddKind[] = ['value', 'hue', 'chroma', 'size', 'orientation']

export interface Display {
  readonly raster: Raster
  readonly x: number
  readonly y: number
  readonly radius: number
  readonly about: string
}

interface Element {
  l: number
  c: number
  h: number
  size: number
  angle: number
}

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]

export const GROUNDS = ['light', 'middle', 'dark', 'equal'] as const

export interface DisplayKind {
  /** How light the ground is; equal: as light as the elements, which then stand out by colour alone. */
  readonly ground?: (typeof GROUNDS)[number]
  /** All elements of one hue, or each of its own. */
  readonly hues?: 'one' | 'many'
  readonly items?: number
}

/** What the distractors are and how the odd one differs. */
function cast(
  kind: OddKind,
  random: Random,
  { ground: wanted, hues }: DisplayKind
): { ground: number; common: Element; odd: Element } {
  const name = wanted ?? pick(random, ['light', 'dark'] as const)
  const ground = { light: 0.75 + 0.2 * random(), dark: 0.25 + 0.2 * random(), middle: 0.6, equal: 0.62 }[name]
  // Lighter or darker than middle by less, so that a strong colour still has room there.
  const middle = ground + (random() < 0.5 ? 0.18 : -0.18)
  const l = name === 'equal' ? ground : name === 'middle' ? middle : ground < 0.5 ? ground + 0.3 : ground - 0.3
  // On an equal ground an element without colour would not be there.
  const plain = kind === 'value' && hues !== 'many' && name !== 'equal' ? pick(random, [0, 0.06]) : 0.1
  const common: Element = { l, c: plain, h: 360 * random(), size: 1, angle: 180 * random() }
  const odd = { ...common }
  if (kind === 'value') {
    const by = 0.16 + 0.06 * random(),
      way = pick(random, [-1, 1])
    // As light as the ground it would not be there at all.
    odd.l += Math.abs(odd.l + way * by - ground) < 0.1 && plain < 0.1 ? -way * by : way * by
  }
  if (kind === 'hue') odd.h += pick(random, [-1, 1]) * (60 + 120 * random())
  if (kind === 'chroma') odd.c = pick(random, [0.03, 0.17])
  if (kind === 'chroma' && odd.c > 0.1) common.c = 0.07
  if (kind === 'size') odd.size = pick(random, [0.55, 1.8])
  if (kind === 'orientation') odd.angle += pick(random, [-1, 1]) * (40 + 50 * random())
  return { ground, common, odd }
}

/** Cover of a pixel by an element, with one pixel of soft edge. */
type Shape = (dx: number, dy: number, size: number, angle: number) => number
const soft = (distance: number): number => Math.min(1, Math.max(0, 0.5 - distance))
const disc: Shape = (dx, dy, r) => soft(Math.hypot(dx, dy) - r)
const square: Shape = (dx, dy, r) => soft(Math.max(Math.abs(dx), Math.abs(dy)) - 0.88 * r)
const bar: Shape = (dx, dy, r, angle) => {
  const rad = (angle * Math.PI) / 180,
    along = dx * Math.cos(rad) + dy * Math.sin(rad),
    across = dy * Math.cos(rad) - dx * Math.sin(rad)
  return soft(Math.max(Math.abs(along) - 1.45 * r, Math.abs(across) - 0.42 * r))
}

/** @returns the display, and where the odd element is in fractions, with its radius as a fraction of the width. */
export function popOut(kind: OddKind, random: Random, display: DisplayKind = {}): Display {
  const width = 480 + Math.floor(random() * 545),
    height = Math.round(width * (0.6 + 0.4 * random()))
  const { items } = display
  const columns = items ? Math.ceil(Math.sqrt((items * width) / height)) : 5 + Math.floor(random() * 6),
    rows = items ? Math.ceil(items / columns) : Math.max(4, Math.round((columns * height) / width))
  const cell = Math.min(width / columns, height / rows)
  const shape = kind === 'orientation' ? bar : pick(random, kind === 'size' ? [disc, square] : [disc, square, bar])
  const radius = cell * (0.17 + 0.07 * random())
  const { ground, common, odd } = cast(kind, random, display)
  const raster = createRaster(width, height)
  const groundLinear = fitToGamut([ground, 0, 0])
  const linear = new Float32Array(width * height * 3)
  for (let i = 0; i < linear.length; i++) linear[i] = groundLinear[i % 3]
  const taken = items ?? columns * rows,
    oddCell = Math.floor(random() * taken)
  let place = { x: 0, y: 0 }
  for (let k = 0; k < taken; k++) {
    const jitter = 0.12 * cell
    const x = ((k % columns) + 0.5) * (width / columns) + jitter * (2 * random() - 1),
      y = (Math.floor(k / columns) + 0.5) * (height / rows) + jitter * (2 * random() - 1)
    const base = k === oddCell ? odd : common
    const element = {
      ...base,
      l: base.l + 0.012 * gaussian(random),
      h: display.hues === 'many' ? 360 * random() : base.h + 4 * gaussian(random),
      size: base.size * (1 + 0.04 * gaussian(random)),
      angle: base.angle + 4 * gaussian(random)
    }
    if (k === oddCell) place = { x, y }
    stamp({ linear, width, height, x, y, radius, e: element, shape })
  }
  for (let i = 0; i < width * height; i++) {
    for (let c = 0; c < 3; c++) raster.data[i * 4 + c] = encodeByte(linear[i * 3 + c])
    raster.data[i * 4 + 3] = 255
  }
  return {
    raster,
    x: place.x / width,
    y: place.y / height,
    radius: cell / 2 / width,
    about:
      `${kind} ${width}×${height} ${columns * rows} ${shape.name} common ${JSON.stringify(common)}`
      + ` odd ${JSON.stringify(odd)} ground ${ground}`
  }
}

function stamp({
  linear,
  width,
  height,
  x,
  y,
  radius,
  e,
  shape
}: {
  readonly linear: Float32Array
  readonly width: number
  readonly height: number
  readonly x: number
  readonly y: number
  readonly radius: number
  readonly e: Element
  readonly shape: Shape
}): void {
  const wanted = oklabOf(e.l, e.c, e.h)
  const direct = convertOklabToLinear(wanted)
  const colour: Rgb = inGamut(direct) ? direct : fitToGamut(wanted)
  const r = radius * e.size,
    reach = Math.ceil(1.6 * r + 2)
  for (let py = Math.max(0, Math.floor(y - reach)); py <= Math.min(height - 1, y + reach); py++) {
    for (let px = Math.max(0, Math.floor(x - reach)); px <= Math.min(width - 1, x + reach); px++) {
      const cover = shape(px - x, py - y, r, e.angle)
      if (cover <= 0) continue
      const i = (py * width + px) * 3
      for (let c = 0; c < 3; c++) linear[i + c] += (colour[c] - linear[i + c]) * cover
    }
  }
}
