/** Bytes into the planes of their colours, by a kernel (`colour.wat`): over half of what a picture's planes took. */
import { convertLuminanceToValue, LUMINANCE } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import { LINEAR_OF_BYTE } from '../colour/srgb'
import { growTo, openKernel, openOnce, type Memory } from '../numeric/kernel'
import kernel from './colour.json' with { type: 'json' }

/** Of at least as many numbers as there are pixels. */
export interface ColourPlanes {
  /** L*, 0–100. */
  readonly value: Float32Array
  /** OKLab lightness 0–1, and its two colour axes. */
  readonly lightness: Float32Array
  readonly a: Float32Array
  readonly b: Float32Array
  /** OKLCH chroma, where it is wanted. */
  readonly chroma?: Float32Array
}

/** Pointers into the memory, in bytes. */
interface Kernel {
  readonly memory: Memory
  fill(
    pixels: number,
    end: number,
    light: number,
    value: number,
    lightness: number,
    a: number,
    b: number,
    chroma: number
  ): void
}

const PIXEL = 4
/** Pixels at once: what they take stays in a processor's second cache. */
const CHUNK = 8192
const LIGHT = 0,
  PIXELS = LINEAR_OF_BYTE.length * PIXEL,
  PLANE = CHUNK * PIXEL
const [VALUE, LIGHTNESS, A, B, CHROMA, END] = [1, 2, 3, 4, 5, 6].map(n => PIXELS + n * PLANE) as [
  number,
  number,
  number,
  number,
  number,
  number
]

const kernelHere = /* @__PURE__ */ openOnce(() => {
  const opened = openKernel<Kernel>(kernel.bytes)
  growTo(opened.memory, END)
  new Float32Array(opened.memory.buffer, LIGHT, LINEAR_OF_BYTE.length).set(LINEAR_OF_BYTE)
  return opened
})

/** Within 3e-6 of OKLab and 3e-4 of L*. @returns false where the machine cannot run it, and nothing was filled. */
export function fillByKernel(data: Uint8ClampedArray, { value, lightness, a, b, chroma }: ColourPlanes): boolean {
  const here = kernelHere()
  if (!here) return false
  const { buffer } = here.memory,
    pixels = new Uint8Array(buffer, PIXELS, PLANE),
    count = data.length / PIXEL
  const planes = [
    [value, VALUE],
    [lightness, LIGHTNESS],
    [a, A],
    [b, B],
    ...(chroma ? [[chroma, CHROMA] as const] : [])
  ] as const
  for (let from = 0; from < count; from += CHUNK) {
    const n = Math.min(CHUNK, count - from)
    pixels.set(data.subarray(from * PIXEL, (from + n) * PIXEL))
    // In fours: what lies behind the last is computed, and left.
    here.fill(PIXELS, PIXELS + n * PIXEL, LIGHT, VALUE, LIGHTNESS, A, B, CHROMA)
    for (const [plane, at] of planes) plane.set(new Float32Array(buffer, at, n), from)
  }
  return true
}

/** The plain formulas: what the kernel does, where there is none. */
export function fillInScript(data: Uint8ClampedArray, { value, lightness, a, b, chroma }: ColourPlanes): void {
  for (let i = 0, p = 0; p < data.length; i++, p += PIXEL) {
    const [red, green, blue] = [data[p], data[p + 1], data[p + 2]],
      grey = red === green && green === blue
    const linear = [LINEAR_OF_BYTE[red], LINEAR_OF_BYTE[green], LINEAR_OF_BYTE[blue]] as const,
      [L, across, up] = convertLinearToOklab(linear)
    value[i] = convertLuminanceToValue(linear.reduce((sum, light, c) => sum + light * LUMINANCE[c], 0))
    lightness[i] = L
    a[i] = grey ? 0 : across
    b[i] = grey ? 0 : up
    if (chroma) chroma[i] = Math.hypot(a[i], b[i])
  }
}

/** Fills the planes from RGBA bytes. An exact grey gets exact zeros, so that noise never becomes a hue. */
export function fillColour(data: Uint8ClampedArray, planes: ColourPlanes): void {
  if (!fillByKernel(data, planes)) fillInScript(data, planes)
}
