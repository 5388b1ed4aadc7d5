/** Straight lines in a photograph: edges vote for the lines they might lie on (P. Hough; R. Duda & P. Hart 1972). */
import type { EdgeMap } from './edges'

/** x cos + y sin = offset, from the middle of the photograph, pixels. @property angle of its normal, radians, 0–π. */
export interface Line {
  readonly angle: number
  readonly offset: number
  readonly votes: number
}

const ANGLES = 180
/** An edge votes for lines so many steps about its own direction. */
const ABOUT = 4
/** Weaker edges do not vote. */
const LEAST = 0.3
/** Lines nearer than this are the same: steps of angle, and pixels. */
const SAME = { angle: 4, offset: 5 } as const

/** @param most of those near level, and as many near upright; those with most votes first. */
export function linesOf({ width, height, data, angle }: EdgeMap, most: number): Line[] {
  const reach = Math.ceil(Math.hypot(width, height) / 2),
    across = 2 * reach + 1,
    votes = new Float32Array(ANGLES * across)
  const cos = Float64Array.from({ length: ANGLES }, (_, k) => Math.cos((k * Math.PI) / ANGLES)),
    sin = Float64Array.from({ length: ANGLES }, (_, k) => Math.sin((k * Math.PI) / ANGLES))
  for (let y = 2; y < height - 2; y++)
    for (let x = 2, i = y * width + 2; x < width - 2; x++, i++) {
      const strength = data[i]
      if (strength < LEAST) continue
      const turn = angle[i],
        dx = Math.abs(Math.cos(turn)) > 0.38 ? Math.sign(Math.cos(turn)) : 0,
        dy = Math.abs(Math.sin(turn)) > 0.38 ? Math.sign(Math.sin(turn)) : 0
      // Only the crest of an edge.
      if (data[i + dx + dy * width] > strength || data[i - dx - dy * width] > strength) continue
      const middle = Math.round((turn / Math.PI) * ANGLES)
      for (let k = middle - ABOUT; k <= middle + ABOUT; k++) {
        const at = ((k % ANGLES) + ANGLES) % ANGLES
        const offset = (x + 0.5 - width / 2) * cos[at] + (y + 0.5 - height / 2) * sin[at] + reach,
          low = Math.floor(offset),
          f = offset - low
        votes[at * across + low] += strength * (1 - f)
        votes[at * across + low + 1] += strength * f
      }
    }
  // Near level and near upright each have their own: grain in one direction leaves the other its lines.
  const lines: Line[] = [],
    left = { level: most, upright: most }
  while (left.level + left.upright > 0) {
    let best = 0
    for (let i = 1; i < votes.length; i++) if (votes[i] > votes[best]) best = i
    if (votes[best] <= 0) break
    const at = Math.floor(best / across),
      offset = (best % across) - reach,
      kind = at > ANGLES / 4 && at < (3 * ANGLES) / 4 ? 'level' : 'upright'
    if (left[kind] > 0) {
      lines.push({ angle: (at * Math.PI) / ANGLES, offset, votes: votes[best] })
      left[kind]--
    }
    for (let da = -SAME.angle; da <= SAME.angle; da++) {
      const turned = at + da,
        k = ((turned % ANGLES) + ANGLES) % ANGLES,
        // Half a turn on, a line lies on the other side of the middle.
        o = turned < 0 || turned >= ANGLES ? -offset : offset
      for (let d = -SAME.offset; d <= SAME.offset; d++) {
        const i = o + d + reach
        if (i >= 0 && i < across) votes[k * across + i] = 0
      }
    }
  }
  return lines
}
