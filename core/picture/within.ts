/** The measured pixels within bounds of value and chroma. */
import type { Planes } from './planes'
import { withinInKernel, type Within } from './tally'

interface Found {
  /** 1 where a pixel is. */
  readonly inside: Uint8Array
  readonly total: number
}

type Seen = Pick<Planes, 'value' | 'chroma' | 'mask'>

export const pixelsWithin = (planes: Seen, bounds: Within): Found =>
  withinInKernel(planes, bounds) ?? withinInScript(planes, bounds)

/** What the kernel does, where there is none. */
export function withinInScript(
  { value, chroma, mask }: Seen,
  { over = -Infinity, under = Infinity, least = 0, most = Infinity }: Within
): Found {
  const inside = mask.map((measured, i) =>
    value[i] > over && value[i] < under && chroma[i] >= least && chroma[i] < most ? measured : 0
  )
  return { inside, total: inside.reduce((p, q) => p + q, 0) }
}
