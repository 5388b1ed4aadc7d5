/** What a trial would buy: the readings it touches, before and after, and whether the correction's target is reached. */
import { checkTarget, type Target, type TargetState, type TargetSubject } from '../critique/target'
import { hueHistogram } from '../measure/hues'
import { measurePicture } from '../measure/picture'
import { isMeasured } from '../measure/report'
import { measureSeparation } from '../measure/separation'
import { areaTemperature } from '../measure/temperature'
import type { Area } from '../picture/area'
import { planesOf, type Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'

/** The readings that trials touch; null where one cannot be taken. */
export interface EffectNumbers {
  readonly range: number | null
  /** Of the area against what is around it, signed. */
  readonly separation: number | null
  readonly temperature: number | null
  /** Share of the colour inside the picture's own scheme. */
  readonly coverage: number | null
  readonly target: TargetState | null
}

/** @param picture before or after; its planes are made when they are not there yet. */
export function effectNumbers(raster: Raster, wheel: WheelName, area: Area | null, target: Target | null, planes: Planes = planesOf(raster)): EffectNumbers {
  const report = measurePicture(raster, { format: 'png', width: raster.width, height: raster.height }, { wheel }, planes)
  const subject: TargetSubject = { report, raster, planes, hues: hueHistogram(raster, planes, wheel) }
  const separation = area && measureSeparation('area', area, planes, raster)
  const { value, harmony } = report
  return {
    range: isMeasured(value) ? value.range : null,
    separation: separation && isMeasured(separation) ? separation.deltaValue : null,
    temperature: area ? areaTemperature(area, planes, raster)?.own ?? null : null,
    coverage: isMeasured(harmony) && isMeasured(harmony.scheme.coverage) ? harmony.scheme.coverage : null,
    target: target && checkTarget(target, area, subject)
  }
}
