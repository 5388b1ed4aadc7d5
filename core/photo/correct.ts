/** A photograph of work made into the work: by steps that are kept and can be changed, from the original every time. */
import { luminanceOf } from '../colour/lab'
import type { Rgb } from '../colour/srgb'
import { inverse, through, type Homography } from '../numeric/homography'
import type { Raster } from '../picture/raster'
import { fitWithin, type SourcePixels } from '../picture/resample'
import { photoDoubts } from './doubts'
import { isSheet } from './find/rectangle'
import { correctionBy, lightAbout, lightField, type LightField } from './neutral'
import { FRAME, type PhotoDoubt, type PhotoSteps } from './steps'
import { flatMap, flatSize, ratioOf, straighten, type Correction } from './straighten'

export interface Corrected {
  readonly raster: Raster
  /** As large as the sheet is in the photograph. */
  readonly own: { readonly width: number; readonly height: number }
  /** Width over height of the sheet. */
  readonly ratio: number
  /** Stops that red, green and blue of what is known lie over their mean; null where nothing is known. */
  readonly cast: Rgb | null
  /** Share of the most light that the least is short of, across the sheet, 0–1; null where it cannot be told. */
  readonly falloff: number | null
  readonly doubts: readonly PhotoDoubt[]
}

/** Long edges that light is read at, and that a sheet is looked over at. */
const LIGHT_EDGE = 256,
  LOOKED_OVER = 1000

interface Asked {
  /** Long edge of what is made; null: as large as the sheet is in the photograph. */
  readonly edge: number | null
  /** Told 0–1. */
  readonly progress?: (share: number) => void
}

interface Known {
  readonly cast: Rgb
  readonly falloff: number | null
  readonly correction: Correction
}

/** @param flat the sheet, small, as photographed. @throws RangeError where the place is burnt out, or black. */
function lightOf(
  photo: Raster,
  { known, even }: PhotoSteps,
  { map, flat }: { map: Homography; flat: Raster }
): Known | null {
  if (!known) return null
  const back = inverse(map),
    on = back && through(back, { x: known.x * photo.width, y: known.y * photo.height }),
    onSheet = on !== null && on.x >= 0 && on.y >= 0 && on.x <= 1 && on.y <= 1
  // A card beside the sheet says the lamp's colour, and nothing of how its light falls off.
  const beside = onSheet ? null : lightAbout(photo, known),
    field: LightField | null = onSheet
      ? lightField(flat, on)
      : beside && { at: () => beside, falloff: 0, spread: false }
  if (!field) throw new RangeError('This place is burnt out or black: it does not say what white is. Pick another.')
  const at = onSheet ? on : { x: 0.5, y: 0.5 },
    light = field.at(at.x, at.y),
    mean = luminanceOf(light)
  return {
    cast: light.map(v => Math.log2(v / mean)) as unknown as Rgb,
    falloff: field.spread ? field.falloff : null,
    correction: correctionBy(field, { as: known.as, at, even })
  }
}

/**
 * @param photo all its pixels. @throws RangeError in the user's words: corners that are no sheet's, a place that is not
 * known to be anything.
 */
export function correctPhoto(photo: Raster, steps: PhotoSteps, { edge, progress = () => {} }: Asked): Corrected {
  const corners = steps.corners ?? FRAME,
    map = flatMap(corners, photo)
  if (!map || !isSheet(corners, photo))
    throw new RangeError('These four corners are no sheet’s: two of them lie together, three in a row, or they cross.')
  const source: SourcePixels = { ...photo, channels: 4 },
    ratio = ratioOf(steps.corners, photo, steps.ratio),
    own = flatSize(corners, photo, ratio),
    at = (most: number) => fitWithin(own.width, own.height, most)
  const looked = straighten(source, { map, size: at(LOOKED_OVER) })
  progress(0.3)
  const flat = steps.known ? straighten(source, { map, size: at(LIGHT_EDGE) }) : looked,
    light = lightOf(photo, steps, { map, flat })
  progress(0.4)
  const raster = straighten(source, {
    map,
    size: edge === null ? own : at(edge),
    correction: light?.correction,
    progress: share => progress(0.4 + 0.6 * share)
  })
  const doubts = photoDoubts(looked, { own: Math.max(own.width, own.height), known: steps.known !== null })
  return { raster, own, ratio, cast: light?.cast ?? null, falloff: light?.falloff ?? null, doubts }
}
