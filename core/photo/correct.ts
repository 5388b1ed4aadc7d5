/** A photograph of work made into the work: by steps that are kept and can be changed, from the original every time. */
import type { Rgb } from '../colour/srgb'
import type { Raster } from '../picture/raster'
import { fitWithin, type SourcePixels } from '../picture/resample'
import { photoDoubts } from './doubts'
import { isSheet } from './find/rectangle'
import { lightOf } from './light'
import { FRAME, type PhotoDoubt, type PhotoSteps } from './steps'
import { flatMap, flatSize, ratioOf, straighten } from './straighten'
import type { StripRead } from './strip/fit'

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
  /** How far colours were off, and are now, where the printed strip says so: mean ΔE00. */
  readonly strip: StripRead['off'] | null
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
  const light = lightOf(photo, steps, { map, size: at(LIGHT_EDGE) })
  progress(0.4)
  const raster = straighten(source, {
    map,
    size: edge === null ? own : at(edge),
    correction: light?.correction,
    tone: light?.strip?.tone,
    between: light?.strip?.between,
    progress: share => progress(0.4 + 0.6 * share)
  })
  const doubts = photoDoubts(looked, { own: Math.max(own.width, own.height), known: light !== null })
  return {
    raster,
    own,
    ratio,
    cast: light?.cast ?? null,
    falloff: light?.falloff ?? null,
    strip: light?.strip?.off ?? null,
    doubts
  }
}
