/** Where flat black lies, and what could have been mixed instead. */
import { fitToGamut } from '../../colour/gamut'
import { valueOfLinear } from '../../colour/lab'
import { oklabOf } from '../../colour/oklab'
import { hexOfLinear, type Rgb } from '../../colour/srgb'
import { componentsOf, type Component } from '../../picture/components'
import type { Planes } from '../../picture/planes'
import { flatBlackMask } from './flat-black'

export interface Patch {
  readonly x: number
  readonly y: number
  readonly share: number
  readonly bounds: Component['bounds']
  readonly value: number
}

const MOST = 5

function patchesOf(inside: Uint8Array, planes: Planes): Patch[] {
  const { labels, list } = componentsOf(inside, { width: planes.width, height: planes.height, most: MOST })
  const sums = new Map(list.map(c => [c.label, 0]))
  for (let i = 0; i < labels.length; i++) {
    const sum = labels[i] ? sums.get(labels[i]) : undefined
    if (sum !== undefined) sums.set(labels[i], sum + planes.value[i])
  }
  return list.map(c => ({
    x: c.x,
    y: c.y,
    share: c.size / planes.count,
    bounds: c.bounds,
    value: sums.get(c.label)! / c.size
  }))
}

export const flatBlackPatches = (planes: Planes): Patch[] => patchesOf(flatBlackMask(planes), planes)

/**
 * Hues of the mixed blacks offered, OKLCH degrees: warm by brown and wine, cool by blue and green. Common practice, no
 * source.
 */
const WARM_HUES = [55, 25, 5] as const
const COOL_HUES = [260, 285, 170] as const
/** Chroma a dark can carry and still be read as black. */
const BLACK_CHROMA = 0.05

/**
 * Chromatic blacks of one value (within 1 L*), leaning as the picture's darks do.
 * @param value L* of the flat black; a pure 0 is offered the darkest that can hold a colour.
 * @param darksTemperature mean T of the picture's darks: the sign decides.
 */
export function chromaticBlacks(value: number, darksTemperature: number): string[] {
  return (darksTemperature >= 0 ? WARM_HUES : COOL_HUES).map(hue => hexOfLinear(blackOf(value, hue)))
}

/** OKLab lightness is found by bisection so that L* comes out as asked. */
function blackOf(value: number, hue: number): Rgb {
  let low = 0,
    high = 1
  for (let i = 0; i < 30; i++) {
    const mid = (low + high) / 2
    if (valueOfLinear(fitToGamut(oklabOf(mid, BLACK_CHROMA, hue))) < value) low = mid
    else high = mid
  }
  return fitToGamut(oklabOf((low + high) / 2, BLACK_CHROMA, hue))
}
