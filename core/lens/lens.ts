/**
 * The picture seen through a measure, as RGBA. Every lens reads the planes and writes a caller-given
 * buffer; alpha is the picture's own, so a transparent file stays so. Evidence lenses keep what is
 * meant in full and sink the rest into the wall's grey: never colour alone.
 */
import { convertValueToLuminance } from '../colour/lab'
import { convertLinearToByte } from '../colour/srgb'
import { otsuThreshold } from '../numeric/breaks'
import { valueDistribution } from '../picture/distribution'
import type { Planes } from '../picture/planes'
import { diagonalOf, type Raster } from '../picture/raster'
import type { WheelName } from '../wheel/steps'
import type { SectorScheme } from '../wheel/schemes'
import { hueHistogram } from '../measure/hues'
import { insideScheme } from '../measure/scheme'
import { NEAR_BLACK, NEAR_WHITE, VALUE_BINS, valueGroups, valueHistogram } from '../measure/value'
import { blurRaster } from './squint'

export type LensRequest =
  | { readonly name: 'plain' | 'grey' | 'two-values' | 'squint' | 'near-black' | 'near-white' }
  | { readonly name: 'groups', readonly count: number | null }
  | { readonly name: 'off-scheme', readonly wheel: WheelName, readonly scheme: SectorScheme, readonly rotation: number }
export type LensName = LensRequest['name']

/** Blur of the squint, as a share of the diagonal. */
export const SQUINT_SHARE = 0.02

/** Encoded grey byte of each hundredth of L*. */
const GREY_OF_VALUE = Uint8Array.from({ length: 10002 }, (_, i) => convertLinearToByte(convertValueToLuminance(i / 100)))
const greyOf = (value: number): number => GREY_OF_VALUE[Math.max(0, Math.min(10001, Math.round(value * 100)))]

/** What is not meant is shown at a third of its contrast about mid grey, without colour. */
const sunk = (value: number): number => greyOf(50 + (value - 50) * 0.3)

function writeGrey(planes: Planes, { data }: Raster, out: Uint8ClampedArray, grey: (index: number) => number): void {
  for (let i = 0, p = 0; i < planes.value.length; i++, p += 4) {
    out[p] = out[p + 1] = out[p + 2] = grey(i)
    out[p + 3] = data[p + 3]
  }
}

/** Keeps pixels that `meant` in their own colour, sinks the rest. */
function writeEvidence(planes: Planes, { data }: Raster, out: Uint8ClampedArray, meant: (index: number) => boolean): void {
  for (let i = 0, p = 0; i < planes.value.length; i++, p += 4) {
    if (meant(i)) {
      out[p] = data[p]
      out[p + 1] = data[p + 1]
      out[p + 2] = data[p + 2]
    } else out[p] = out[p + 1] = out[p + 2] = sunk(planes.value[i])
    out[p + 3] = data[p + 3]
  }
}

/**
 * @param out width × height × 4 bytes, overwritten.
 * @throws RangeError when `out` has another size.
 */
export function renderLens(request: LensRequest, raster: Raster, planes: Planes, out: Uint8ClampedArray): void {
  if (out.length !== raster.data.length) throw new RangeError(`the lens needs ${raster.data.length} bytes to draw in, not ${out.length}`)
  const { value, chroma, mask } = planes
  switch (request.name) {
    case 'plain':
      out.set(raster.data)
      return
    case 'grey':
      writeGrey(planes, raster, out, i => greyOf(value[i]))
      return
    case 'squint':
      blurRaster(raster, SQUINT_SHARE * diagonalOf(raster), out)
      return
    case 'two-values': {
      const threshold = otsuThreshold(valueHistogram(valueDistribution(value, mask)).counts)
      const cut = ((threshold ?? 0) * 100) / VALUE_BINS
      writeGrey(planes, raster, out, i => (value[i] < cut ? 26 : 236))
      return
    }
    case 'groups': {
      const groups = valueGroups(valueDistribution(value, mask), request.count)
      const greys = Uint8Array.from({ length: VALUE_BINS + 1 }, (_, bin) => {
        const group = groups.findLast(g => g.from <= (bin * 100) / VALUE_BINS)
        return greyOf(group ? group.value : (bin * 100) / VALUE_BINS)
      })
      writeGrey(planes, raster, out, i => greys[Math.min(VALUE_BINS, (value[i] * VALUE_BINS) / 100) | 0])
      return
    }
    case 'near-black':
      writeEvidence(planes, raster, out, i => value[i] < NEAR_BLACK.value && chroma[i] < NEAR_BLACK.chroma)
      return
    case 'near-white':
      writeEvidence(planes, raster, out, i => value[i] > NEAR_WHITE.value && chroma[i] < NEAR_WHITE.chroma)
      return
    case 'off-scheme': {
      const { bins } = hueHistogram(raster, planes, request.wheel)
      const inside = insideScheme(request.scheme, request.rotation)
      writeEvidence(planes, raster, out, i => bins[i] >= 0 && !inside[bins[i]])
    }
  }
}

