/**
 * Making a picture smaller by exact area averaging in linear light: each target pixel is the mean
 * of the light falling on its footprint, partly covered source pixels counting by their cover.
 * Colour is weighted by alpha, so a clear pixel's hidden colour never leaks into an edge.
 */
import { encodeByte, LINEAR_OF_BYTE } from '../colour/srgb'
import type { Raster } from './raster'
import { reduceByKernel } from './reducer'

/** Size with the long edge at most `edge`; smaller pictures stay as they are. */
export function fitWithin(width: number, height: number, edge: number): { width: number; height: number } {
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
export interface Cover {
  readonly first: Int32Array
  readonly count: Int32Array
  readonly weight: Float32Array
  readonly stride: number
}

export function coverOf(source: number, target: number): Cover {
  const ratio = source / target
  const stride = Math.ceil(ratio) + 1
  const first = new Int32Array(target),
    count = new Int32Array(target),
    weight = new Float32Array(target * stride)
  for (let t = 0; t < target; t++) {
    const from = t * ratio,
      to = Math.min(source, from + ratio)
    const start = Math.floor(from),
      end = Math.min(source, Math.ceil(to - 1e-9))
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
      out[t] = data[s]
      out[t + 1] = data[s + 1]
      out[t + 2] = data[s + 2]
      out[t + 3] = channels === 4 ? data[s + 3] : 255
    }
    return { width, height, data: out }
  }
  const into = { across: coverOf(source.width, width), down: coverOf(source.height, height), out }
  // Columns first: whole source rows are added up in memory's order; only their sum is averaged across.
  if (!reduceByKernel(source, into)) reduceInScript(source, into)
  return { width, height, data: out }
}

interface Into {
  readonly across: Cover
  readonly down: Cover
  readonly out: Uint8ClampedArray
}

/** What the kernel does, where there is none. */
export function reduceInScript(source: SourcePixels, { across, down, out }: Into): void {
  const { width, channels } = source,
    sums = new Float32Array(width * 4)
  for (let y = 0; y < down.first.length; y++) {
    startRow(sums, channels)
    for (let k = 0; k < down.count[y]; k++)
      addRow(source, { row: down.first[y] + k, weight: down.weight[y * down.stride + k], sums })
    writeRow(sums, { target: across, out, offset: y * across.first.length * 4 })
  }
}

/** What has no alpha is wholly there, whatever its rows weigh. */
function startRow(sums: Float32Array, channels: 3 | 4): void {
  sums.fill(0)
  if (channels === 3) for (let t = 3; t < sums.length; t += 4) sums[t] = 1
}

/** Adds one source row, weighted, into the running sums of light × alpha and alpha (0–1). */
function addRow(
  { width, channels, data }: SourcePixels,
  { row, weight, sums }: { readonly row: number; readonly weight: number; readonly sums: Float32Array }
): void {
  let s = row * width * channels
  const end = width * 4
  if (channels === 3) {
    for (let t = 0; t < end; t += 4, s += 3) {
      sums[t] += weight * LINEAR_OF_BYTE[data[s]]
      sums[t + 1] += weight * LINEAR_OF_BYTE[data[s + 1]]
      sums[t + 2] += weight * LINEAR_OF_BYTE[data[s + 2]]
    }
    return
  }
  for (let t = 0; t < end; t += 4, s += 4) {
    const w = (weight * data[s + 3]) / 255
    sums[t] += w * LINEAR_OF_BYTE[data[s]]
    sums[t + 1] += w * LINEAR_OF_BYTE[data[s + 1]]
    sums[t + 2] += w * LINEAR_OF_BYTE[data[s + 2]]
    sums[t + 3] += w
  }
}

function writeRow(
  sums: Float32Array,
  {
    target: { first, count, weight, stride },
    out,
    offset
  }: { readonly target: Cover; readonly out: Uint8ClampedArray; readonly offset: number }
): void {
  for (let x = 0; x < first.length; x++) {
    let r = 0,
      g = 0,
      b = 0,
      alpha = 0
    for (let k = 0, t = first[x] * 4; k < count[x]; k++, t += 4) {
      const w = weight[x * stride + k]
      r += w * sums[t]
      g += w * sums[t + 1]
      b += w * sums[t + 2]
      alpha += w * sums[t + 3]
    }
    if (alpha <= 0) continue
    const to = offset + x * 4
    out[to] = encodeByte(r / alpha)
    out[to + 1] = encodeByte(g / alpha)
    out[to + 2] = encodeByte(b / alpha)
    out[to + 3] = Math.round(alpha * 255)
  }
}
