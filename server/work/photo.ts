/** A photograph's work, from all pixels of its original. */
import { correctPhoto } from '../../core/photo/correct'
import type { PhotoSteps } from '../../core/photo/steps'
import type { Raster } from '../../core/picture/raster'
import type { PhotoTold } from '../../shared/pieces/photo'
import type { Refusal } from './decode'
import { decodeFull } from './layers/layers'

export interface CorrectedWork {
  readonly kind: 'corrected'
  readonly raster: Raster
  /** As large as the sheet is in the photograph. */
  readonly own: { readonly width: number; readonly height: number }
  readonly told: PhotoTold
}

/** @param edge long edge of what is made; null: every pixel. @returns a refusal where the steps cannot be done. */
export async function correctedWork(
  bytes: Uint8Array,
  steps: PhotoSteps,
  edge: number | null
): Promise<CorrectedWork | Refusal> {
  try {
    const { raster, own, ...told } = correctPhoto(await decodeFull(bytes), steps, { edge })
    return { kind: 'corrected', raster, own, told }
  } catch (error) {
    if (error instanceof RangeError) return { kind: 'refused', code: 'invalid', message: error.message }
    throw error
  }
}

/** The work that an original shows: the file's own pixels, or what its steps make of them. */
export async function decodeWork(bytes: Uint8Array, steps: PhotoSteps | null): Promise<Raster> {
  return steps ? correctPhoto(await decodeFull(bytes), steps, { edge: null }).raster : decodeFull(bytes)
}
