/** Counts and sums over a picture's pixels by a kernel (`tally.wat`); each null where the machine cannot run it. */
import { growTo, openKernel, openOnce, type Memory } from '../numeric/kernel'
import type { Planes } from './planes'
import kernel from './tally.json' with { type: 'json' }

/** Pointers into the memory, in bytes. */
interface Kernel {
  readonly memory: Memory
  count(numbers: number, end: number, scale: number, shift: number, last: number, mask: number, counts: number): void
  within(value: number, end: number, chroma: number, mask: number, bounds: number, out: number): number
  temperatures(
    across: number,
    end: number,
    up: number,
    value: number,
    mask: number,
    scale: number,
    neither: number,
    bounds: number,
    sums: number
  ): void
  cells(words: number, end: number, lightness: number, across: number, up: number, mask: number, sums: number): void
  directions(across: number, end: number, up: number, chroma: number, mask: number, neutral: number, out: number): void
  bin(
    places: number,
    end: number,
    table: number,
    chroma: number,
    value: number,
    across: number,
    up: number,
    over: number,
    upTo: number,
    bounds: number,
    bins: number,
    sums: number,
    tenths: number
  ): number
}

const WORD = 4,
  DOUBLE = 8,
  HALF = 2,
  /** Pixels at once: what they take stays in a processor's second cache. */
  CHUNK = 8192,
  /** The most that the kernel takes at once. */
  LANES = 16,
  PLANE = CHUNK * WORD

/** Where the pixels of a chunk are, and what is put out for each. */
const AT = {
  pixels: 0,
  value: PLANE,
  lightness: 2 * PLANE,
  a: 3 * PLANE,
  b: 4 * PLANE,
  chroma: 5 * PLANE,
  places: 6 * PLANE,
  out: 7 * PLANE,
  mask: 8 * PLANE,
  /** What stays for all chunks. */
  rest: 8 * PLANE + CHUNK + LANES
} as const

const kernelHere = /* @__PURE__ */ openOnce(() => openKernel<Kernel>(kernel.bytes))

type Given = { readonly [name in 'value' | 'lightness' | 'a' | 'b' | 'chroma']?: Float32Array }

interface Chunk {
  readonly from: number
  readonly count: number
  /** Bytes of its planes. */
  readonly length: number
}

/** Copies what is given, a chunk after the other, and visits each. */
function eachChunk(
  memory: Memory,
  { mask, words, ...planes }: Given & { readonly mask: Uint8Array; readonly words?: Int32Array },
  visit: (chunk: Chunk) => void
): void {
  const bytes = new Uint8Array(memory.buffer),
    numbers = new Float32Array(memory.buffer),
    whole = new Int32Array(memory.buffer)
  const given = Object.entries(planes) as [keyof Given, Float32Array][]
  for (let from = 0; from < mask.length; from += CHUNK) {
    const count = Math.min(CHUNK, mask.length - from)
    for (const [name, plane] of given) numbers.set(plane.subarray(from, from + count), AT[name] / WORD)
    if (words) whole.set(words.subarray(from, from + count), AT.pixels / WORD)
    bytes.set(mask.subarray(from, from + count), AT.mask)
    bytes.fill(0, AT.mask + count, AT.mask + count + LANES)
    visit({ from, count, length: count * WORD })
  }
}

/** A histogram of a plane: each number by `scale` and `shift`, whole steps, the end bins taking what is outside. */
export function countInKernel(
  plane: Float32Array,
  mask: Uint8Array,
  { scale, shift, bins }: { readonly scale: number; readonly shift: number; readonly bins: number }
): Uint32Array | null {
  const here = kernelHere()
  if (!here) return null
  growTo(here.memory, AT.rest + bins * WORD)
  const counts = new Uint32Array(here.memory.buffer, AT.rest, bins).fill(0)
  eachChunk(here.memory, { value: plane, mask }, ({ length }) =>
    here.count(AT.value, AT.value + length, scale, shift, bins - 1, AT.mask, AT.rest)
  )
  return counts.slice()
}

/** Over `over` and under `under` in L*, of chroma `least` or more and under `most`. */
export interface Within {
  readonly over?: number
  readonly under?: number
  readonly least?: number
  readonly most?: number
}

/** @returns 1 where a measured pixel is within the bounds, and how many are. */
export function withinInKernel(
  { value, chroma, mask }: Pick<Planes, 'value' | 'chroma' | 'mask'>,
  { over = -1, under = 1000, least = 0, most = 10 }: Within
): { inside: Uint8Array; total: number } | null {
  const here = kernelHere()
  if (!here) return null
  growTo(here.memory, AT.rest + 4 * WORD)
  new Float32Array(here.memory.buffer, AT.rest, 4).set([over, under, least, most])
  const inside = new Uint8Array(mask.length),
    bytes = new Uint8Array(here.memory.buffer)
  let total = 0
  eachChunk(here.memory, { value, chroma, mask }, ({ from, count, length }) => {
    const found = here.within(AT.value, AT.value + length, AT.chroma, AT.mask, AT.rest, AT.out)
    total += found
    if (found > 0) inside.set(bytes.subarray(AT.out, AT.out + count), from)
  })
  return { inside, total }
}

/** How many are warm and cool, and the sums of temperature of all, the lights, the darks and the darkest. */
export interface TemperatureSums {
  readonly warm: number
  readonly cool: number
  readonly all: number
  readonly lights: number
  readonly darks: number
  readonly darkest: number
}

/** L* from which the lights are, and under which the darks and the darkest. */
export interface TemperatureBounds {
  readonly lights: number
  readonly darks: number
  readonly darkest: number
}

export interface Temperatures {
  /** Temperature for each of both axes. */
  readonly perAxis: number
  /** From here on it is warm, or cool. */
  readonly neither: number
  readonly bounds: TemperatureBounds
}

export function temperaturesInKernel(
  { a, b, value, mask }: Planes,
  { perAxis, neither, bounds }: Temperatures
): TemperatureSums | null {
  const here = kernelHere()
  if (!here) return null
  const limits = AT.rest + 6 * DOUBLE
  growTo(here.memory, limits + 3 * WORD)
  const sums = new Float64Array(here.memory.buffer, AT.rest, 6).fill(0)
  new Float32Array(here.memory.buffer, limits, 3).set([bounds.lights, bounds.darks, bounds.darkest])
  eachChunk(here.memory, { a, b, value, mask }, ({ length }) =>
    here.temperatures(AT.a, AT.a + length, AT.b, AT.value, AT.mask, perAxis, neither, limits, AT.rest)
  )
  const [warm, cool, all, lights, darks, darkest] = sums as unknown as [number, number, number, number, number, number]
  return { warm, cool, all, lights, darks, darkest }
}

/** Cells of a cube of 16 steps of each channel, four numbers each: sums of OKLab, and how many. */
export const CUBE = 4096

export function cellsInKernel(words: Int32Array, { lightness, a, b, mask }: Planes): Float64Array | null {
  const here = kernelHere()
  if (!here) return null
  growTo(here.memory, AT.rest + CUBE * 4 * DOUBLE)
  const sums = new Float64Array(here.memory.buffer, AT.rest, CUBE * 4).fill(0)
  eachChunk(here.memory, { lightness, a, b, mask, words }, ({ length }) =>
    here.cells(AT.pixels, AT.pixels + length, AT.lightness, AT.a, AT.b, AT.mask, AT.rest)
  )
  return sums.slice()
}

/** Bins of hue, degrees; so many tenths of L* are counted in each. */
export const HUE_BINS = 360,
  TENTHS = 1001

/** What is in each bin of hue. */
export interface HueSums {
  /** Bin of each pixel; −1 of those in none. */
  readonly bins: Int16Array
  /** Four numbers a bin: sums of chroma, L* and both axes. */
  readonly sums: Float64Array
  /** How many of each tenth of L*, bin by bin. */
  readonly tenths: Uint32Array
  /** How many are over the bound of their bin. */
  readonly strong: number
}

/** How pixels are put into bins. */
export type HueCount = {
  /** Chroma under which a pixel is in none. */
  readonly neutral: number
  /** Chroma that is strong in each bin, which is looked at for pixels over `over` and up to `upTo`. */
  readonly bounds: Float32Array
  readonly over: number
  readonly upTo: number
} & (
  | { /** Bin of each direction, as `tally.wat` places them. */ readonly table: Uint16Array }
  | { /** Bin of a pixel. */ readonly binAt: (pixel: number) => number }
)

const EACH_BIN = /* @__PURE__ */ Uint16Array.from({ length: HUE_BINS }, (_, bin) => bin)

export function huesInKernel({ a, b, value, chroma, mask }: Planes, how: HueCount): HueSums | null {
  const here = kernelHere()
  if (!here) return null
  const table = 'table' in how ? how.table : EACH_BIN,
    tables = AT.rest + 4 * DOUBLE * HUE_BINS,
    limits = tables + Math.ceil((table.length * HALF) / WORD) * WORD,
    counts = limits + HUE_BINS * WORD
  growTo(here.memory, counts + HUE_BINS * TENTHS * WORD)
  const { buffer } = here.memory,
    sums = new Float64Array(buffer, AT.rest, 4 * HUE_BINS).fill(0),
    tenths = new Uint32Array(buffer, counts, HUE_BINS * TENTHS).fill(0),
    places = new Int32Array(buffer, AT.places, CHUNK),
    bins = new Int16Array(mask.length)
  new Uint16Array(buffer, tables, table.length).set(table)
  new Float32Array(buffer, limits, HUE_BINS).set(how.bounds)
  let strong = 0
  eachChunk(here.memory, { a, b, value, chroma, mask }, ({ from, count, length }) => {
    if ('table' in how) here.directions(AT.a, AT.a + length, AT.b, AT.chroma, AT.mask, how.neutral, AT.places)
    else
      for (let n = 0, i = from; n < count; n++, i++)
        places[n] = chroma[i] < how.neutral || mask[i] === 0 ? -1 : how.binAt(i)
    strong += here.bin(
      AT.places,
      AT.places + length,
      tables,
      AT.chroma,
      AT.value,
      AT.a,
      AT.b,
      how.over,
      how.upTo,
      limits,
      AT.out,
      AT.rest,
      counts
    )
    bins.set(new Int16Array(buffer, AT.out, count), from)
  })
  return { bins, sums: sums.slice(), tenths: tenths.slice(), strong }
}
