/** The colour of a painted box: what paint there is, without the paper that shows through, the outline, and specks. */
import { convertLinearToOklab } from '../../colour/oklab'
import { luminanceOf } from '../../colour/lab'
import type { Rgb } from '../../colour/srgb'
import { medianOf } from '../../numeric/median'
import type { Box, Place } from '../worksheet/worksheet'
import type { Light, Tone } from './light'
import type { Painted } from './judge'
import { samplePlace, type Samples, type Seen } from './sampling'

/** Millimetres: the outline with what a hand misses it by, and between samples. */
const INSET = 2,
  STEP = 0.5
/** OKLab distance from the paper's white that is bare paper still. */
const BARE = 0.05
/** A box with less paint than this is empty. */
const PAINTED = 0.3
const COLUMNS = 16

/** @property spread of its luminance, as a share: a shadow's edge or a glare across it. */
export interface SeenBox extends Painted {
  readonly clipped: number
  readonly spread: number
}

const distance = (p: Rgb, q: Rgb): number => {
  const [a, b] = [convertLinearToOklab(p), convertLinearToOklab(q)]
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
}

interface Colour {
  readonly colour: Rgb | null
  readonly spread: number
}

/** The middle of the paint, without what is bare and what lies far from that middle. */
function paintOf(samples: readonly Rgb[]): Colour {
  const painted = samples.filter(s => distance(s, [1, 1, 1]) > BARE)
  if (painted.length < PAINTED * samples.length) return { colour: null, spread: 0 }
  const middle = channels(painted, medianOf)
  const away = painted.map(s => distance(s, middle)),
    bound = Math.max(0.02, 2.5 * medianOf(away))
  const kept = painted.filter((_, i) => away[i] <= bound)
  const lights = kept.map(luminanceOf).sort((p, q) => p - q)
  const [low, high] = [0.1, 0.9].map(q => lights[Math.floor(q * (lights.length - 1))])
  return {
    colour: channels(kept, all => all.reduce((p, q) => p + q, 0) / all.length),
    spread: (high - low) / Math.max(0.02, luminanceOf(middle))
  }
}

const channels = (all: readonly Rgb[], of: (numbers: number[]) => number): Rgb =>
  [0, 1, 2].map(c => of(all.map(s => s[c]))) as unknown as Rgb

/** Samples as they were printed, each against the white where it lies. */
function corrected({ light, count }: Samples, white: Rgb, tone: Tone): Rgb[] {
  return Array.from({ length: count }, (_, i) =>
    tone([light[3 * i] / white[0], light[3 * i + 1] / white[1], light[3 * i + 2] / white[2]])
  )
}

/** Light changes little across a box: it is asked in its middle. */
function readPlace(
  at: Seen,
  { place, inset }: { readonly place: Place; readonly inset: number },
  { light, tone }: Known
): Colour & { readonly clipped: number } {
  const samples = samplePlace(at, { place, inset, step: STEP })
  const white = light.whiteAt(place.x + place.w / 2, place.y + place.h / 2)
  return { ...paintOf(corrected(samples, white, tone)), clipped: samples.clipped }
}

interface Known {
  readonly light: Light
  readonly tone: Tone
}

/** @returns the box as painted. */
export function seeBox(at: Seen, box: Box, known: Known): SeenBox {
  const { colour, spread, clipped } = readPlace(at, { place: box, inset: INSET }, known)
  if (box.wanted.kind !== 'run' || colour === null) {
    // Wanted nearly white, the paper may stand for it.
    const bare = colour === null && box.wanted.kind === 'value' && box.wanted.value >= 93
    return { box, colour: bare ? [1, 1, 1] : colour, columns: [], clipped, spread }
  }
  const w = (box.w - 2 * INSET) / COLUMNS
  const columns = Array.from({ length: COLUMNS }, (_, i) => {
    const place = { x: box.x + INSET + i * w, y: box.y + INSET, w, h: box.h - 2 * INSET }
    return readPlace(at, { place, inset: 0 }, known).colour ?? ([1, 1, 1] as const)
  })
  return { box, colour, columns, clipped, spread: 0 }
}
