/** The whole report of one picture. */
import { round3 } from '../numeric/round'
import { planesOf } from '../picture/planes'
import type { Area } from '../picture/area'
import type { Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import { measureHarmony } from './harmony'
import { REPORT_VERSION, type Report } from './report'
import { measureSeparation } from './separation'
import { measureValue } from './value'

export interface NamedArea { readonly name: string, readonly area: Area }

export interface Source {
  /** File format: png, jpeg, webp, tiff. */
  readonly format: string
  /** Size in pixels before reduction, after EXIF orientation. */
  readonly width: number
  readonly height: number
}

export interface MeasureOptions {
  readonly wheel: WheelName
  readonly areas?: readonly NamedArea[]
}

/** @param raster the working raster (at most 1024 pixels a side). */
export function measurePicture(raster: Raster, source: Source, { wheel, areas }: MeasureOptions): Report {
  const planes = planesOf(raster)
  return {
    version: REPORT_VERSION,
    picture: {
      format: source.format,
      sourceWidth: source.width,
      sourceHeight: source.height,
      width: raster.width,
      height: raster.height,
      transparent: round3(1 - planes.count / planes.mask.length)
    },
    wheel,
    value: measureValue(planes),
    harmony: measureHarmony(raster, planes, wheel),
    ...(areas && areas.length > 0 ? { separation: areas.map(({ name, area }) => measureSeparation(name, area, planes, raster)) } : {})
  }
}
