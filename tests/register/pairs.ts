/**
 * A picture and a new version of it, whose true place is known: repainted in part, photographed anew a little turned
 * and aslant, cropped or with some wall around it, in other light, softer, saved with losses.
 */
import sharp, { type Sharp } from 'sharp'
import { convertLinearToByte, LINEAR_OF_BYTE } from '../../core/colour/srgb'
import { homographyOf, inverse, through, type Homography, type Point } from '../../core/numeric/homography'
import { between, gaussian, type Random } from '../../core/numeric/random'
import { createRaster, type Raster } from '../../core/picture/raster'

export interface Pair {
  readonly next: Raster
  /** The old picture's corners in the new one, clockwise from its top left: fractions. */
  readonly corners: readonly Point[]
  /** Stops that the new one is lighter. */
  readonly stops: number
}

/** How much of everything may happen: 1 as in the issue's own figures, 0 nothing. */
export interface Change {
  readonly geometry: number
  readonly light: number
  readonly repaint: number
}
export const ALL: Change = { geometry: 1, light: 1, repaint: 1 }

const corners = ({ width, height }: { width: number; height: number }): Point[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height }
]

/** Where the new picture's corners lie on the old one: cropped or beyond it, turned, seen from a little aside. */
function frameOf({ width, height }: Raster, amount: number, random: Random): Point[] {
  const diagonal = Math.hypot(width, height),
    turn = (amount * between(random, -10, 10) * Math.PI) / 180,
    // A quarter of the area at most is cropped; or some wall is seen around it.
    side = (): number => amount * between(random, -0.07, 0.067),
    aslant = (): number => amount * between(random, -0.02, 0.02) * diagonal
  const [left, right, top, bottom] = [side() * width, width - side() * width, side() * height, height - side() * height]
  const middle = { x: width / 2, y: height / 2 }
  return [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom]
  ].map(([x, y]) => {
    const dx = x! - middle.x,
      dy = y! - middle.y
    return {
      x: middle.x + dx * Math.cos(turn) - dy * Math.sin(turn) + aslant(),
      y: middle.y + dx * Math.sin(turn) + dy * Math.cos(turn) + aslant()
    }
  })
}

/** Up to three places painted over with what belongs to another picture, or with strokes: three tenths at most. */
function repainted([old, other]: readonly [Raster, Raster], amount: number, random: Random): Raster {
  const data = new Uint8ClampedArray(old.data),
    { width, height } = old
  let left = amount * between(random, 0, 0.3) * width * height
  for (let n = 0; n < 3 && left > 0.01 * width * height; n++) {
    const area = Math.min(left, between(random, 0.04, 0.2) * width * height),
      shape = between(random, 0.6, 1.6),
      rx = Math.sqrt((area * shape) / Math.PI),
      ry = rx / shape,
      cx = random() * width,
      cy = random() * height,
      strokes = random() < 0.5,
      ink = [0, 1, 2].map(() => 255 * random()),
      grain = random() * Math.PI
    left -= area
    for (let y = Math.max(0, Math.floor(cy - ry)); y < Math.min(height, cy + ry); y++)
      for (let x = Math.max(0, Math.floor(cx - rx)); x < Math.min(width, cx + rx); x++) {
        if (((x - cx) / rx) ** 2 + ((y - cy) / ry) ** 2 > 1) continue
        const i = 4 * (y * width + x),
          q = 4 * (Math.floor((y / height) * other.height) * other.width + Math.floor((x / width) * other.width))
        const wave = 22 * Math.sin((x * Math.cos(grain) + y * Math.sin(grain)) / 5)
        for (let c = 0; c < 3; c++) data[i + c] = strokes ? ink[c]! + wave : other.data[q + c]!
      }
  }
  return { width, height, data }
}

interface Light {
  readonly gain: readonly [number, number, number]
  readonly gamma: number
  readonly noise: number
}

interface Shot {
  readonly size: { readonly width: number; readonly height: number }
  /** From the new picture to the old one, pixels. */
  readonly back: Homography
  readonly light: Light
}

function taken(old: Raster, { size, back, light }: Shot, random: Random): Raster {
  const out = createRaster(size.width, size.height),
    wall = [0, 1, 2].map(() => 60 + 120 * random())
  for (let y = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++) {
      const at = through(back, { x: x + 0.5, y: y + 0.5 }),
        px = at.x - 0.5,
        py = at.y - 0.5,
        o = 4 * (y * size.width + x)
      const inside = px >= 0 && py >= 0 && px < old.width - 1 && py < old.height - 1
      const ix = inside ? px | 0 : 0,
        iy = inside ? py | 0 : 0,
        fx = px - ix,
        fy = py - iy,
        i = 4 * (iy * old.width + ix),
        w = 4 * old.width
      for (let c = 0; c < 3; c++) {
        const value = inside
          ? (old.data[i + c]! * (1 - fx) + old.data[i + 4 + c]! * fx) * (1 - fy)
            + (old.data[i + w + c]! * (1 - fx) + old.data[i + w + 4 + c]! * fx) * fy
          : wall[c]!
        const lit = light.gain[c]! * LINEAR_OF_BYTE[Math.min(255, Math.round(value))]! ** light.gamma
        out.data[o + c] = convertLinearToByte(Math.min(1, Math.max(0, lit))) + light.noise * gaussian(random)
      }
      out.data[o + 3] = 255
    }
  return out
}

const bytesOf = async (picture: Sharp): Promise<Raster> => {
  const { data, info } = await picture.ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) }
}
export const loaded = (file: string | Buffer, edge = 1024): Promise<Raster> =>
  bytesOf(sharp(file).rotate().toColourspace('srgb').removeAlpha().resize(edge, edge, { fit: 'inside' }))

/** @param other what is painted over it is taken from there. */
export async function pairOf(
  old: Raster,
  other: Raster,
  { change = ALL, random }: { readonly change?: Change; readonly random: Random }
): Promise<Pair> {
  const frame = frameOf(old, change.geometry, random),
    scale = change.geometry ? between(random, 0.7, 1.4) : 1
  const length = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
  const size = {
    width: Math.round((scale * (length(frame[0]!, frame[1]!) + length(frame[3]!, frame[2]!))) / 2),
    height: Math.round((scale * (length(frame[0]!, frame[3]!) + length(frame[1]!, frame[2]!))) / 2)
  }
  const back = homographyOf(corners(size), frame)!,
    forth = inverse(back)!
  const stops = change.light * between(random, -0.5, 0.5),
    gain = [0, 1, 2].map(() => 2 ** stops * (1 + change.light * between(random, -0.12, 0.12)))
  const light: Light = {
    gain: gain as unknown as Light['gain'],
    gamma: 1 + change.light * between(random, -0.08, 0.08),
    noise: 1.5 * change.light
  }
  const shown = taken(repainted([old, other], change.repaint, random), { size, back, light }, random)
  const soft = change.light * between(random, 0, 1.4)
  const picture = sharp(shown.data, { raw: { ...size, channels: 4 } }).removeAlpha()
  const jpeg = await (soft > 0.35 ? picture.blur(soft) : picture)
    .jpeg({ quality: Math.round(between(random, 62, 95)) })
    .toBuffer()
  return {
    next: await bytesOf(sharp(jpeg)),
    corners: corners(old).map(p => {
      const at = through(forth, p)
      return { x: at.x / size.width, y: at.y / size.height }
    }),
    stops
  }
}
