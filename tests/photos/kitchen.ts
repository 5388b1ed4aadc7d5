/**
 * Work photographed where it was made: on a table of some colour and grain, tilted, in light that falls off, a hand or
 * a shadow at its border, one edge hardly to be told from the table.
 */
import { linearOfHex, type Rgb } from '../../core/colour/srgb'
import { homographyOf, through, type Point } from '../../core/numeric/homography'
import { between, seededRandom, type Random } from '../../core/numeric/random'
import { developed, lightAt, type Shot } from '../sheets/photographer'
import { tableOf, TABLES, type TableKind } from './tables'
import type { Work } from './work'

export interface KitchenShot extends Shot {
  /** Of the camera, in long edges of the photograph; and how far beside its middle the work lies, of the frame. */
  readonly focal: number
  readonly beside: Point
  /** Of another lamp at the far end, where there is one. */
  readonly second?: readonly [number, number, number]
  readonly table: TableKind
  readonly hand: boolean
  /** Of one side, what is as the table is beside it: 0 none. */
  readonly lost: number
  readonly seed: number
}

export function kitchenShot(random: Random, size: { readonly width: number; readonly height: number }): KitchenShot {
  const tilt = between(random, -35, 35),
    left = Math.sqrt(35 ** 2 - tilt ** 2),
    warm = between(random, -0.25, 0.25)
  return {
    ...size,
    tilt,
    turn: between(random, -left, left),
    lean: between(random, -15, 15),
    fill: between(random, 0.62, 0.95),
    falloff: between(random, 1, 2),
    from: between(random, 0, 2 * Math.PI),
    cast: [1 + warm, 1, 1 - warm],
    exposure: between(random, 0.45, 0.8),
    blur: between(random, 0.3, 1.6),
    contrast: between(random, 0.9, 1.2),
    noise: between(random, 0.002, 0.01),
    quality: Math.round(between(random, 72, 94)),
    focal: between(random, 0.7, 1.4),
    beside: { x: between(random, -0.04, 0.04), y: between(random, -0.04, 0.04) },
    table: TABLES[Math.floor(random() * TABLES.length)]!,
    hand: random() < 0.35,
    shadow: random() < 0.35,
    lost: random() < 0.4 ? between(random, 0.15, 0.4) : 0,
    seed: Math.floor(1e6 * random())
  }
}

/** Of the work's side, how far the table is like it. */
const LOST_OUT = 0.15
/** Where the work's corners fall in the photograph, clockwise from its top left, pixels. */
function seenCorners({ width, height, tilt, turn, lean, fill, focal, beside }: KitchenShot, ratio: number): Point[] {
  const rad = Math.PI / 180,
    f = focal * Math.max(width, height),
    [x0, y0] = ratio > 1 ? [1, 1 / ratio] : [ratio, 1]
  const solid = [
    [-x0, -y0],
    [x0, -y0],
    [x0, y0],
    [-x0, y0]
  ].map(([x, y]) => {
    const x1 = x! * Math.cos(lean * rad) - y! * Math.sin(lean * rad),
      y1 = x! * Math.sin(lean * rad) + y! * Math.cos(lean * rad),
      y2 = y1 * Math.cos(tilt * rad),
      z2 = y1 * Math.sin(tilt * rad)
    return {
      x: x1 * Math.cos(turn * rad) + z2 * Math.sin(turn * rad),
      y: y2,
      z: z2 * Math.cos(turn * rad) - x1 * Math.sin(turn * rad)
    }
  })
  // As near as it fills the frame and no corner leaves it.
  const at = (far: number): Point[] =>
    solid.map(p => ({
      x: (0.5 + beside.x) * width + (f * p.x) / (far + p.z),
      y: (0.5 + beside.y) * height + (f * p.y) / (far + p.z)
    }))
  let near = 1.2,
    far = 60
  for (let i = 0; i < 40; i++) {
    const middle = Math.sqrt(near * far),
      fits = at(middle).every(
        p => Math.abs(p.x - width / 2) < (fill * width) / 2 && Math.abs(p.y - height / 2) < (fill * height) / 2
      )
    if (fits) far = middle
    else near = middle
  }
  return at(far)
}

const SKINS = ['#e3b49a', '#b98363', '#7c5138', '#f0cdb5']

/** Fingers that hold a side down: from the work's border outward, in its own fractions. */
function handAt(random: Random): (u: number, v: number) => boolean {
  const side = Math.floor(4 * random()),
    along = between(random, 0.2, 0.8),
    deep = between(random, 0.03, 0.08),
    wide = between(random, 0.025, 0.05)
  return (u, v) => {
    const [t, out] = side === 0 ? [u, -v] : side === 1 ? [v, u - 1] : side === 2 ? [u, v - 1] : [v, -u]
    for (let finger = 0; finger < 3; finger++) {
      const off = Math.abs(t - along - 1.9 * wide * (finger - 1))
      if (off < wide && out > -deep * (1 - 0.4 * (off / wide) ** 2) - 0.01 * finger) return true
    }
    return out > 0.12 && Math.abs(t - along) < 3.2 * wide
  }
}

/** @returns the photograph as JPEG, and the work's corners in it, clockwise from its top left: fractions. */
export async function photographWork(work: Work, shot: KitchenShot): Promise<{ jpeg: Buffer; corners: Point[] }> {
  const { width, height } = shot,
    sheet = work.raster,
    random = seededRandom(shot.seed),
    corners = seenCorners(shot, sheet.width / sheet.height)
  const flat = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 }
  ]
  const back = homographyOf(corners, flat)!,
    table = tableOf(shot.table, random, Math.max(width, height)),
    hand = handAt(random),
    skin = linearOfHex(SKINS[Math.floor(random() * SKINS.length)]!),
    lostSide = Math.floor(4 * random()),
    lostAt = between(random, 0.1, 0.9 - shot.lost),
    shade = { at: between(random, -0.2, 0.6), turn: between(random, 0, 2 * Math.PI), deep: between(random, 0.45, 0.75) }
  const short = Math.min(sheet.width, sheet.height),
    [rx, ry] = [(work.round * short) / sheet.width, (work.round * short) / sheet.height]
  const inside = (u: number, v: number): boolean => {
    if (u < 0 || v < 0 || u > 1 || v > 1) return false
    const x = Math.max(0, rx - Math.min(u, 1 - u)) / (rx || 1),
      y = Math.max(0, ry - Math.min(v, 1 - v)) / (ry || 1)
    return x * x + y * y <= 1
  }
  const seen = (u: number, v: number): Rgb =>
    [0, 1, 2].map(c =>
      lightAt(
        sheet,
        [
          Math.min(sheet.width - 1.01, Math.max(1, u * sheet.width)),
          Math.min(sheet.height - 1.01, Math.max(1, v * sheet.height))
        ],
        c
      )
    ) as unknown as Rgb
  const castAt = (far: number, c: number): number =>
    shot.cast[c]! + (shot.second ? Math.min(1, Math.max(0, far)) * (shot.second[c]! - shot.cast[c]!) : 0)
  const light = new Float32Array(3 * width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const { x: u, y: v } = through(back, { x: x + 0.5, y: y + 0.5 })
      let colour: Rgb
      if (shot.hand && hand(u, v)) colour = skin
      else if (inside(u, v)) colour = seen(u, v)
      else {
        colour = table(x, y)
        // Just beyond a part of one side the table comes ever nearer to what the work is there.
        const [t, out] = lostSide === 0 ? [u, -v] : lostSide === 1 ? [v, u - 1] : lostSide === 2 ? [u, v - 1] : [v, -u],
          end = Math.min(t - lostAt, lostAt + shot.lost - t) / 0.04
        if (shot.lost && end > 0 && out > 0 && out < LOST_OUT) {
          const near = seen(Math.min(1, Math.max(0, u)), Math.min(1, Math.max(0, v))),
            by = 0.9 * Math.min(1, end) * (1 - out / LOST_OUT)
          colour = colour.map((c, i) => (1 - by) * c + by * near[i]!) as unknown as Rgb
        }
      }
      const along = (x / width - 0.5) * Math.cos(shot.from) + (y / height - 0.5) * Math.sin(shot.from)
      let falls = shot.falloff ** -(along + 0.5)
      if (shot.shadow) {
        const edge =
          (x / width - 0.5) * Math.cos(shade.turn) + (y / height - 0.5) * Math.sin(shade.turn) - shade.at + 0.1
        falls *= 1 - (1 - shade.deep) * Math.min(1, Math.max(0, 0.5 + 12 * edge))
      }
      // The canvas's or paper's own shade on the table.
      if (!inside(u, v) && inside(u - 0.006, v - 0.008)) falls *= 0.8
      for (let c = 0; c < 3; c++)
        light[3 * (y * width + x) + c] = shot.exposure * castAt(along + 0.5, c) * falls * colour[c]!
    }
  return {
    jpeg: await developed(light, shot, random),
    corners: corners.map(({ x, y }) => ({ x: x / width, y: y / height }))
  }
}
