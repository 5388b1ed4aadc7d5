/** Judging a picture against the scheme its maker planned. */
import type { SectorScheme } from '../../wheel/schemes'
import type { HueHistogram } from './hues'
import { bestFit, fitAt, type Fit } from './scheme'

/** Rotation may move this far from the declared key colour: the key is a colour, not a degree. Our choice. */
const KEY_SLACK = 10

/**
 * @param keyDeg wheel position of the declared key colour, or null for the best rotation.
 * @returns null for a picture without colour.
 */
export function fitTo(scheme: SectorScheme, keyDeg: number | null, hues: HueHistogram): Fit | null {
  if (hues.totalWeight === 0) return null
  if (keyDeg === null) return bestFit(scheme, hues.weight)
  let best = fitAt(scheme, hues.weight, Math.round(keyDeg) % 360)
  for (let slack = -KEY_SLACK; slack <= KEY_SLACK; slack++) {
    const fit = fitAt(scheme, hues.weight, (Math.round(keyDeg) + slack + 360) % 360)
    if (fit.coverage > best.coverage) best = fit
  }
  return best
}
