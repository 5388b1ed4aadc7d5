/** The whole report of one picture. */
import { round3 } from '../numeric/round'
import { planesOf, type Planes } from '../picture/planes'
import type { Area } from '../picture/area'
import type { Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import { measureComposition } from './composition/composition'
import { measureEdges } from './composition/edges'
import { measureFocus } from './focus/focus'
import { metIn } from './focus/met'
import { measureHarmony } from './harmony/harmony'
import { measureLight, type ShadowPair } from './light'
import { insideMargin, planesInside } from './margin'
import { REPORT_VERSION, type Report } from './report'
import { measureSeparation } from './value/separation'
import type { Source } from './source'
import { measureTemperature } from './temperature'
import { measureValue } from './value/value'

export interface NamedArea {
  readonly name: string
  readonly area: Area
}

export interface MeasureOptions {
  readonly wheel: WheelName
  /** Where the eye should go. */
  readonly focus?: Area | null
  readonly areas?: readonly NamedArea[]
  readonly pairs?: readonly ShadowPair[]
  /** A margin is counted with the picture. */
  readonly wholeFile?: boolean
  /** What is found as a face is none. */
  readonly noFaces?: boolean
}

interface Measuring {
  /** The working raster: at most 1024 pixels a side. */
  readonly raster: Raster
  readonly source: Source
  readonly options: MeasureOptions
  /** Its planes, when they exist already. */
  readonly planes?: Planes
}

export function measurePicture({ raster, source, options, planes: whole = planesOf(raster) }: Measuring): Report {
  const { wheel, focus = null, areas = [], pairs = [], wholeFile = false } = options
  const inside = wholeFile ? null : insideMargin(whole),
    planes = inside ? planesInside(whole) : whole
  return {
    version: REPORT_VERSION,
    picture: {
      format: source.format,
      sourceWidth: source.width,
      sourceHeight: source.height,
      width: raster.width,
      height: raster.height,
      transparent: round3(1 - whole.count / whole.mask.length),
      ...(source.bitsPerPixel === undefined ? {} : { bitsPerPixel: round3(source.bitsPerPixel) }),
      ...(source.photograph ? { photograph: source.photograph } : {}),
      ...(source.shaken ? { shaken: source.shaken } : {}),
      ...(inside ? { inside } : {})
    },
    wheel,
    value: measureValue(planes),
    focus: measureFocus(planes, { area: focus, ...metIn(options) }),
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
