/** Photographs a sheet that lies on a table: tilt, fall-off, cast, blur, a camera's curve, noise, JPEG. */
import sharp from 'sharp'
import { convertLinearToSrgb, LINEAR_OF_BYTE } from '../../core/colour/srgb'
import { between, gaussian, type Random } from '../../core/numeric/random'
import type { Raster } from '../../core/picture/raster'
import { homographyOf, type Point } from '../../core/numeric/homography'

/**
 * @property tilt, turn, lean degrees about the sheet's two axes and its middle. @property falloff light at one end over
 * the other. @property cast of red, green, blue. @property blur pixels. @property shadow a hand's. @property glare.
 */
export interface Shot {
  readonly width: number
  readonly height: number
  readonly tilt: number
  readonly turn: number
  readonly lean: number
  readonly fill: number
  readonly falloff: number
  readonly from: number
  readonly cast: readonly [number, number, number]
  readonly exposure: number
  readonly blur: number
  readonly contrast: number
  readonly noise: number
  readonly quality: number
  readonly shadow?: boolean
  readonly glare?: boolean
}

/** One of the shots that a kitchen table gives. */
export function someShot(random: Random, size: { readonly width: number; readonly height: number }): Shot {
  const warm = random() < 0.5 ? 1 : -1,
    strength = between(random, 0, 0.25)
  const tilt = between(random, -25, 25),
    left = Math.sqrt(25 ** 2 - tilt ** 2)
  return {
    ...size,
    tilt,
    turn: between(random, -left, left),
    lean: between(random, -12, 12),
    fill: between(random, 0.78, 0.92),
    falloff: between(random, 1, 2),
    from: between(random, 0, 2 * Math.PI),
    cast: [1 + warm * strength, 1, 1 - warm * strength],
    exposure: between(random, 0.45, 0.72),
    blur: between(random, 0.3, 1.8),
    contrast: between(random, 0.9, 1.2),
    noise: between(random, 0.002, 0.01),
    quality: Math.round(between(random, 72, 94))
  }
}

/** Where the sheet's corners fall, clockwise from its top left: seen through a lens a sheet's two lengths away. */
function cornersIn({ width, height, tilt, turn, lean, fill }: Shot, sheet: Raster): Point[] {
  const rad = Math.PI / 180,
    far = 2 * sheet.height
  const seen = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1]
  ].map(([u, v]) => {
    const x = (u - 0.5) * sheet.width,
      y = (v - 0.5) * sheet.height
    const x1 = x * Math.cos(lean * rad) - y * Math.sin(lean * rad),
      y1 = x * Math.sin(lean * rad) + y * Math.cos(lean * rad)
    const y2 = y1 * Math.cos(tilt * rad),
      z2 = y1 * Math.sin(tilt * rad)
    const x3 = x1 * Math.cos(turn * rad) + z2 * Math.sin(turn * rad),
      z3 = -x1 * Math.sin(turn * rad) + z2 * Math.cos(turn * rad)
    return { x: (far * x3) / (far + z3), y: (far * y2) / (far + z3) }
  })
  const xs = seen.map(p => p.x),
    ys = seen.map(p => p.y)
  const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  const scale = fill * Math.min(width / w, height / h)
  return seen.map(p => ({
    x: width / 2 + scale * (p.x - (Math.min(...xs) + Math.max(...xs)) / 2),
    y: height / 2 + scale * (p.y - (Math.min(...ys) + Math.max(...ys)) / 2)
  }))
}

/** A table of wood, for where the sheet is not. */
const TABLE = [0.16, 0.09, 0.05] as const

/** @returns the photograph as JPEG, and where the paper's corners are in it. */
export async function photograph(
  sheet: Raster,
  shot: Shot,
  random: Random
): Promise<{ jpeg: Buffer; corners: Point[] }> {
  const { width, height } = shot,
    corners = cornersIn(shot, sheet)
  const flat = [
    { x: 0, y: 0 },
    { x: sheet.width, y: 0 },
    { x: sheet.width, y: sheet.height },
    { x: 0, y: sheet.height }
  ]
  const back = homographyOf(corners, flat)!
  const light = new Float32Array(3 * width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const w = back[6] * (x + 0.5) + back[7] * (y + 0.5) + back[8],
        u = (back[0] * (x + 0.5) + back[1] * (y + 0.5) + back[2]) / w,
        v = (back[3] * (x + 0.5) + back[4] * (y + 0.5) + back[5]) / w
      const o = 3 * (y * width + x)
      const inside = u >= 1 && v >= 1 && u < sheet.width - 1 && v < sheet.height - 1
      const along = (x / width - 0.5) * Math.cos(shot.from) + (y / height - 0.5) * Math.sin(shot.from)
      let falls = shot.falloff ** -(along + 0.5)
      if (shot.shadow) {
        const edge = x / width - 0.35 - 0.3 * (y / height)
        falls *= edge > 0.01 ? 1 : edge < -0.01 ? 0.5 : 0.75 + 25 * edge
      }
      const shine = shot.glare
        ? 2.5 * Math.exp(-(((x / width - 0.42) / 0.09) ** 2 + ((y / height - 0.55) / 0.06) ** 2))
        : 0
      for (let c = 0; c < 3; c++) {
        const seen = inside ? lightAt(sheet, [u, v], c) : TABLE[c]
        light[o + c] = shot.exposure * shot.cast[c] * falls * (seen + shine)
      }
    }
  return { jpeg: await developed(light, shot, random), corners }
}

/** What a camera makes of linear light: soft, its curve, noise, JPEG. */
export async function developed(
  light: Float32Array,
  shot: Pick<Shot, 'width' | 'height' | 'blur' | 'contrast' | 'noise' | 'quality'>,
  random: Random
): Promise<Buffer> {
  const { width, height } = shot,
    soft = blurred(light, shot)
  const data = Buffer.alloc(3 * width * height)
  // By a table: a power for each of thirty-six million channels takes longer than all the rest.
  const seenAs = Uint8Array.from({ length: CURVE + 1 }, (_, i) =>
    Math.round(255 * curve(convertLinearToSrgb(i / CURVE), shot.contrast))
  )
  // Drawn from a table: twelve million pixels ask for very many deviates.
  const deviates = Float32Array.from({ length: 1 << 16 }, () => gaussian(random))
  const noise = (): number => deviates[(random() * deviates.length) | 0]
  for (let i = 0; i < soft.length; i++) {
    const lit = Math.max(0, soft[i] * (1 + 3 * shot.noise * noise()) + 0.2 * shot.noise * noise())
    data[i] = seenAs[Math.min(CURVE, lit * CURVE) | 0]
  }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: shot.quality })
    .toBuffer()
}

const CURVE = 1 << 14
/** What a camera adds: a little contrast about the middle. */
const curve = (v: number, contrast: number): number => {
  const p = v ** contrast,
    q = (1 - v) ** contrast
  return p / (p + q)
}

/** Linear light between pixels. */
export function lightAt({ width, data }: Raster, [u, v]: readonly [number, number], c: number): number {
  const x = Math.floor(u - 0.5),
    y = Math.floor(v - 0.5),
    fx = u - 0.5 - x,
    fy = v - 0.5 - y,
    i = 4 * (y * width + x) + c
  const at = (k: number): number => LINEAR_OF_BYTE[data[k]]
  return (
    (at(i) * (1 - fx) + at(i + 4) * fx) * (1 - fy) + (at(i + 4 * width) * (1 - fx) + at(i + 4 * width + 4) * fx) * fy
  )
}

/** A Gaussian in linear light, by two passes; the border repeats. */
function blurred(light: Float32Array, { width, height, blur }: Pick<Shot, 'width' | 'height' | 'blur'>): Float32Array {
  const reach = Math.ceil(2.5 * blur),
    taps = Float64Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * blur ** 2)))
  const sum = taps.reduce((p, q) => p + q, 0)
  const pass = (from: Float32Array, step: number): Float32Array => {
    const to = new Float32Array(from.length),
      last = from.length - 1
    for (let i = 0; i < from.length; i++) {
      let total = 0
      for (let k = -reach; k <= reach; k++) {
        const at = i + step * k
        total += taps[k + reach] * from[at < 0 || at > last ? i : at]
      }
      to[i] = total / sum
    }
    return to
  }
  return pass(pass(light, 3), 3 * width).subarray(0, 3 * width * height)
}
