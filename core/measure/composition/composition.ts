/** Symmetry, balance, horizon, silhouettes and framing. */
import { round3 } from '../../numeric/round'
import { percentile } from '../../picture/distribution'
import { cornersOf, type Area } from '../../picture/area'
import type { Planes } from '../../picture/planes'
import { horizonOf } from './horizon'
import { symmetryOf } from './symmetry'
import { notMeasurable, type CompositionSection, type Measured } from '../report'

const FLAT = 'the picture has no contrast'

/** Centroid of |L* − median|, fractions. Null without contrast. */
export function balanceOf({ value, values, mask, width, height }: Planes): { x: number; y: number } | null {
  const median = percentile(values, 0.5)
  let weight = 0,
    sx = 0,
    sy = 0
  for (let y = 0, i = 0; y < height; y++) {
    let row = 0
    for (let x = 0; x < width; x++, i++) {
      const w = mask[i] * Math.abs(value[i] - median)
      row += w
      sx += w * (x + 0.5)
    }
    weight += row
    sy += row * (y + 0.5)
  }
  // The median is read to 0.01 L*: on a flat picture that rounding is all the weight there is.
  return weight < 0.02 * value.length ? null : { x: sx / weight / width, y: sy / weight / height }
}

export function measureComposition(planes: Planes): Measured<CompositionSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const { whole, across } = symmetryOf(planes),
    balance = balanceOf(planes),
    horizon = horizonOf(planes)
  return {
    symmetry: whole === null ? notMeasurable(FLAT) : round3(whole),
    symmetryAcross: across === null ? notMeasurable(FLAT) : round3(across),
    horizon: horizon === null ? notMeasurable('nothing divides the picture from side to side') : round3(horizon),
    balance: balance === null ? notMeasurable(FLAT) : { x: round3(balance.x), y: round3(balance.y) }
  }
}

export interface Silhouette {
  /** Share of its convex hull that the shape fills, 0–1: low is ragged. */
  readonly solidity: number
  /** 4π · area ÷ perimeter²: 1 is a disc. */
  readonly compactness: number
}

/** The plain shape of a marked area, in pixels of the raster so that proportions are true. */
export function silhouetteOf(area: Area, width: number, height: number): Silhouette | null {
  const points = cornersOf(area).map(([x, y]) => [x * width, y * height] as const)
  const size = shoelace(points),
    perimeter = points.reduce(
      (sum, p, i) =>
        sum + Math.hypot(p[0] - points[(i + 1) % points.length][0], p[1] - points[(i + 1) % points.length][1]),
      0
    )
  const hull = shoelace(hullOf(points))
  return hull < 1e-9 || perimeter === 0
    ? null
    : { solidity: size / hull, compactness: (4 * Math.PI * size) / perimeter ** 2 }
}

type Point = readonly [number, number]
const shoelace = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce(
      (sum, p, i) => sum + p[0] * points[(i + 1) % points.length][1] - points[(i + 1) % points.length][0] * p[1],
      0
    )
  ) / 2

/** Convex hull by the monotone chain (A. M. Andrew, Information Processing Letters 9, 1979). */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((p, q) => p[0] - q[0] || p[1] - q[1])
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = []
    for (const p of list) {
      while (chain.length >= 2) {
        const [a, b] = chain.slice(-2)
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break
        chain.pop()
      }
      chain.push(p)
    }
    return chain.slice(0, -1)
  }
  return [...half(sorted), ...half([...sorted].reverse())]
}

/** The framings tried: a tighter centre, left, right, tall and wide. */
export const FRAMINGS = [
  { name: 'centred', x: 0.15, y: 0.15, w: 0.7, h: 0.7 },
  { name: 'left', x: 0, y: 0.1, w: 0.7, h: 0.8 },
  { name: 'right', x: 0.3, y: 0.1, w: 0.7, h: 0.8 },
  { name: 'tall', x: 0.25, y: 0, w: 0.5, h: 1 },
  { name: 'wide', x: 0, y: 0.25, w: 1, h: 0.5 }
] as const
