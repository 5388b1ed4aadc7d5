/** The maps of edges and what is read of them, by a kernel (`edges.wat`): a third of what they take in script. */
import { growTo, openKernel, openOnce, type Memory } from '../../numeric/kernel'
import type { Planes } from '../../picture/planes'
import kernel from './edges.json' with { type: 'json' }
import type { EdgeMaps, EdgeScale, ProfileSums, Read } from './edge-maps'

/** Pointers into the memory, in bytes. */
interface Kernel {
  readonly memory: Memory
  slopes(row: number, end: number, above: number, below: number, out: number): void
  cells(
    upper: number,
    end: number,
    lower: number,
    slopes: number,
    lowerSlopes: number,
    least: number,
    out: number
  ): void
  means(from: number, end: number, step: number, reach: number, out: number): void
  read(cells: number, end: number, detail: number, contrast: number): void
  sharpen(slopes: number, end: number, contrast: number): void
  profile(sharp: number, end: number, contrast: number, detail: number, mask: number, least: number, sums: number): void
}

const kernelHere = /* @__PURE__ */ openOnce(() => openKernel<Kernel>(kernel.bytes))

const WORD = 4,
  /** Numbers the kernel takes at once; so much is beside each row too. */
  LANES = 4,
  CELL = LANES * WORD
/** What a profile sums up, in doubles, at the memory's start. */
const SUMS = 4
const fours = (n: number): number => Math.ceil(n / LANES) * LANES

/** A box whose spread is that of a Gaussian of `sigma`, no wider than what it goes over. */
const reachOf = (sigma: number, length: number): number =>
  Math.min(Math.round((Math.sqrt(12 * sigma * sigma + 1) - 1) / 2), length - 1)

/** Null where the machine cannot run it. */
export function mapsInKernel({ width, height, value }: Planes, { sigma, edge }: EdgeScale): EdgeMaps | null {
  const here = kernelHere()
  if (!here) return null
  const row = (fours(width) + 2 * LANES) * WORD,
    [wide, high] = [(width + 1) >> 1, (height + 1) >> 1],
    cellRow = wide * CELL
  // Values, slopes with a row of none behind, cells, their means across, and what is read of those.
  const values = CELL,
    slopes = values + height * row,
    cells = slopes + (height + 1) * row,
    across = cells + high * cellRow,
    detail = across + high * cellRow,
    contrast = detail + wide * high * WORD,
    end = contrast + wide * high * WORD
  growTo(here.memory, end + CELL)
  const memory = new Float32Array(here.memory.buffer)
  const valuesOf = (y: number): number => values + Math.min(height - 1, Math.max(0, y)) * row,
    slopesOf = (y: number): number => slopes + y * row
  for (let y = 0; y < height; y++) {
    const at = valuesOf(y) / WORD
    memory.set(value.subarray(y * width, (y + 1) * width), at)
    memory[at - 1] = memory[at]
    memory[at + width] = memory[at + width - 1]
  }
  for (let y = 0; y < height; y++) {
    here.slopes(valuesOf(y), valuesOf(y) + width * WORD, valuesOf(y - 1), valuesOf(y + 1), slopesOf(y))
    memory.fill(0, slopesOf(y) / WORD + width, slopesOf(y + 1) / WORD)
  }
  memory.fill(0, slopesOf(height) / WORD, slopesOf(height + 1) / WORD)
  for (let y = 0; y < height; y += 2) {
    const to = cells + (y >> 1) * cellRow,
      upper = valuesOf(y)
    here.cells(upper, upper + width * WORD, valuesOf(y + 1), slopesOf(y), slopesOf(y + 1), edge, to)
    here.means(to, to + cellRow, CELL, reachOf(sigma / 2, wide), across + (y >> 1) * cellRow)
  }
  for (let x = 0; x < wide; x++) {
    const from = across + x * CELL
    here.means(from, from + high * cellRow, cellRow, reachOf(sigma / 2, high), cells + x * CELL)
  }
  here.read(cells, cells + high * cellRow, detail, contrast)
  const sharpness = new Float32Array(width * height)
  for (let y = 0; y < height; y++) {
    const at = slopesOf(y)
    here.sharpen(at, at + width * WORD, contrast + (y >> 1) * wide * WORD)
    sharpness.set(memory.subarray(at / WORD, at / WORD + width), y * width)
  }
  const copied = (at: number) => ({
    width: wide,
    height: high,
    data: memory.slice(at / WORD, at / WORD + wide * high)
  })
  return { sharpness, detail: copied(detail), contrast: copied(contrast) }
}

/** Null where the machine cannot run it. */
export function profileInKernel(
  { sharpness, detail, contrast }: EdgeMaps,
  { width, height, mask, least }: Read
): ProfileSums | null {
  const here = kernelHere()
  if (!here) return null
  const length = fours(width) * WORD,
    sharp = 2 * CELL,
    contrasts = sharp + length,
    details = contrasts + length,
    masks = details + length
  growTo(here.memory, masks + length)
  const { buffer } = here.memory,
    sums = new Float64Array(buffer, 0, SUMS),
    numbers = new Float32Array(buffer),
    bytes = new Uint8Array(buffer)
  sums.fill(0)
  bytes.fill(0, masks, masks + length)
  for (let y = 0; y < height; y++) {
    const from = y * width,
      half = (y >> 1) * detail.width
    bytes.set(mask.subarray(from, from + width), masks)
    numbers.set(sharpness.subarray(from, from + width), sharp / WORD)
    numbers.set(contrast.data.subarray(half, half + detail.width), contrasts / WORD)
    numbers.set(detail.data.subarray(half, half + detail.width), details / WORD)
    here.profile(sharp, sharp + width * WORD, contrasts, details, masks, least, 0)
  }
  const [n, busy, weight, square] = sums as unknown as [number, number, number, number]
  return { n, busy, weight, square }
}
