/** Tables that work is photographed on: linear light at a place, by kind. */
import { linearOfHex, type Rgb } from '../../core/colour/srgb'
import { seededRandom, type Random } from '../../core/numeric/random'

export type Table = (x: number, y: number) => Rgb
export const TABLES = ['plain', 'wood', 'checks', 'speckled', 'tiles'] as const
export type TableKind = (typeof TABLES)[number]

const COLOURS = [
  '#5a4632',
  '#8a6a48',
  '#2d2a28',
  '#d9d4c8',
  '#9aa3a8',
  '#3c5a4a',
  '#6d2f2a',
  '#b9a06a',
  '#40506e',
  '#efece4'
]
const times = (rgb: Rgb, by: number): Rgb => rgb.map(v => v * by) as unknown as Rgb
const mix = (a: Rgb, b: Rgb, t: number): Rgb => a.map((v, i) => v + t * (b[i]! - v)) as unknown as Rgb

/** Smooth chance: between the corners of a grid of random numbers, 0–1. */
function smoothNoise(seed: number): (x: number, y: number) => number {
  const random = seededRandom(seed),
    side = 64,
    grid = Float32Array.from({ length: side * side }, () => random()),
    at = (i: number, j: number): number => grid[(((j % side) + side) % side) * side + (((i % side) + side) % side)]!
  return (x, y) => {
    const i = Math.floor(x),
      j = Math.floor(y),
      u = x - i,
      v = y - j
    return (at(i, j) * (1 - u) + at(i + 1, j) * u) * (1 - v) + (at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u) * v
  }
}

/** @param size long edge of the photograph: textures are as large in it as a table's are. */
export function tableOf(kind: TableKind, random: Random, size: number): Table {
  const one = linearOfHex(COLOURS[Math.floor(random() * COLOURS.length)]!),
    other = mix(one, linearOfHex(COLOURS[Math.floor(random() * COLOURS.length)]!), 0.5),
    noise = smoothNoise(Math.floor(1e6 * random())),
    turn = Math.PI * random(),
    [c, s] = [Math.cos(turn), Math.sin(turn)],
    unit = size * (0.03 + 0.07 * random())
  if (kind === 'plain') return (x, y) => times(one, 0.95 + 0.1 * noise(x / (3 * unit), y / (3 * unit)))
  if (kind === 'wood')
    return (x, y) => {
      const u = (c * x + s * y) / unit,
        v = (c * y - s * x) / unit
      const grain = noise(0.15 * u, 3 * v) * 0.6 + noise(0.4 * u + 9, 11 * v) * 0.4,
        plank = Math.abs(v / 4 - Math.round(v / 4)) < 0.012 ? 0.5 : 1
      return times(one, (0.65 + 0.6 * grain) * plank)
    }
  if (kind === 'checks')
    return (x, y) => {
      const u = Math.floor((c * x + s * y) / unit) & 1,
        v = Math.floor((c * y - s * x) / unit) & 1
      return mix(one, other, (u + v) / 2)
    }
  if (kind === 'speckled')
    return (x, y) => times(one, 0.55 + 0.9 * noise((9 * x) / unit, (9 * y) / unit) * (0.5 + noise(x / unit, y / unit)))
  return (x, y) => {
    const u = (c * x + s * y) / (3 * unit),
      v = (c * y - s * x) / (3 * unit),
      joint = Math.min(Math.abs(u - Math.round(u)), Math.abs(v - Math.round(v)))
    return joint < 0.015 ? other : times(one, 0.9 + 0.2 * noise(Math.round(u), Math.round(v)))
  }
}
