/** Four ways to see a picture without colour, and where they disagree most. */
import { convertLuminanceToValue, luminanceOf } from '../../colour/lab'
import { formatHex, LINEAR_OF_BYTE } from '../../colour/srgb'
import { lumaOf } from '../../picture/luma'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'

/** L*; luma (ITU-R BT.601); HSL lightness; HSV value. */
export type GreyName = 'value' | 'luma' | 'hsl' | 'hsv'

/** L* of a grey byte: what the other three greys are seen as on screen. */
export const VALUE_OF_GREY = Float32Array.from(LINEAR_OF_BYTE, Y => convertLuminanceToValue(Y))

/** The grey byte that luma, HSL lightness or HSV value gives a colour. */
export function greyByte(name: Exclude<GreyName, 'value'>, r: number, g: number, b: number): number {
  if (name === 'luma') return (lumaOf(r, g, b) + 0.5) | 0
  const max = r > g ? (r > b ? r : b) : g > b ? g : b
  if (name === 'hsv') return max
  const min = r < g ? (r < b ? r : b) : g < b ? g : b
  return (max + min + 1) >> 1
}

export interface GreyDisagreement {
  readonly hex: string
  /** How much darker (−) or lighter (+) L* reads than the other grey, in L*. */
  readonly difference: number
  readonly against: Exclude<GreyName, 'value'>
  readonly x: number
  readonly y: number
  /** Share of the picture whose disagreement with this grey is at least half as large. */
  readonly share: number
}

const OTHERS = ['luma', 'hsl', 'hsv'] as const
/** Colours are gathered in cells of 8 steps a channel; one covering less than this share is a speck. */
const SPECK = 0.002

/** The largest disagreement of L* with each other grey over colours that cover enough to be seen. */
export function greyDisagreements({ width, data }: Raster, { mask, count }: Planes): GreyDisagreement[] {
  const cells = new Uint32Array(32768),
    first = new Int32Array(32768).fill(-1)
  for (let i = 0, p = 0; i < mask.length; i++, p += 4) {
    if (!mask[i]) continue
    const cell = ((data[p] >> 3) << 10) | ((data[p + 1] >> 3) << 5) | (data[p + 2] >> 3)
    if (cells[cell]++ === 0) first[cell] = i
  }
  const height = mask.length / width
  return OTHERS.map(against => {
    const gaps = new Map<number, number>()
    let best = -1,
      most = 0
    for (let cell = 0; cell < cells.length; cell++) {
      if (cells[cell] === 0) continue
      const p = first[cell] * 4
      const own = convertLuminanceToValue(
        luminanceOf([LINEAR_OF_BYTE[data[p]], LINEAR_OF_BYTE[data[p + 1]], LINEAR_OF_BYTE[data[p + 2]]])
      )
      const gap = own - VALUE_OF_GREY[greyByte(against, data[p], data[p + 1], data[p + 2])]
      gaps.set(cell, gap)
      if (cells[cell] >= SPECK * count && Math.abs(gap) > Math.abs(most)) {
        most = gap
        best = cell
      }
    }
    if (best < 0) return null
    let alike = 0
    for (const [cell, gap] of gaps) if (gap * most > 0 && Math.abs(gap) >= Math.abs(most) / 2) alike += cells[cell]
    const i = first[best],
      p = i * 4
    return {
      hex: formatHex(data.subarray(p, p + 3)),
      difference: most,
      against,
      x: ((i % width) + 0.5) / width,
      y: (Math.floor(i / width) + 0.5) / height,
      share: alike / count
    }
  })
    .filter(d => d !== null)
    .sort((p, q) => Math.abs(q.difference) - Math.abs(p.difference))
}
