/**
 * What a trial would buy: the readings it touches, before and after, and whether the correction's target is reached.
 */
import { checkTarget, type Target, type TargetState, type TargetSubject } from '../critique/target'
import { hueHistogram } from '../measure/harmony/hues'
import { measurePicture } from '../measure/picture'
import type { Met } from '../measure/focus/met'
import { isMeasured } from '../measure/report'
import { measureSeparation } from '../measure/value/separation'
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

/** What is read before and after: where, and what it should reach. */
export interface EffectSubject {
  readonly area: Area | null
  readonly target: Target | null
}

/**
 * @param raster the picture before or after; its planes are made when they are not there yet. @returns one set of
 * numbers a subject.
 */
export function effectNumbers({
  raster,
  wheel,
  met,
  subjects,
  planes = planesOf(raster)
}: {
  raster: Raster
  wheel: WheelName
  met?: Met
  subjects: readonly EffectSubject[]
  planes?: Planes
}): EffectNumbers[] {
  const report = measurePicture({
    raster,
    source: { format: 'png', width: raster.width, height: raster.height },
    options: { wheel },
    planes
  })
  const whole: TargetSubject = { report, raster, planes, hues: hueHistogram(raster, planes, wheel), met }
  const { value, harmony } = report
  return subjects.map(({ area, target }) => {
    const separation = area && measureSeparation({ name: 'area', area, planes, raster })
    return {
      range: isMeasured(value) ? value.range : null,
      separation: separation && isMeasured(separation) ? separation.deltaValue : null,
      temperature: area ? (areaTemperature(area, planes, raster)?.own ?? null) : null,
      coverage: isMeasured(harmony) && isMeasured(harmony.scheme.coverage) ? harmony.scheme.coverage : null,
      target: target && checkTarget(target, area, whole)
    }
  })
}
