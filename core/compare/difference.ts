/** What changed from one version to the next, seen: in the new one's own colours, or how value alone moved. */
import { differenceOf } from '../colour/difference'
import { convertLinearToByte, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { convertLinearToLab, convertValueToLuminance } from '../colour/lab'
import { MEASURED_ALPHA, type Raster } from '../picture/raster'
import type { Aligned } from './aligned'

/** `colour`: what changed stays in its colours, all else pales. `value`: lighter is light, darker dark, on mid grey. */
export type DifferenceKind = 'colour' | 'value'

/** ΔE00 under which a new photograph of the same paint stays, and from which a change is shown whole. */
const FROM = 4,
  WHOLE = 12
/** How much of its own picture is left where nothing changed, on pale grey. */
const LEFT = 0.18,
  PALE = 200
/** Steps of value that are shown as far as black and white. */
const REACH = 40

const labOf = (data: Uint8ClampedArray, i: number) =>
  convertLinearToLab([LINEAR_OF_BYTE[data[i]], LINEAR_OF_BYTE[data[i + 1]], LINEAR_OF_BYTE[data[i + 2]]] as Rgb)

/** @param out RGBA of the aligned pictures' size, written over. @returns share of what both show that changed. */
export function renderDifference(
  { old, next }: Pick<Aligned, 'old' | 'next'>,
  kind: DifferenceKind,
  out: Raster
): number {
  let changed = 0,
    all = 0
  for (let i = 0; i < old.data.length; i += 4) {
    if (Math.min(old.data[i + 3], next.data[i + 3]) < MEASURED_ALPHA) {
      out.data.fill(0, i, i + 4)
      continue
    }
    all++
    const was = labOf(old.data, i),
      is = labOf(next.data, i),
      far = differenceOf(was, is)
    if (far >= FROM) changed++
    out.data[i + 3] = 255
    if (kind === 'value') {
      const moved = Math.abs(is[0] - was[0]) < FROM / 2 ? 0 : is[0] - was[0],
        value = 50 + Math.max(-50, Math.min(50, (50 * moved) / REACH)),
        grey = convertLinearToByte(convertValueToLuminance(value))
      out.data.fill(grey, i, i + 3)
      continue
    }
    const shown = LEFT + (1 - LEFT) * Math.min(1, Math.max(0, (far - FROM) / (WHOLE - FROM)))
    for (let c = 0; c < 3; c++) out.data[i + c] = PALE + shown * (next.data[i + c] - PALE)
  }
  return all ? changed / all : 0
}
