/** The whole report of one picture. */
import { round3 } from '../numeric/round'
import { planesOf, type Planes } from '../picture/planes'
import type { Area } from '../picture/area'
import type { Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import { measureComposition } from './composition'
import { measureEdges } from './edges'
import { measureFocus } from './focus'
import { measureHarmony } from './harmony'
import { measureLight, type ShadowPair } from './light'
import { REPORT_VERSION, type Report } from './report'
import { measureSeparation } from './separation'
import { measureTemperature } from './temperature'
import { measureValue } from './value'

export interface NamedArea {
  readonly name: string
  readonly area: Area
}

export interface Source {
  /** File format: png, jpeg, webp, tiff. */
  readonly format: string
  /** Size in pixels before reduction, after EXIF orientation. */
  readonly width: number
  readonly height: number
}

export interface MeasureOptions {
  readonly wheel: WheelName
  /** Where the eye should go. */
  readonly focus?: Area | null
  readonly areas?: readonly NamedArea[]
  readonly pairs?: readonly ShadowPair[]
}

/** @param raster the working raster (at most 1024 pixels a side). @param planes its planes, when they exist already. */
export function measurePicture({
  raster,
  source,
  options,
  planes = planesOf(raster)
}: {
  raster: Raster
  source: Source
  options: MeasureOptions
  planes?: Planes
}): Report {
  const { wheel, focus = null, areas = [], pairs = [] } = options
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
    focus: measureFocus(planes, focus),
    temperature: measureTemperature(planes),
    harmony: measureHarmony({ raster, planes, wheel }),
    edges: measureEdges(planes, focus),
    composition: measureComposition(planes),
    ...(pairs.length > 0 ? { light: measureLight(pairs, planes, raster) } : {}),
    ...(areas.length > 0
      ? { separation: areas.map(({ name, area }) => measureSeparation({ name, area, planes, raster })) }
      : {})
  }
}
