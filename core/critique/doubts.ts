/** What shakes the readings of a file, said with those it shakes. */
import type { Report } from '../measure/report'

/** Under this long side, in pixels, edges and detail are those of the file, not of the work. */
const SMALL_EDGE = 400

export function doubtsOf({ picture: { sourceWidth, sourceHeight, format } }: Report): string[] {
  const small = Math.max(sourceWidth, sourceHeight) < SMALL_EDGE
  return small
    ? [`the file is small${format === 'jpeg' ? ' and compressed' : ''}: ${sourceWidth} × ${sourceHeight} pixels`]
    : []
}
