/**
 * Centre against surround at three scales of a pyramid, each channel normalised so that one place
 * standing out counts for more than many alike (L. Itti, C. Koch, E. Niebur, "A Model of
 * Saliency-Based Visual Attention for Rapid Scene Analysis", IEEE PAMI 20(11), 1998).
 */
import { createPlane, enlargePlane, pyramidOf, type Plane } from '../../../picture/plane'
import type { Features } from './features'

/** The channels a cause is named by; `size` is folded into detail where causes are reported. */
export const CHANNELS = ['value', 'chroma', 'hue', 'detail', 'orientation'] as const
export type Channel = (typeof CHANNELS)[number]
export type ChannelPlanes = Readonly<Record<Channel, Plane>>

/** Coarse enough that texture and the corners of things are not what is compared, but things are. */
const CENTRES = [1, 2, 3, 4]
const SURROUND = 3

/** |centre − surround| of one plane at three scales, summed at the size of level 1. */
function centreSurround(planes: readonly Plane[]): Plane {
  const pyramids = planes.map(p => pyramidOf(p, CENTRES[CENTRES.length - 1] + SURROUND + 1))
  const levels = pyramids[0].length
  const base = pyramids[0][Math.min(CENTRES[0], levels - 1)]
  const sum = createPlane(base.width, base.height)
  for (const centre of CENTRES) {
    const c = Math.min(centre, levels - 1),
      s = Math.min(centre + SURROUND, levels - 1)
    if (c === s) continue
    const { width, height } = pyramids[0][c]
    const squared = createPlane(width, height)
    for (const pyramid of pyramids)
      addSquares(pyramid[c].data, enlargePlane(pyramid[s], width, height).data, squared.data)
    for (let i = 0, { data } = squared; i < data.length; i++) data[i] = Math.sqrt(data[i])
    const back = enlargePlane(squared, base.width, base.height).data
    for (let i = 0, { data } = sum; i < data.length; i++) data[i] += back[i] / CENTRES.length
  }
  return sum
}

function addSquares(centre: Float32Array, surround: Float32Array, out: Float32Array): void {
  for (let i = 0; i < out.length; i++) {
    const difference = centre[i] - surround[i]
    out[i] += difference * difference
  }
}

/** Colour difference that is not a difference of chroma: what is left of (a, b) contrast. */
function hueContrast(colour: Plane, chroma: Plane): Plane {
  const out = createPlane(colour.width, colour.height)
  for (let i = 0; i < out.data.length; i++)
    out.data[i] = Math.sqrt(Math.max(0, colour.data[i] ** 2 - chroma.data[i] ** 2))
  return out
}

/** Contrast of each channel at the working size of level 1, in OKLab-sized units, not yet normalised. */
export function conspicuityOf(f: Features): ChannelPlanes {
  const colour = centreSurround([f.a, f.b]),
    chroma = centreSurround([f.chroma])
  const along = createPlane(f.width, f.height),
    across = createPlane(f.width, f.height)
  for (let i = 0; i < along.data.length; i++) {
    // Direction counts where there is an edge to have one: 0.02 of a black–white step is hardly seen.
    const strength = f.energy.data[i] + 4e-4
    along.data[i] = (f.along.data[i] / strength) * Math.min(1, Math.sqrt(strength) * 4)
    across.data[i] = (f.across.data[i] / strength) * Math.min(1, Math.sqrt(strength) * 4)
  }
  return {
    value: centreSurround([f.value]),
    chroma,
    hue: hueContrast(colour, chroma),
    detail: centreSurround([f.detail]),
    orientation: centreSurround([along, across])
  }
}

/**
 * How much a contrast of one weighs against value, and what is hardly seen of it. Our choice, from the OKLab
 * just-noticeable step.
 */
const WEIGHT: Readonly<Record<Channel, number>> = { value: 1, chroma: 2.2, hue: 2.2, detail: 1, orientation: 0.25 }
const FAINT: Readonly<Record<Channel, number>> = {
  value: 0.03,
  chroma: 0.015,
  hue: 0.015,
  detail: 0.03,
  orientation: 0.15
}

/**
 * One map from all channels, 0–1: each is weighted by (M − m̄)², its greatest maximum against the
 * mean of the others, so a channel with many equal peaks says little.
 */
export function combine(channels: ChannelPlanes, cover: Plane): Plane {
  const { width, height } = channels.value
  const out = createPlane(width, height)
  for (const name of CHANNELS) {
    const plane = channels[name]
    const { greatest, others } = maxima(plane, cover)
    if (greatest <= 0) continue
    const lone = (1 - others / greatest) ** 2
    const seen = greatest / (greatest + FAINT[name])
    const gain = WEIGHT[name] * seen * (0.15 + lone)
    for (let i = 0; i < out.data.length; i++) out.data[i] += gain * plane.data[i]
  }
  for (let i = 0; i < out.data.length; i++) out.data[i] *= cover.data[i]
  const peak = out.data.reduce((p, q) => Math.max(p, q), 0)
  if (peak > 0) for (let i = 0; i < out.data.length; i++) out.data[i] /= peak
  return out
}

/** The greatest local maximum and the mean of the others, over 5 × 5 neighbourhoods. */
function maxima({ width, height, data }: Plane, cover: Plane): { greatest: number; others: number } {
  let greatest = 0,
    sum = 0,
    n = 0
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const i = y * width + x,
        v = data[i]
      if (cover.data[i] < 0.5 || v <= 0) continue
      let top = true
      for (let dy = -2; dy <= 2 && top; dy++) {
        for (let dx = -2; dx <= 2; dx++) {
          const px = x + dx,
            py = y + dy
          if (px >= 0 && py >= 0 && px < width && py < height && data[py * width + px] > v) {
            top = false
            break
          }
        }
      }
      if (!top) continue
      sum += v
      n++
      if (v > greatest) greatest = v
    }
  }
  return { greatest, others: n > 1 ? (sum - greatest) / (n - 1) : 0 }
}
