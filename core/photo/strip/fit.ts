/**
 * What the printed strip says of a photograph: the camera's curve and the light along the strip, from its greys and its
 * bare paper in one system; then, from its colours, what is left between the channels.
 */
import { differenceOf } from '../../colour/difference'
import { convertLinearToLab } from '../../colour/lab'
import { LINEAR_OF_BYTE, type Rgb } from '../../colour/srgb'
import { medianLight, samplePlace, type Seen } from '../../exercise/reader/sampling'
import type { Place } from '../../exercise/worksheet/worksheet'
import { homographyOf, type Point } from '../../numeric/homography'
import { leastSquares } from '../../numeric/solve'
import type { Raster } from '../../picture/raster'
import { COLOUR_PATCHES, GREY_PATCHES, PAPER_LIGHT, STRIP, STRIP_CORNERS, WHITES } from './strip'

/** From what a camera made of the strip to the light itself. */
export interface StripRead {
  /** Light that each byte stands for, 256 of them: the camera's curve undone, one for all channels. */
  readonly tone: Float64Array
  /** Light that falls on the middle of the strip, in what `tone` gives. */
  readonly light: Rgb
  /** By rows, to what the colours are to be, once light is taken out; keeps greys. */
  readonly between: readonly number[]
  /** Mean ΔE00 of the patches: as photographed, and brought right, each without its own help. */
  readonly off: { readonly before: number; readonly after: number }
}

interface Sample extends Place {
  /** As the camera has it. */
  readonly seen: Rgb
  readonly wanted: Rgb
}

/** A patch is read without its rim; bare paper is narrow. */
const INSET = { patch: 2, paper: 0.9 } as const
const STEP = { patch: 0.5, paper: 0.3 } as const
/** Share of a place that may be clipped, samples that it has to have. */
const CLIPPED = 0.3,
  LEAST = 12

function sampled(at: Seen, place: Place, what: keyof typeof INSET): Rgb | null {
  const samples = samplePlace(at, { place, inset: INSET[what], step: STEP[what] })
  return samples.count < LEAST || samples.clipped > CLIPPED ? null : medianLight(samples)
}

function samplesOf(at: Seen, places: readonly (Place & { readonly light?: Rgb })[]): Sample[] {
  const paper: Rgb = [PAPER_LIGHT, PAPER_LIGHT, PAPER_LIGHT]
  return places.flatMap(({ light, ...place }) => {
    const seen = sampled(at, place, light ? 'patch' : 'paper')
    return seen ? [{ ...place, seen, wanted: light ?? paper }] : []
  })
}

/** What is darker is noise and the camera's own shine. */
const FLOOR = 0.0015
const logOf = (v: number): number => Math.log(Math.max(FLOOR, v))

/** From the strip's middle, in its lengths. */
const placeOf = ({ x, y, w, h }: Place): [number, number] => [
  (x + w / 2 - STRIP.width / 2) / STRIP.width,
  (y + h / 2 - STRIP.height / 2) / STRIP.width
]

interface Curve {
  /** Of the logarithm of what the camera has: the logarithm of light. */
  readonly at: (u: number) => number
  /** Logarithm of the light at a place of the strip, by channel. */
  readonly lightAt: (place: Place, channel: number) => number
}

/** A curve rises everywhere between what was read, by at least so much. */
const RISE = 0.25

/**
 * Light seen by the camera's curve is light on the place times what the place sends back; in logarithms all of it is
 * linear: a curve's polynomial, each channel's light, and how each falls off along and across.
 */
function curveOf(samples: readonly Sample[], degree: number): Curve | null {
  const rows: number[][] = [],
    wanted: number[] = [],
    weights: number[] = []
  for (const sample of samples)
    for (let c = 0; c < 3; c++) {
      const u = logOf(sample.seen[c]),
        [along, across] = placeOf(sample)
      const light = new Array<number>(9).fill(0)
      light.splice(3 * c, 3, -1, -along, -across)
      rows.push([...Array.from({ length: degree }, (_, k) => u ** (k + 1)), ...light])
      wanted.push(Math.log(sample.wanted[c]))
      weights.push(sample.seen[c] / (sample.seen[c] + 0.01))
    }
  const found = leastSquares(rows, wanted, weights)
  if (!found) return null
  const curve = found.slice(0, degree),
    all = samples.flatMap(s => s.seen.map(logOf)),
    [low, high] = [Math.min(...all), Math.max(...all)]
  const at = (u: number): number => curve.reduce((sum, b, k) => sum + b * u ** (k + 1), 0),
    slope = (u: number): number => curve.reduce((sum, b, k) => sum + (k + 1) * b * u ** k, 0)
  for (let i = 0; i <= 20; i++) if (slope(low + ((high - low) * i) / 20) < RISE) return null
  return {
    // Beyond what was read it goes on as it was.
    at: u => (u < low ? at(low) + slope(low) * (u - low) : u > high ? at(high) + slope(high) * (u - high) : at(u)),
    lightAt: (place, c) => {
      const [along, across] = placeOf(place)
      return found[degree + 3 * c] + along * found[degree + 3 * c + 1] + across * found[degree + 3 * c + 2]
    }
  }
}

/** How strongly it is believed that channels do not mix: a printer is off by more than a camera. */
const HELD = 0.02

/** Least squares over patches once light is out; greys stay greys: every row sums to one. */
function between(colours: readonly { readonly is: Rgb; readonly wanted: Rgb }[]): number[] {
  return [0, 1, 2].flatMap(row => {
    const [p, q] = [0, 1, 2].filter(c => c !== row)
    // Of the row: 1 − a − b, a, b; weighed by what the eye makes of light: darks are held as well.
    const rows = colours.map(({ is }) => [is[p] - is[row], is[q] - is[row]]),
      off = colours.map(({ is, wanted }) => wanted[row] - is[row]),
      weights = colours.map(({ wanted }) => 1 / (0.02 + wanted[row]))
    rows.push([1, 0], [0, 1])
    off.push(0, 0)
    weights.push(HELD * colours.length, HELD * colours.length)
    const [a, b] = leastSquares(rows, off, weights) ?? [0, 0],
      out = [0, 0, 0]
    out[row] = 1 - a - b
    out[p] = a
    out[q] = b
    return out
  })
}

export const mixed = (m: readonly number[], [r, g, b]: Rgb): Rgb => [
  m[0] * r + m[1] * g + m[2] * b,
  m[3] * r + m[4] * g + m[5] * b,
  m[6] * r + m[7] * g + m[8] * b
]

const differ = (a: Rgb, b: Rgb): number => differenceOf(convertLinearToLab(a), convertLinearToLab(b))
const mean = (of: readonly number[]): number => of.reduce((sum, v) => sum + v, 0) / of.length

/** Patches and white places that have to be read: of eight, of eight, of eighteen. */
const READ = { greys: 7, colours: 6, whites: 9 } as const
/** Mean ΔE00 beyond which the strip is not believed. */
const BELIEVED = 6

const UNREAD = 'The printed strip cannot be read: is a hand or a shadow on it, is it burnt out, or too far away?'
const NOT_OURS = 'The printed strip is far from what it is to be: was it printed in colour, on white paper, as it is?'

/**
 * @param corners of the strip's marks, clockwise from its own top left, fractions. @throws RangeError in the user's
 * words.
 */
export function readStrip(photo: Raster, corners: readonly Point[]): StripRead {
  const map = homographyOf(
    STRIP_CORNERS,
    corners.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height }))
  )
  if (!map) throw new RangeError(UNREAD)
  const at: Seen = { photo, map },
    [greys, colours, whites] = [GREY_PATCHES, COLOUR_PATCHES, WHITES].map(places => samplesOf(at, places))
  if (greys.length < READ.greys || colours.length < READ.colours || whites.length < READ.whites)
    throw new RangeError(UNREAD)
  const fitted = [...greys, ...whites],
    curve = curveOf(fitted, 3) ?? curveOf(fitted, 2) ?? curveOf(fitted, 1)
  if (!curve) throw new RangeError(NOT_OURS)
  const freed = ({ seen, wanted, ...place }: Sample) => ({
    seen,
    wanted,
    is: seen.map((v, c) => Math.exp(curve.at(logOf(v)) - curve.lightAt(place, c))) as unknown as Rgb
  })
  const patches = [...greys, ...colours].map(freed),
    coloured = colours.map(freed)
  const after = patches.map(patch => {
    const others = coloured.filter(({ seen }) => seen !== patch.seen)
    return differ(mixed(between(others), patch.is), patch.wanted)
  })
  const off = { before: mean(patches.map(({ seen, wanted }) => differ(seen, wanted))), after: mean(after) }
  if (off.after > BELIEVED) throw new RangeError(NOT_OURS)
  const middle: Place = { x: STRIP.width / 2, y: STRIP.height / 2, w: 0, h: 0 }
  return {
    tone: Float64Array.from(LINEAR_OF_BYTE, v => (v > 0 ? Math.exp(curve.at(Math.log(v))) : 0)),
    light: [0, 1, 2].map(c => Math.exp(curve.lightAt(middle, c))) as unknown as Rgb,
    between: between(coloured),
    off
  }
}
