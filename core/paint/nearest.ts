/** Which paint of somebody's comes nearest to a wanted colour. */
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import type { OwnPaint } from './own'

/** @returns the nearest by ΔE00, with how far it is; null where nothing is owned. */
export function nearestPaint<P extends Pick<OwnPaint, 'masstone'>>(
  hex: string,
  paints: readonly P[]
): { readonly paint: P; readonly difference: number } | null {
  const wanted = convertLinearToLab(linearOfHex(hex))
  let best: { paint: P; difference: number } | null = null
  for (const paint of paints) {
    const difference = differenceOf(wanted, convertLinearToLab(linearOfHex(paint.masstone)))
    if (!best || difference < best.difference) best = { paint, difference }
  }
  return best
}
