/** What is done about a photograph's light: by a place that is known, or by our printed strip. */
import { luminanceOf } from '../colour/lab'
import type { Rgb } from '../colour/srgb'
import { inverse, through, type Homography, type Point } from '../numeric/homography'
import { middleOf } from '../numeric/quad'
import type { Raster } from '../picture/raster'
import { correctionBy, lightAbout, lightAround, lightField, type LightField } from './neutral'
import { readStrip, type StripRead } from './strip/fit'
import { PAPER_LIGHT } from './strip/strip'
import type { PhotoSteps } from './steps'
import { straighten, type Correction } from './straighten'

export interface KnownLight {
  /** Stops that red, green and blue of what is known lie over their mean. */
  readonly cast: Rgb
  /** Null where it cannot be told. */
  readonly falloff: number | null
  readonly correction: Correction
  /** Where the strip gives them. */
  readonly strip: StripRead | null
}

interface Sheet {
  /** From its fractions to pixels of the photograph. */
  readonly map: Homography
  /** As large as light is read at. */
  readonly size: { readonly width: number; readonly height: number }
}

const castOf = (light: Rgb): Rgb => {
  const mean = luminanceOf(light)
  return light.map(v => Math.log2(v / mean)) as unknown as Rgb
}

const within = (v: number): number => Math.min(1, Math.max(0, v))
const isOn = ({ x, y }: Point): boolean => x === within(x) && y === within(y)
/** Of the sheet's sides, how far beyond them its light is believed to go on as it does. */
const BEYOND = 0.35

/** The light beside a sheet: as it is at its border, and as it changes there. */
export function lightBeside({ at }: Pick<LightField, 'at'>, { x, y }: Point): Rgb {
  const border = { x: within(x), y: within(y) },
    far = Math.min(1, BEYOND / Math.max(1e-9, Math.hypot(x - border.x, y - border.y))),
    inner = { x: within(border.x - far * (x - border.x)), y: within(border.y - far * (y - border.y)) },
    here = at(border.x, border.y),
    before = at(inner.x, inner.y)
  return here.map((v, c) => (v * v) / before[c]) as unknown as Rgb
}

/** White paper in the strip's light is made this light while light is read: what lies brighter is not clipped. */
const HALF = 0.5

function byStrip(photo: Raster, steps: PhotoSteps, { map, size }: Sheet): KnownLight {
  const strip = readStrip(photo, steps.strip!),
    plain = strip.light.map(v => HALF / v) as unknown as Rgb,
    flat = straighten({ ...photo, channels: 4 }, { map, size, tone: strip.tone, correction: () => plain })
  const back = inverse(map)!,
    onSheet = (p: Point): Point => through(back, { x: p.x * photo.width, y: p.y * photo.height }),
    known = steps.known && onSheet(steps.known),
    field = known && isOn(known) ? lightField(flat, known) : lightAround(flat, HALF * PAPER_LIGHT),
    spread = field?.spread ? field : null,
    one = strip.light.map(v => 1 / v) as unknown as Rgb
  const at = spread && lightBeside(spread, onSheet(middleOf(steps.strip!)))
  const correction: Correction =
    spread && at && steps.even
      ? (u, v) => {
          const light = spread.at(u, v)
          return one.map((gain, k) => (gain * at[k]) / light[k]) as unknown as Rgb
        }
      : () => one
  return { cast: castOf(strip.light), falloff: spread?.falloff ?? null, correction, strip }
}

function byPlace(photo: Raster, { known, even }: PhotoSteps, { map, size }: Sheet): KnownLight {
  const back = inverse(map)!,
    on = through(back, { x: known!.x * photo.width, y: known!.y * photo.height })
  // A card beside the sheet says the lamp's colour, and nothing of how its light falls off.
  const beside = isOn(on) ? null : lightAbout(photo, known!),
    field: LightField | null = isOn(on)
      ? lightField(straighten({ ...photo, channels: 4 }, { map, size }), on)
      : beside && { at: () => beside, falloff: 0, spread: false }
  if (!field) throw new RangeError('This place is burnt out or black: it does not say what white is. Pick another.')
  const at = isOn(on) ? on : { x: 0.5, y: 0.5 }
  return {
    cast: castOf(field.at(at.x, at.y)),
    falloff: field.spread ? field.falloff : null,
    correction: correctionBy(field, { as: known!.as, at, even }),
    strip: null
  }
}

/** @returns null where nothing is known. @throws RangeError where what is to be known cannot be read. */
export function lightOf(photo: Raster, steps: PhotoSteps, sheet: Sheet): KnownLight | null {
  if (steps.strip) return byStrip(photo, steps, sheet)
  return steps.known ? byPlace(photo, steps, sheet) : null
}
