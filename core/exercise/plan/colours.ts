/**
 * The colours of a plan: each of a scheme's, and what it can be let down to; all inside what a screen and a printer
 * have.
 */
import { hexOfLinear } from '../../colour/srgb'
import { shades, strongAt, tints, tones } from '../worksheet/mixtures'
import { schemePositions, type SectorScheme } from '../../wheel/schemes'
import type { WheelName } from '../../wheel/steps'
import { stepAt } from '../../wheel/wheel'

export interface PlanColour {
  readonly name: string
  readonly position: number
  readonly hex: string
  readonly tints: readonly string[]
  readonly tones: readonly string[]
  readonly shades: readonly string[]
}

/** Neighbours are one sector wide: its steps are its colours. */
const positionsOf = (scheme: SectorScheme, hue: number): number[] => {
  const around = (width: number): number[] =>
    Array.from({ length: 2 * width + 1 }, (_, i) => (hue + 30 * (i - width) + 360) % 360)
  if (scheme === 'analogous') return around(1)
  if (scheme === 'wide-analogous') return around(2)
  if (scheme === 'analogous-accent') return [...around(1), (hue + 180) % 360]
  return schemePositions(scheme, hue)
}

const STEPS = 5
/** The key colour first. */
export function planColours(wheel: WheelName, scheme: SectorScheme, hue: number): PlanColour[] {
  const positions = positionsOf(scheme, hue)
  const keyFirst = [...positions].sort((p, q) => Number(q === hue) - Number(p === hue))
  return keyFirst.map(position => ({
    name: stepAt(wheel, position),
    position,
    hex: hexOfLinear(strongAt(wheel, position)),
    tints: tints(wheel, position, STEPS).slice(1),
    tones: tones(wheel, position, STEPS).slice(1),
    shades: shades(wheel, position, STEPS).slice(1)
  }))
}

/** Leader, assistant and accent of a plan: where a scheme has fewer colours, the leader's own quieter ones. */
export function threeOf(wheel: WheelName, scheme: SectorScheme, hue: number): [string, string, string] {
  const [key, second, third] = planColours(wheel, scheme, hue)
  if (third) return [key!.hex, second!.hex, third.hex]
  return second ? [key!.hex, key!.tones[2]!, second.hex] : [key!.tones[1]!, key!.tints[2]!, key!.hex]
}
