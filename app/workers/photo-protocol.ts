/** What the page and the photo worker say to each other: types only. */
import type { Corrected } from '~~/core/photo/correct'
import type { PhotoSteps } from '~~/core/photo/steps'
import type { FoundSheet } from '~~/core/photo/find/find'
import type { Point } from '~~/core/numeric/homography'

export interface PhotoWorker {
  /** Holds a photograph, and looks for the sheet in it. */
  load(file: Blob): Promise<{ width: number; height: number; found: FoundSheet }>
  /** Where our printed strip lies in it, and the sheet without it: a second's work. */
  strip(): Promise<{ corners: readonly Point[]; found: FoundSheet } | null>
  /** The photograph as it is: what corners are set on. */
  plain(): Promise<ImageBitmap>
  /** What the corners give, small and at once. @returns null where they are no sheet's. */
  preview(corners: readonly Point[], ratio: number | null): Promise<ImageBitmap | null>
  /** The work, as large as a wall shows it, and what came of the steps. @throws in the user's words. */
  correct(steps: PhotoSteps): Promise<{ picture: Blob; told: Omit<Corrected, 'raster' | 'own'> }>
}
