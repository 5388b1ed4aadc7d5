/**
 * Morphological closing (J. Serra, "Image Analysis and Mathematical Morphology", 1982) with a small square:
 * what is dark and thinner than the square is filled by what lies beside it. What lies outside the picture never wins.
 */
import { growTo, openKernel, openOnce, type Memory } from '../numeric/kernel'
import kernel from './closing.json' with { type: 'json' }

/** One number a pixel, and which of them count: 1 or 0. */
export interface Measured {
  readonly width: number
  readonly height: number
  readonly value: Float32Array
  readonly mask: Uint8Array
}

/** Each number times `scale` and `shift` more, 0–255, in whole steps; the square reaches `reach` pixels each way. */
export interface Closing {
  readonly scale: number
  readonly shift: number
  readonly reach: number
}

/** Pointers into the memory, in bytes. */
interface Kernel {
  readonly memory: Memory
  quantise(numbers: number, end: number, scale: number, shift: number, out: number): void
  grow(from: number, end: number, step: number, reach: number, flip: number, out: number): void
  added(closed: number, end: number, open: number, mask: number): number
}

const kernelHere = /* @__PURE__ */ openOnce(() => openKernel<Kernel>(kernel.bytes))

const WORD = 4,
  /** Bytes the kernel takes at once; so wide is the gap between two rows, and so far the square may reach. */
  LANES = 16,
  ALL_BITS = 255
const lanes = (bytes: number): number => Math.ceil(bytes / LANES) * LANES

/** What closing adds, over the pixels that count, in steps. */
export function addedByClosing(plane: Measured, closing: Closing): number {
  if (!(closing.reach >= 1 && closing.reach <= LANES))
    throw new RangeError(`a square that reaches ${closing.reach} pixels is not between 1 and ${LANES}`)
  return addedInKernel(plane, closing) ?? addedInScript(plane, closing)
}

/** Null where the machine cannot run it. */
export function addedInKernel(
  { width, height, value, mask }: Measured,
  { scale, shift, reach }: Closing
): number | null {
  const here = kernelHere()
  if (!here) return null
  const stride = lanes(width) + LANES,
    rim = LANES + reach * stride,
    size = stride * height,
    grid = lanes(size + 2 * rim)
  // Three grids with a rim of nothing around each, the mask, and a row of the numbers.
  const [open, first, second] = [0, 1, 2].map(n => n * grid + lanes(rim)) as [number, number, number],
    counted = 3 * grid + LANES,
    numbers = lanes(counted + size)
  growTo(here.memory, numbers + lanes(width) * WORD)
  const { buffer } = here.memory,
    bytes = new Uint8Array(buffer),
    row = new Float32Array(buffer, numbers, width)
  bytes.fill(0, 0, numbers)
  /** Between the rows and around them. */
  const clear = (at: number, to = 0): void => {
    bytes.fill(to, at - rim, at)
    for (let y = 0; y < height; y++) bytes.fill(to, at + y * stride + width, at + (y + 1) * stride)
    bytes.fill(to, at + size, at + size + rim)
  }
  for (let y = 0; y < height; y++) {
    row.set(value.subarray(y * width, (y + 1) * width))
    here.quantise(numbers, numbers + width * WORD, scale, shift, open + y * stride)
    bytes.set(mask.subarray(y * width, (y + 1) * width), counted + y * stride)
  }
  clear(open)
  here.grow(open, open + size, 1, reach, 0, first)
  clear(first)
  here.grow(first, first + size, stride, reach, 0, second)
  // Turned, what lies outside is nothing again.
  clear(second, ALL_BITS)
  here.grow(second, second + size, 1, reach, ALL_BITS, first)
  clear(first)
  here.grow(first, first + size, stride, reach, 0, second)
  return here.added(second, second + size, open, counted)
}

/** The definition: the least of the greatest. */
export function addedInScript({ width, height, value, mask }: Measured, { scale, shift, reach }: Closing): number {
  const open = Uint8Array.from(value, v => v * scale + shift)
  const along = (from: Uint8Array, pick: (p: number, q: number) => number): Uint8Array => {
    const over = (source: Uint8Array, step: number, [length, place]: [number, (i: number) => number]): Uint8Array =>
      source.map((own, i) => {
        let best = own
        for (let k = -reach; k <= reach; k++)
          if (place(i) + k >= 0 && place(i) + k < length) best = pick(best, source[i + k * step])
        return best
      })
    return over(over(from, 1, [width, i => i % width]), width, [height, i => Math.floor(i / width)])
  }
  const closed = along(along(open, Math.max), Math.min)
  return closed.reduce((sum, to, i) => sum + mask[i] * (to - open[i]), 0)
}
