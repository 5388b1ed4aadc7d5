/** Filling what belongs to nobody from what lies around it, so that its border is no edge. */
import { enlargePlane, reducePlane, type Plane } from './plane'

/** A cell counts as known from this share of cover on. */
const KNOWN = 0.05

/**
 * Cells without cover take the mean of what is nearest, found at ever coarser sizes; the others stay.
 * @param plane means over the covered part of each cell. @param cover 0–1, of the same size. @returns a new plane.
 */
export function fillClear(plane: Plane, cover: Plane): Plane {
  const { width, height } = plane
  const out = plane.data.slice()
  if (width <= 1 && height <= 1) return { width, height, data: out }
  if (!cover.data.some(c => c <= KNOWN)) return plane
  const w = Math.max(1, width >> 1),
    h = Math.max(1, height >> 1)
  const weighted = { width, height, data: plane.data.map((v, i) => v * cover.data[i]) }
  const sums = reducePlane(weighted, w, h),
    covers = reducePlane(cover, w, h)
  for (let i = 0; i < sums.data.length; i++) if (covers.data[i] > 1e-6) sums.data[i] /= covers.data[i]
  const around = enlargePlane(
    fillClear(sums, { ...covers, data: covers.data.map(c => Math.min(1, 4 * c)) }),
    width,
    height
  )
  for (let i = 0; i < out.length; i++) if (cover.data[i] <= KNOWN) out[i] = around.data[i]
  return { width, height, data: out }
}
