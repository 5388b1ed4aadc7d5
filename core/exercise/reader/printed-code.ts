/** The square code of a page, wherever the page lies in the photograph. */
import { createRaster } from '../../picture/raster'
import type { Place } from '../worksheet/worksheet'
import { through } from '../../numeric/homography'
import type { Seen } from './sampling'
import type { Seeing } from './seeing'

const SIDES = [360, 240, 520] as const
/** Millimetres around it that are looked at too. */
const CLEAR = 3

/**
 * Made straight: modules are a few pixels then, whatever the photograph's size.
 * @param parse of a text, null where it is none of the kind that is wanted. @returns null when there is none.
 */
export function readPrintedCode<T>(
  { photo, map }: Seen,
  place: Place,
  { seeing, parse }: { readonly seeing: Seeing; readonly parse: (text: string) => T | null }
): T | null {
  const area = { x: place.x - CLEAR, y: place.y - CLEAR, w: place.w + 2 * CLEAR, h: place.h + 2 * CLEAR }
  for (const side of SIDES) {
    const straight = createRaster(side, side)
    for (let j = 0; j < side; j++)
      for (let i = 0; i < side; i++) {
        const at = through(map, { x: area.x + ((i + 0.5) / side) * area.w, y: area.y + ((j + 0.5) / side) * area.h })
        const x = Math.min(photo.width - 1, Math.max(0, Math.floor(at.x))),
          y = Math.min(photo.height - 1, Math.max(0, Math.floor(at.y)))
        const p = 4 * (y * photo.width + x)
        straight.data.set([photo.data[p], photo.data[p + 1], photo.data[p + 2], 255], 4 * (j * side + i))
      }
    const text = seeing.code(straight),
      code = text === null ? null : parse(text)
    if (code) return code
  }
  return null
}
