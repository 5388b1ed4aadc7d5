/**
 * Everything of a piece that needs pixels, measured where the pixels are: in the bench's worker, the server's, the
 * command line.
 */
import { measureDepth, type DepthLadder, type DepthName } from '../../measure/value/depth'
import { silhouetteOf, type Silhouette } from '../../measure/composition/composition'
import { fitTo } from '../../measure/harmony/declared'
import { edgeMaps } from '../../measure/composition/edge-maps'
import { cutOutOf, type CutOut } from '../../measure/composition/edges'
import { readingOrder, type ReadingOrder } from '../../measure/focus/reading-order'
import { greyDisagreements, type GreyDisagreement } from '../../measure/value/greys'
import { hueHistogram } from '../../measure/harmony/hues'
import { ambientOf } from '../../measure/light'
import { planesInside } from '../../measure/margin'
import { measurePicture } from '../../measure/picture'
import type { Source } from '../../measure/source'
import { isMeasured, type Measured, type Report, type Separation, type ValueSection } from '../../measure/report'
import { meanOf, measureSeparation } from '../../measure/value/separation'
import { areaTemperature, type AreaTemperature } from '../../measure/temperature'
import { readThumbnail, type ThumbnailRead } from '../../measure/value/thumbnail'
import { measureValue } from '../../measure/value/value'
import { discAt, spansOf, type Area } from '../../picture/area'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import type { DeclaredFit } from '../stations/harmony/declared'
import type { KnownArea, Picked, PieceKnown, Place } from './known'

export interface Pixels {
  readonly raster: Raster
  readonly planes: Planes
}

/** What a marked area is, read at every station. */
export interface AreaMeasures {
  readonly separation: Measured<Separation>
  readonly temperature: AreaTemperature | null
  readonly cutOut: CutOut | null
  readonly silhouette: Silhouette | null
}

export type Ambient = NonNullable<ReturnType<typeof ambientOf>>

/** What a report does not say of a piece. */
export interface PieceExtras {
  readonly declared: DeclaredFit | null
  readonly greys: readonly GreyDisagreement[]
  readonly thumbnail: ThumbnailRead
  readonly depth: DepthLadder
  /** By the area's id. */
  readonly areas: readonly (AreaMeasures & { readonly id: number })[]
  /** Null while no stop is given. */
  readonly route: ReadingOrder | null
  readonly ambient: Ambient | null
  /** The values of the picture that a study was made from. */
  readonly reference: Measured<ValueSection> | null
}

export interface PieceMeasures {
  /** With the intended focus, the pairs and the areas, on the class's wheel. */
  readonly report: Report
  readonly extras: PieceExtras
}

/** What a picked place is averaged over, as a share of the diagonal. Our choice: a brush's width, not a pixel. */
const SAMPLE_RADIUS = 0.012
const sampleAt = (picked: Picked, raster: Raster): Area =>
  'kind' in picked ? picked : discAt(picked.x, { y: picked.y, radius: SAMPLE_RADIUS, size: raster })

/** Names under which areas are planes. */
const PLANES: Readonly<Record<string, DepthName>> = { foreground: 'near', 'middle ground': 'middle', background: 'far' }

/** The ladder of the areas that are named as planes. */
export const depthOf = (areas: readonly KnownArea[], { raster, planes }: Pixels): DepthLadder =>
  measureDepth(
    Object.fromEntries(
      areas.flatMap(({ name, area }) => (PLANES[name.toLowerCase()] ? [[PLANES[name.toLowerCase()], area]] : []))
    ),
    planes,
    raster
  )

export function measureArea(name: string, area: Area, { raster, planes }: Pixels): AreaMeasures {
  return {
    separation: measureSeparation({ name, area, planes, raster }),
    temperature: areaTemperature(area, planes, raster),
    cutOut: cutOutOf(area, planes, edgeMaps(planes)),
    silhouette: silhouetteOf(area, raster.width, raster.height)
  }
}

interface Measuring {
  readonly pixels: Pixels
  /** Of the file. */
  readonly source: Source
  readonly known: PieceKnown
  /** The picture that the piece was made from, if one is given. */
  readonly reference?: Planes | null
}

export function measurePiece({ pixels, source, known, reference = null }: Measuring): PieceMeasures {
  const { raster } = pixels,
    { wheel, focus, areas, stops, plan, wholeFile, noFaces } = known
  // What is beside the picture is no part of it: the margin, unless the critic counts it in.
  const planes = wholeFile ? pixels.planes : planesInside(pixels.planes),
    seen = { raster, planes }
  const pairs = known.pairs.flatMap(({ name, lit, shadow }) =>
    shadow ? [{ name, lit: sampleAt(lit, raster), shadow: sampleAt(shadow, raster) }] : []
  )
  const options = { wheel, focus, areas, pairs, wholeFile, noFaces }
  const report = measurePicture({ raster, source, options, planes: pixels.planes })
  const fit = plan && fitTo(plan, null, hueHistogram(raster, planes, wheel))
  const peaks = isMeasured(report.focus) ? report.focus.peaks : []
  return {
    report,
    extras: {
      declared: fit && plan ? { scheme: plan, coverage: fit.coverage, rotation: fit.rotation } : null,
      greys: greyDisagreements(raster, planes),
      thumbnail: readThumbnail(raster, planes, { area: focus, noFaces }),
      depth: depthOf(areas, seen),
      areas: areas.map(({ id, name, area }) => ({ id, ...measureArea(name, area, seen) })),
      route: stops.length > 0 ? readingOrder(peaks, stops) : null,
      ambient: ambientIn(known.surroundings, report, seen),
      reference: reference && measureValue(planesInside(reference))
    }
  }
}

function ambientIn(surroundings: Place | null, { light }: Report, { raster, planes }: Pixels): Ambient | null {
  if (!surroundings || !light || !isMeasured(light)) return null
  const around = meanOf(spansOf(sampleAt(surroundings, raster), raster), planes, raster)
  return around && ambientOf(light.consensus, around.linear)
}
