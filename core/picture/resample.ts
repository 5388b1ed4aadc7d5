/**
 * Making a picture smaller by exact area averaging in linear light: each target pixel is the mean
 * of the light falling on its footprint, partly covered source pixels counting by their cover.
 * Colour is weighted by alpha, so a clear pixel's hidden colour never leaks into an edge.
 */
import { LINEAR_OF_BYTE, convertLinearToSrgb } from '../colour/srgb'
import type { Raster } from './raster'

/** Linear light → byte through 4096 steps with interpolation avoided: 16 bits index it exactly enough for 8. */
const BYTE_OF_LINEAR = Uint8Array.from({ length: 65536 }, (_, i) => Math.round(convertLinearToSrgb(i / 65535) * 255))

/** Size with the long edge at most `edge`; smaller pictures stay as they are. */
export function fitWithin(width: number, height: number, edge: number): { width: number, height: number } {
  const scale = edge / Math.max(width, height)
  if (scale >= 1) return { width, height }
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) }
}

export interface SourcePixels {
  readonly width: number
  readonly height: number
  /** 3 (RGB) or 4 (RGBA) bytes a pixel. */
  readonly channels: 3 | 4
  readonly data: Uint8Array | Uint8ClampedArray
}

/** Cover of the source along one axis: for each target cell its first source cell, its count, and the weights. */
function coverOf(source: number, target: number): { first: Int32Array, count: Int32Array, weight: Float32Array, stride: number } {
  const ratio = source / target
  const stride = Math.ceil(ratio) + 1
  const first = new Int32Array(target), count = new Int32Array(target), weight = new Float32Array(target * stride)
  for (let t = 0; t < target; t++) {
    const from = t * ratio, to = Math.min(source, from + ratio)
    const start = Math.floor(from), end = Math.min(source, Math.ceil(to - 1e-9))
    first[t] = start
    count[t] = Math.max(1, end - start)
    for (let k = 0; k < count[t]; k++) {
      weight[t * stride + k] = Math.max(0, Math.min(to, start + k + 1) - Math.max(from, start + k)) / ratio
    }
  }
  return { first, count, weight, stride }
}

/**
 * @param source any size. @param width target width, at most the source's. @param height likewise.
 * @returns a raster; an unchanged size is a plain copy.
 * @throws RangeError when asked to enlarge.
 */
export function reduceTo(source: SourcePixels, width: number, height: number): Raster {
  if (width > source.width || height > source.height) {
    throw new RangeError(`reducing ${source.width} × ${source.height} to ${width} × ${height} would enlarge it`)
  }
  const { channels, data } = source
  const out = new Uint8ClampedArray(width * height * 4)
  if (width === source.width && height === source.height) {
    for (let i = 0, s = 0, t = 0; i < width * height; i++, s += channels, t += 4) {
      out[t] = data[s]; out[t + 1] = data[s + 1]; out[t + 2] = data[s + 2]
      out[t + 3] = channels === 4 ? data[s + 3] : 255
    }
    return { width, height, data: out }
  }
  const across = coverOf(source.width, width), down = coverOf(source.height, height)
  const sums = new Float32Array(width * 4)
  for (let y = 0; y < height; y++) {
    sums.fill(0)
    for (let k = 0; k < down.count[y]; k++) {
      addRow(source, down.first[y] + k, down.weight[y * down.stride + k], across, sums)
    }
    writeRow(sums, out, y * width * 4)
  }
  return { width, height, data: out }
}

/** Adds one source row, weighted, into the target row's running sums of light × alpha and alpha. */
function addRow({ width, channels, data }: SourcePixels, row: number, rowWeight: number, across: ReturnType<typeof coverOf>, sums: Float32Array): void {
  const { first, count, weight, stride } = across
  for (let x = 0; x < first.length; x++) {
    let r = 0, g = 0, b = 0, a = 0
    let s = (row * width + first[x]) * channels
    for (let k = 0; k < count[x]; k++, s += channels) {
      const w = channels === 4 ? weight[x * stride + k] * data[s + 3] : weight[x * stride + k] * 255
      r += w * LINEAR_OF_BYTE[data[s]]
      g += w * LINEAR_OF_BYTE[data[s + 1]]
      b += w * LINEAR_OF_BYTE[data[s + 2]]
      a += w
    }
    const t = x * 4
    sums[t] += rowWeight * r; sums[t + 1] += rowWeight * g; sums[t + 2] += rowWeight * b; sums[t + 3] += rowWeight * a
  }
}

function writeRow(sums: Float32Array, out: Uint8ClampedArray, offset: number): void {
  for (let t = 0; t < sums.length; t += 4) {
    const alpha = sums[t + 3]
    if (alpha <= 0) continue
    for (let c = 0; c < 3; c++) out[offset + t + c] = BYTE_OF_LINEAR[Math.min(65535, Math.round((sums[t + c] / alpha) * 65535))]
    out[offset + t + 3] = Math.round(alpha)
  }
}
