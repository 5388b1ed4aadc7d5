/** What finds printed marks in a picture: given to the reader, since it is a library's. */
import type { Raster } from '../../picture/raster'
import type { Point } from '../../numeric/homography'

export interface Seeing {
  /** Markers with their corners in their own order: top left as it was printed first, clockwise; whole pixels. */
  readonly markers: (image: Raster) => readonly { readonly id: number; readonly corners: readonly Point[] }[]
  /** The text of a square code that fills most of the picture; null where none can be read. */
  readonly code: (image: Raster) => string | null
}
