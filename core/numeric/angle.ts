/** Angles in degrees on a closed circle. */

/** Wraps any angle into [0, 360). */
export function wrapDegrees(deg: number): number {
  const wrapped = deg % 360
  return wrapped < 0 ? wrapped + 360 : wrapped
}

/** Signed shortest turn from `fromDeg` to `toDeg`, in (−180, 180]. */
export function turnBetween(fromDeg: number, toDeg: number): number {
  const turn = wrapDegrees(toDeg - fromDeg)
  return turn > 180 ? turn - 360 : turn
}

/** Unsigned shortest distance between two angles, 0–180. */
export function angleDistance(aDeg: number, bDeg: number): number {
  return Math.abs(turnBetween(aDeg, bDeg))
}

/** Hue of a vector (x along 0°), 0–360. */
export function hueOf(x: number, y: number): number {
  return wrapDegrees((Math.atan2(y, x) * 180) / Math.PI)
}
