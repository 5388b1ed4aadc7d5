/** What a lens looks at, and what it draws in. */
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'

export interface Seen {
  readonly raster: Raster
  readonly planes: Planes
  /** RGBA of the raster's size, overwritten. */
  readonly out: Uint8ClampedArray
}
