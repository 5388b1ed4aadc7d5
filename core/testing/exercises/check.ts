/** Checking a painted hand-in as the product does. */
import { hueHistogram } from '../../measure/harmony/hues'
import { measurePicture } from '../../measure/picture'
import { planesOf } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import type { CheckResult } from '../../exercise/exercise'
import type { Plan } from '../../exercise/plan/plan'
import { PLAIN_SETTINGS, type Settings } from '../../exercise/settings'
import { checkHandIn } from '../../exercise/checking'
import type { ExerciseKey } from '../../exercise/shelf'

export interface Beside {
  readonly reference?: Raster
  readonly studies?: number
  readonly plan?: Plan
  readonly settings?: Partial<Settings>
}

export interface Example {
  readonly passes: Raster
  /** By the check that fails, alone. */
  readonly fails: Readonly<Record<string, Raster>>
  /** What is handed in with all of them, or with one. */
  readonly beside?: Beside
  readonly failsBeside?: Readonly<Record<string, Beside>>
}

export function check(
  key: ExerciseKey,
  raster: Raster,
  { reference, studies = 0, plan, settings }: Beside = {}
): CheckResult[] {
  const report = measurePicture({
    raster,
    source: { format: 'png', width: raster.width, height: raster.height },
    options: { wheel: 'painter' }
  })
  const planes = planesOf(raster)
  const results = checkHandIn(
    { exercise: key, own: null },
    {
      report,
      planes,
      raster,
      hues: hueHistogram(raster, planes, 'painter'),
      reference: reference ? planesOf(reference) : null,
      studies,
      plan: plan ?? null
    },
    { ...PLAIN_SETTINGS, ...settings }
  )
  return results
}

/** Those that are not passed. */
export const failed = (results: readonly CheckResult[]): string[] => results.filter(r => !r.passed).map(r => r.id)
