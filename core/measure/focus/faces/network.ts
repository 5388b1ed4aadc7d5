/**
 * A small convolutional network, run layer by layer: three by three over the picture, then each channel three by three
 * and all channels mixed, halved after each (M. Sandler and others, "MobileNetV2", CVPR 2018, on separable layers).
 * What it does most of is `kernel.wat`, eight times as fast as the same in script.
 */
import { growTo, openKernel, type Memory } from '../../../numeric/kernel'
import kernel from './kernel.json' with { type: 'json' }

/** Filters as they are stored: row, column, input, output; without rows and columns where all channels are mixed. */
export interface Layer {
  readonly filters: Float32Array
  readonly bias: Float32Array
}
export interface SeparableLayer extends Layer {
  /** Three by three for each channel: row, column, channel. */
  readonly depthwise: Float32Array
}
/** From three channels to sixteen, then separable layers in fours of channels, then boxes. */
export interface Network {
  readonly first: Layer
  readonly separable: readonly SeparableLayer[]
  readonly last: Layer
}

/** Width × height cells of `channels` numbers each, one cell after another. */
export interface Maps {
  readonly width: number
  readonly height: number
  readonly channels: number
  readonly data: Float32Array
}

/** Pointers into the memory, in bytes, and sizes in cells. */
interface Kernel {
  readonly memory: Memory
  first(data: number, width: number, height: number, filters: number, bias: number, out: number): void
  mix(data: number, cells: number, channels: number, filters: number, bias: number, outputs: number, out: number): void
  filter(data: number, width: number, height: number, channels: number, filters: number, out: number): void
  pool(data: number, width: number, height: number, channels: number, step: number, out: number): void
}

const FLOAT = 4
/** What a block of four cells may run over its end, with as many channels as there are: bytes. */
const SLACK = 65_536
const fours = (n: number): number => Math.ceil(n / 4) * 4

/** For each four outputs, for each input, its four: as the kernel reads them. */
function inFours({ filters, bias }: Layer): Layer {
  const outputs = bias.length,
    inputs = filters.length / outputs,
    turned = new Float32Array(inputs * fours(outputs)),
    filled = new Float32Array(fours(outputs))
  filled.set(bias)
  for (let i = 0; i < inputs; i++)
    for (let o = 0; o < outputs; o++) turned[((o >> 2) * inputs + i) * 4 + (o & 3)] = filters[i * outputs + o]
  return { filters: turned, bias: filled }
}

export class Runner {
  private readonly kernel: Kernel
  private readonly at = new Map<Float32Array, number>()
  private readonly separable: readonly SeparableLayer[]
  private readonly last: Layer
  private weightsEnd = 0

  /** @throws where the machine cannot run it. */
  constructor(private readonly network: Network) {
    this.kernel = openKernel<Kernel>(kernel.bytes)
    this.separable = network.separable.map(layer => ({ ...inFours(layer), depthwise: layer.depthwise }))
    this.last = inFours(network.last)
    for (const { filters, bias } of [network.first, ...this.separable, this.last]) this.place(filters, bias)
    for (const { depthwise } of this.separable) this.place(depthwise)
  }

  private place(...lists: readonly Float32Array[]): void {
    for (const list of lists) {
      this.at.set(list, this.weightsEnd)
      this.weightsEnd += fours(list.length) * FLOAT
      growTo(this.kernel.memory, this.weightsEnd)
      new Float32Array(this.kernel.memory.buffer, this.at.get(list), list.length).set(list)
    }
  }

  /** @param seen three channels. @returns a thirty-second of its size, the last layer's channels filled to fours. */
  run(seen: Maps): Maps {
    const { kernel, network, separable, last } = this,
      area = seen.width * seen.height * 16 * FLOAT + SLACK
    growTo(this.kernel.memory, this.weightsEnd + 2 * area)
    let here = this.weightsEnd,
      there = here + area
    const memory = new Float32Array(kernel.memory.buffer)
    const swap = (): void => void ([here, there] = [there, here])
    let { width, height } = seen,
      channels = network.first.bias.length
    const pool = (step: number): void => {
      const [w, h] = [Math.ceil(width / step), Math.ceil(height / step)]
      memory.fill(0, there / FLOAT, there / FLOAT + (w + 2) * (h + 2) * channels)
      kernel.pool(here, width, height, channels, step, there)
      swap()
      width = w
      height = h
    }
    memory.set(seen.data, here / FLOAT)
    kernel.first(here, width, height, this.at.get(network.first.filters)!, this.at.get(network.first.bias)!, there)
    swap()
    width -= 2
    height -= 2
    pool(2)
    for (const [i, { depthwise, filters, bias }] of separable.entries()) {
      kernel.filter(here, width, height, channels, this.at.get(depthwise)!, there)
      kernel.mix(there, width * height, channels, this.at.get(filters)!, this.at.get(bias)!, bias.length, here)
      channels = bias.length
      pool(i === separable.length - 1 ? 1 : 2)
    }
    // With its rim, which nobody reads.
    const wide = width + 2,
      { filters, bias } = last
    kernel.mix(here, wide * (height + 2), channels, this.at.get(filters)!, this.at.get(bias)!, bias.length, there)
    channels = bias.length
    const data = new Float32Array(width * height * channels)
    for (let y = 0; y < height; y++) {
      const from = there / FLOAT + ((y + 1) * wide + 1) * channels
      data.set(memory.subarray(from, from + width * channels), y * width * channels)
    }
    return { width, height, channels, data }
  }
}
