/**
 * White and light of a photograph: what is known to be white or grey in it says what the lamp's colour was, and where
 * more of the paper is seen, how the light falls off across the sheet. Per channel, in linear light.
 */
import { luminanceOf } from '../colour/lab'
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { medianOf } from '../numeric/median'
import { leastSquares } from '../numeric/solve'
import type { Point } from '../numeric/homography'
import type { Raster } from '../picture/raster'
import type { KnownAs } from './steps'

/** Linear light that each sends back: paper about nine tenths of it, a grey card eighteen hundredths. */
const KNOWN: Readonly<Record<KnownAs, number>> = { white: 0.9, grey: 0.18 }

/** Radius that a picked place is read over, of the diagonal. */
const PICKED = 0.006
/** A byte from which a channel says no more. */
const CLIPPED = 253

/** @returns the middle of each channel about a place, linear light; null where it is clipped or black. */
export function lightAbout({ width, height, data }: Raster, at: Point): Rgb | null {
  const radius = Math.max(1, PICKED * Math.hypot(width, height)),
    channels: number[][] = [[], [], []]
  let clipped = 0
  for (let y = Math.max(0, Math.floor(at.y * height - radius)); y <= Math.min(height - 1, at.y * height + radius); y++)
    for (let x = Math.max(0, Math.floor(at.x * width - radius)); x <= Math.min(width - 1, at.x * width + radius); x++) {
      if (Math.hypot(x + 0.5 - at.x * width, y + 0.5 - at.y * height) > radius) continue
      const i = 4 * (y * width + x)
      if (data[i] >= CLIPPED || data[i + 1] >= CLIPPED || data[i + 2] >= CLIPPED) clipped++
      channels.forEach((c, k) => c.push(LINEAR_OF_BYTE[data[i + k]]))
    }
  const count = channels[0].length
  if (!count || clipped > 0.3 * count) return null
  const light = channels.map(medianOf) as unknown as Rgb
  return light.every(v => v > 0.002) ? light : null
}

/**
 * Light over a sheet: of what is known, at a place of it. @property falloff of the most light, what the least is short:
 * 0–1.
 */
export interface LightField {
  readonly at: (u: number, v: number) => Rgb
  readonly falloff: number
  /** Whether enough of the paper was seen to tell. */
  readonly spread: boolean
}

/** Chromaticity apart, and light against a neighbour's, that is still the same paper. */
const STEP = 0.035
/** Under one lamp; and under two of them, where paper is known to go all the way around. */
const TINT = 0.06,
  TINTS = 0.1
/** Light against the picked place's, within which paper may lie. */
const DARKEST = 0.3,
  LIGHTEST = 2.2
/** With fewer places, or in fewer of the sheet's sixteenths, one light is taken for all of it; a plane with few. */
const LEAST_SHARE = 0.004,
  PLANE = 4,
  CURVED = 8

const logs = (rgb: Rgb): number[] => rgb.map(v => Math.log(Math.max(1e-4, v)))

/**
 * The paper that hangs together with a picked place, and a surface through its light. @param flat the straightened
 * sheet, small. @param picked fractions of it. @returns null where the place is clipped.
 */
export function lightField(flat: Raster, picked: Point, tint = TINT): LightField | null {
  const white = lightAbout(flat, picked)
  if (!white) return null
  const paper = paperFrom(flat, { picked, white, most: tint })
  const sixteenths = new Set(
      paper.map(({ u, v }) => 4 * Math.min(3, Math.floor(4 * v)) + Math.min(3, Math.floor(4 * u)))
    ).size,
    share = paper.length / (flat.width * flat.height)
  const one: LightField = { at: () => white, falloff: 0, spread: false }
  if (share < LEAST_SHARE || sixteenths < PLANE) return one
  const terms = (u: number, v: number): number[] => (sixteenths < CURVED ? [1, u, v] : [1, u, v, u * u, u * v, v * v])
  const rows = paper.map(p => terms(p.u, p.v)),
    brightness = paper.map(p => Math.log(luminanceOf(p.light)))
  const fitted = robustly(rows, brightness)
  if (!fitted) return one
  // What is as light as paper and of another colour is no paper either.
  const surfaces = [0, 1, 2].map(
    c =>
      robustly(
        rows,
        paper.map(p => logs(p.light)[c]),
        fitted.weights
      )?.surface ?? null
  )
  if (surfaces.some(s => s === null)) return one
  const at = (u: number, v: number): Rgb => {
    const t = terms(u, v)
    return surfaces.map(s => Math.exp(dot(t, s!))) as unknown as Rgb
  }
  const lights = Array.from({ length: 81 }, (_, i) => luminanceOf(at((i % 9) / 8, Math.floor(i / 9) / 8)))
  return { at, falloff: 1 - Math.min(...lights) / Math.max(...lights), spread: true }
}

/** How far in from its border a sheet is looked at for paper, and how much of that has to be it: fractions. */
const RING = 0.02,
  AROUND = 0.9
/** Light that paper sends back at least, white paper's being nine tenths. */
const PALE = 0.5

/**
 * Light by the paper that goes all the way around what is on a sheet. @param flat the sheet, small. @param white light
 * of white paper in it. @returns null where none does.
 */
export function lightAround(flat: Raster, white: number): LightField | null {
  const { width, height, data } = flat,
    x0 = Math.round(RING * width),
    y0 = Math.round(RING * height)
  const ring: number[] = []
  for (let x = x0; x < width - x0; x++) ring.push(y0 * width + x, (height - 1 - y0) * width + x)
  for (let y = y0; y < height - y0; y++) ring.push(y * width + x0, y * width + width - 1 - x0)
  const lightAt = (i: number): number =>
      luminanceOf([0, 1, 2].map(c => LINEAR_OF_BYTE[data[4 * i + c]]) as unknown as Rgb),
    bright = [...ring].sort((p, q) => lightAt(p) - lightAt(q))[Math.floor(ring.length / 2)]
  if (bright === undefined || lightAt(bright) < PALE * white) return null
  const at = { x: ((bright % width) + 0.5) / width, y: (Math.floor(bright / width) + 0.5) / height },
    light = lightAbout(flat, at)
  if (!light) return null
  // Two lamps are thought of where one does not explain it: the more tints count as paper, the more paint does.
  for (const most of [TINT, TINTS]) {
    const paper = new Set(
      paperFrom(flat, { picked: at, white: light, most }).map(
        ({ u, v }) => Math.floor(v * height) * width + Math.floor(u * width)
      )
    )
    if (ring.filter(i => paper.has(i)).length >= AROUND * ring.length) return lightField(flat, at, most)
  }
  return null
}

/** A surface through most of what is given: what lies off it, a stroke or a shadow, counts for little. */
function robustly(
  rows: readonly (readonly number[])[],
  wanted: readonly number[],
  given: readonly number[] = rows.map(() => 1)
): { surface: number[]; weights: number[] } | null {
  let weights = [...given],
    surface: number[] | null = null
  for (let round = 0; round < 5; round++) {
    surface = leastSquares(rows, wanted, weights)
    if (!surface) return null
    const off = rows.map((r, i) => wanted[i] - dot(r, surface!)),
      scale = Math.max(0.008, 1.4826 * medianOf(off.map(Math.abs)))
    weights = off.map((o, i) => given[i] * (Math.abs(o) < 4 * scale ? (1 - (o / (4 * scale)) ** 2) ** 2 : 0))
  }
  return surface && { surface, weights }
}

interface Paper {
  readonly u: number
  readonly v: number
  readonly light: Rgb
}

/** Spreads from the picked place to whatever is as light as its neighbour and of the same tint. */
function paperFrom(
  { width, height, data }: Raster,
  { picked, white, most }: { readonly picked: Point; readonly white: Rgb; readonly most: number }
): Paper[] {
  const total = (rgb: Rgb): number => rgb[0] + rgb[1] + rgb[2],
    tint = white.map(v => v / total(white)),
    seen = new Uint8Array(width * height)
  const lightOf = (i: number): Rgb => [0, 1, 2].map(c => LINEAR_OF_BYTE[data[4 * i + c]]) as unknown as Rgb
  const start =
    Math.min(height - 1, Math.floor(picked.y * height)) * width + Math.min(width - 1, Math.floor(picked.x * width))
  const queue = [start],
    paper: Paper[] = []
  seen[start] = 1
  while (queue.length) {
    const i = queue.pop()!,
      light = lightOf(i),
      x = i % width,
      y = Math.floor(i / width)
    if (!data.subarray(4 * i, 4 * i + 3).some(v => v >= CLIPPED))
      paper.push({ u: (x + 0.5) / width, v: (y + 0.5) / height, light })
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1]
    ]) {
      const nx = x + dx,
        ny = y + dy,
        n = ny * width + nx
      if (nx < 0 || ny < 0 || nx >= width || ny >= height || seen[n]) continue
      const there = lightOf(n),
        sum = total(there)
      if (sum < DARKEST * total(white) || sum > LIGHTEST * total(white)) continue
      if (Math.abs(Math.log(sum / total(light))) > STEP) continue
      if (there.some((v, c) => Math.abs(v / sum - tint[c]) > most)) continue
      seen[n] = 1
      queue.push(n)
    }
  }
  return paper
}

const dot = (p: readonly number[], q: readonly number[]): number => p.reduce((sum, v, i) => sum + v * q[i], 0)

/** What brings a light to what is known of it. @param even the fall-off is taken out too. */
export function correctionBy(
  field: LightField,
  { as, at, even }: { readonly as: KnownAs; readonly at: Point; readonly even: boolean }
): (u: number, v: number) => Rgb {
  const one = field.at(at.x, at.y).map(v => KNOWN[as] / v) as unknown as Rgb
  return even ? (u, v) => field.at(u, v).map(l => KNOWN[as] / l) as unknown as Rgb : () => one
}
