/** Whether four corners may be a rectangle seen by a camera, and how it lies. */
import { homographyOf, type Point } from '../../numeric/homography'

type Size = { readonly width: number; readonly height: number }

/** Focal lengths of cameras and telephones, in long edges of the photograph: from wide to long. */
const FOCAL = [0.65, 0.8, 1, 1.3, 1.8, 2.8]

/** @property square cosine of the angle between neighbouring sides, at the camera that makes it least. */
export interface SeenRectangle {
  readonly ratio: number
  readonly square: number
}

/**
 * Sides of a rectangle from its four corners, the camera's middle being the photograph's (Z. Zhang & L.-W. He,
 * "Whiteboard scanning and image enhancement", Digital Signal Processing 17, 2007), by the focal length at which it is
 * most a rectangle. @param corners clockwise from the top left, pixels. @returns null where they are none.
 */
export function rectangleOf(corners: readonly Point[], { width, height }: Size): SeenRectangle | null {
  const long = Math.max(width, height),
    h = homographyOf(
      [
        { x: -0.5, y: -0.5 },
        { x: 0.5, y: -0.5 },
        { x: 0.5, y: 0.5 },
        { x: -0.5, y: 0.5 }
      ],
      corners.map(({ x, y }) => ({ x: (x - width / 2) / long, y: (y - height / 2) / long }))
    )
  if (!h) return null
  // Both directions of the plane, as the camera has them: the third number by the focal length.
  const dot = (p: readonly number[], q: readonly number[], f: number): number =>
    (p[0] * q[0] + p[1] * q[1]) / (f * f) + p[2] * q[2]
  const u = [h[0], h[3], h[6]],
    v = [h[1], h[4], h[7]]
  // Where both are at right angles the focal length is known.
  const known = -(u[0] * v[0] + u[1] * v[1]) / (u[2] * v[2]),
    exact = known > FOCAL[0] ** 2 && known < FOCAL.at(-1)! ** 2 ? [Math.sqrt(known)] : []
  const seen = [...exact, ...FOCAL].map(f => {
    const across = Math.sqrt(dot(u, u, f)),
      down = Math.sqrt(dot(v, v, f))
    return { ratio: across / down, square: Math.abs(dot(u, v, f)) / (across * down) }
  })
  return seen.reduce((best, s) => (s.square < best.square ? s : best))
}

/** Of the photograph's area, the least, and sides against one another, the most, that a sheet's corners may be. */
const LEAST = 0.002,
  LONGEST = 12

/** Whether four corners, clockwise, fractions of the photograph, may be a sheet's at all. */
export function isSheet(corners: readonly Point[], { width, height }: Size): boolean {
  const pixels = corners.map(({ x, y }) => ({ x: x * width, y: y * height }))
  const turns = pixels.map((p, i) => {
    const q = pixels[(i + 1) % 4],
      r = pixels[(i + 2) % 4]
    return (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x)
  })
  if (turns.some(t => t < LEAST * width * height)) return false
  const ratio = rectangleOf(pixels, { width, height })?.ratio ?? 0
  return ratio > 1 / LONGEST && ratio < LONGEST
}

/** Degrees that it lies turned in the photograph, clockwise: its four sides' middle. */
export function leanOf([a, b, c, d]: readonly Point[]): number {
  const across = Math.atan2(b.y - a.y, b.x - a.x) + Math.atan2(c.y - d.y, c.x - d.x),
    down = Math.atan2(a.x - d.x, d.y - a.y) + Math.atan2(b.x - c.x, c.y - b.y)
  return ((across + down) / 4 / Math.PI) * 180
}
