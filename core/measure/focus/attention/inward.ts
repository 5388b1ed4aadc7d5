/**
 * Where on the picture a contrast counts. The eye is not drawn to where a picture is cut off, and looks a little more
 * at the middle than at the corners (B. W. Tatler, Journal of Vision 7(14), 2007, on the central fixation bias).
 */
import { createPlane, type Plane } from '../../../picture/plane'

/** Contrast fades out over this share of the short side toward the rim. */
const TAPER = 0.12
/** So much less counts a corner than the middle. Our choice, mild: it only decides between equals. */
const CORNER = 0.25

/** 0 at the rim of what is covered – 1 in its middle, at the cover's size. */
export function inwardOf({ width, height, data }: Plane): Plane {
  let x0 = width,
    x1 = 0,
    y0 = height,
    y1 = 0
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      if (data[y * width + x] < 0.5) continue
      x0 = Math.min(x0, x)
      x1 = Math.max(x1, x + 1)
      y0 = Math.min(y0, y)
      y1 = Math.max(y1, y + 1)
    }
  }
  const out = createPlane(width, height),
    reach = Math.max(1, TAPER * Math.min(x1 - x0, y1 - y0)),
    radius = Math.hypot(x1 - x0, y1 - y0) / 2
  for (let y = y0; y < y1; y++) {
    for (let x = x0; x < x1; x++) {
      const rim = Math.min(x + 0.5 - x0, x1 - x - 0.5, y + 0.5 - y0, y1 - y - 0.5)
      const far = Math.hypot(x + 0.5 - (x0 + x1) / 2, y + 0.5 - (y0 + y1) / 2) / radius
      out.data[y * width + x] = Math.min(1, rim / reach) * (1 - CORNER * far * far)
    }
  }
  return out
}
