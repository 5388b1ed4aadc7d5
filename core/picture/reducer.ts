/** The kernel that makes pictures smaller (`reduce.wat`), four times as fast as the same in script. */
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../colour/srgb'
import { growTo, openKernel, openOnce, type Memory } from '../numeric/kernel'
import kernel from './reduce.json' with { type: 'json' }
import type { Cover, SourcePixels } from './resample'

/** Pointers into the memory, in bytes. */
interface Kernel {
  readonly memory: Memory
  addRgb(row: number, end: number, light: number, weight: number, sums: number): void
  addRgba(row: number, end: number, light: number, weight: number, sums: number): void
  write(
    sums: number,
    first: number,
    count: number,
    weights: number,
    stride: number,
    bytes: number,
    out: number,
    end: number
  ): void
}

const WORD = 4,
  PIXEL_SUMS = 16
const sixteens = (bytes: number): number => Math.ceil(bytes / 16) * 16
/** Where the tables lie, and what else there is begins. */
const LIGHT = 0,
  BYTES = LINEAR_OF_BYTE.length * WORD,
  REST = sixteens(BYTES + BYTE_OF_LINEAR.length)

const kernelHere = /* @__PURE__ */ openOnce(() => {
  const opened = openKernel<Kernel>(kernel.bytes)
  growTo(opened.memory, REST)
  new Float32Array(opened.memory.buffer, LIGHT, LINEAR_OF_BYTE.length).set(LINEAR_OF_BYTE)
  new Uint8Array(opened.memory.buffer, BYTES, BYTE_OF_LINEAR.length).set(BYTE_OF_LINEAR)
  return opened
})

/**
 * Fills `out`, four bytes a pixel of the covers' size. A row of the source at a time is in the kernel's memory.
 * @returns false where the machine cannot run it, and nothing was filled.
 */
export function reduceByKernel(
  { width, channels, data }: SourcePixels,
  { across, down, out }: { readonly across: Cover; readonly down: Cover; readonly out: Uint8ClampedArray }
): boolean {
  const here = kernelHere()
  if (!here) return false
  const targets = across.first.length,
    rowBytes = width * channels
  const sums = REST + sixteens(rowBytes),
    first = sums + width * PIXEL_SUMS,
    count = first + sixteens(targets * WORD),
    weights = count + sixteens(targets * WORD),
    written = weights + sixteens(across.weight.length * WORD),
    writtenEnd = written + targets * WORD
  growTo(here.memory, writtenEnd)
  const { buffer } = here.memory,
    memory = new Uint8Array(buffer),
    light = new Float32Array(buffer, sums, width * 4)
  new Int32Array(buffer, first, targets).set(across.first)
  new Int32Array(buffer, count, targets).set(across.count)
  new Float32Array(buffer, weights, across.weight.length).set(across.weight)
  const add = channels === 3 ? here.addRgb : here.addRgba
  for (let y = 0; y < down.first.length; y++) {
    light.fill(0)
    // What has no alpha is wholly there, whatever its rows weigh.
    if (channels === 3) for (let t = 3; t < light.length; t += 4) light[t] = 1
    for (let k = 0; k < down.count[y]; k++) {
      const from = (down.first[y] + k) * rowBytes
      memory.set(data.subarray(from, from + rowBytes), REST)
      add(REST, REST + rowBytes, LIGHT, down.weight[y * down.stride + k], sums)
    }
    here.write(sums, first, count, weights, across.stride * WORD, BYTES, written, writtenEnd)
    out.set(memory.subarray(written, writtenEnd), y * targets * WORD)
  }
  return true
}
