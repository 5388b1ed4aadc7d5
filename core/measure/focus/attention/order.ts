/** The order of places looked at: where there is one, and where several share the first look. */
import type { Plane } from '../../../picture/plane'
import type { Peak } from '../../report'

/** Places nearer to each other in strength than this share the first look: no order between them is claimed. */
export const SHARED = 1.15
/**
 * Width of the preference for the middle that decides between equals, in half diagonals (B. W. Tatler, as in
 * `inward.ts`).
 */
const MIDDLE = 0.5

/**
 * Of places that share the first look the one nearer the middle is named first. What little one has over the other is
 * lent to it, so that strengths still fall along the list.
 */
export function equalsFromTheMiddle(
  peaks: readonly Peak[],
  { width, height }: Pick<Plane, 'width' | 'height'>
): Peak[] {
  const equals = peaks.filter(p => p.strength * SHARED > 1),
    central = ({ x, y, strength }: Peak): number => {
      const far = Math.hypot((x - 0.5) * width, (y - 0.5) * height) / (Math.hypot(width, height) / 2)
      return strength * Math.exp((-far * far) / (2 * MIDDLE * MIDDLE))
    }
  const ordered = [...equals].sort((p, q) => central(q) - central(p))
  return [...ordered.map((p, i) => ({ ...p, strength: equals[i].strength })), ...peaks.slice(equals.length)]
}
