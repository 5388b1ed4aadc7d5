/**
 * The picture seen through a measure, as RGBA. Every lens reads the planes and writes a caller-given
 * buffer; alpha is the picture's own, so a transparent file stays so.
 */
import { SQUINT_SHARE, blurRaster } from './squint'
import { attentionLens, detailLens, edgesLens } from './maps'
import { familiesLens, flatBlackLens, nearWhiteLens, offSchemeLens, vividLens } from './evidence'
import { greyLens, groupsLens, mirrorLens, strengthLens, temperatureLens, twoValuesLens } from './pointwise'
import type { GreyName } from '../measure/value/greys'
import { diagonalOf } from '../picture/raster'
import type { Seen } from './seen'
import type { WheelName } from '../wheel/steps'
import type { SectorScheme } from '../wheel/schemes'

export type LensRequest =
  | {
      readonly name:
        | 'plain'
        | 'two-values'
        | 'squint'
        | 'mirrored'
        | 'near-black'
        | 'near-white'
        | 'vivid'
        | 'strength'
        | 'temperature'
        | 'relative-temperature'
        | 'attention'
        | 'edges'
        | 'detail'
    }
  | { readonly name: 'grey'; readonly grey?: GreyName }
  | { readonly name: 'groups'; readonly count: number | null }
  | { readonly name: 'families'; readonly wheel: WheelName }
  | { readonly name: 'off-scheme'; readonly wheel: WheelName; readonly scheme: SectorScheme; readonly rotation: number }

/** @throws RangeError when `out` has another size than the raster. */
export function renderLens(request: LensRequest, seen: Seen): void {
  const { raster, planes, out } = seen
  if (out.length !== raster.data.length) {
    throw new RangeError(`the lens needs ${raster.data.length} bytes to draw in, not ${out.length}`)
  }
  switch (request.name) {
    case 'plain':
      out.set(raster.data)
      return
    case 'grey':
      greyLens(request.grey ?? 'value', seen)
      return
    case 'mirrored':
      mirrorLens(raster, out)
      return
    case 'two-values':
      twoValuesLens(seen)
      return
    case 'groups':
      groupsLens(request.count, seen)
      return
    case 'squint':
      blurRaster(raster, SQUINT_SHARE * diagonalOf(raster), out)
      return
    case 'temperature':
      temperatureLens(false, seen)
      return
    case 'relative-temperature':
      temperatureLens(true, seen)
      return
    case 'near-black':
      flatBlackLens(raster, planes, out)
      return
    case 'near-white':
      nearWhiteLens(raster, planes, out)
      return
    case 'vivid':
      vividLens(raster, planes, out)
      return
    case 'strength':
      strengthLens(seen)
      return
    case 'families':
      familiesLens(request.wheel, seen)
      return
    case 'off-scheme':
      offSchemeLens(request, seen)
      return
    case 'attention':
      attentionLens(raster, planes, out)
      return
    case 'edges':
      edgesLens(raster, planes, out)
      return
    case 'detail':
      detailLens(raster, planes, out)
  }
}
