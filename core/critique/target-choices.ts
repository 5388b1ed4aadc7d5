/** Targets a correction made by hand can be given, each as it starts: the numbers are the house's own. */
import type { SectorScheme } from '../wheel/schemes'
import { wantedSeparation } from './stations/values/separation'
import type { HouseStandards } from './standards'
import type { Target } from './target'

/**
 * @param placed whether the correction has an area to be measured in. @param scheme the one aimed at: planned, or
 * found.
 */
export function targetChoices(
  placed: boolean,
  scheme: SectorScheme | null,
  standards: HouseStandards
): readonly Target[] {
  return [
    ...(placed
      ? ([
          { measure: 'separation', atLeast: wantedSeparation(standards.merge.value) },
          { measure: 'focus-rank', atMost: 1 },
          { measure: 'temperature', atMost: -10 },
          { measure: 'temperature', atLeast: 10 }
        ] as const)
      : []),
    { measure: 'range', atLeast: standards.range.full },
    { measure: 'near-black', atMost: standards.nearBlack },
    ...(scheme ? [{ measure: 'coverage', scheme, atLeast: 0.85 } as const] : []),
    { measure: 'line-dependence', atMost: standards.lineDependence }
  ]
}
