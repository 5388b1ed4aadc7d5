/** Fitting the studio's schemes to a picture's hue histogram, and naming the one it keeps to. */
import { round1, round3 } from '../../numeric/round'
import { SCHEMES, type Scheme, type SectorScheme } from '../../wheel/schemes'
import type { Family, RankedScheme } from '../report'

/** A scheme holds from this coverage, with at least this share in every sector. */
export const HOLDS = { coverage: 0.8, sector: 0.04 } as const

/** Differences under this are rounding, not a better fit. */
const SAME = 1e-9

export interface Fit {
  readonly name: SectorScheme
  /** Degrees of the first sector's centre. */
  readonly rotation: number
  /** Share of coloured weight inside the sectors. */
  readonly coverage: number
  /** Share of coloured weight in each sector, table order. */
  readonly sectors: readonly number[]
  /** Mean distance of the coloured weight to the nearest sector centre, degrees. */
  readonly distance: number
  readonly score: number
}

/** For each degree from the rotation: nearest sector, distance to its centre, and whether inside. */
interface Template {
  readonly scheme: Scheme
  readonly sector: Uint8Array
  readonly distance: Float64Array
  readonly inside: Uint8Array
}

const TEMPLATES: ReadonlyMap<SectorScheme, Template> = new Map(
  SCHEMES.map(scheme => {
    const sector = new Uint8Array(360),
      distance = new Float64Array(360).fill(360),
      inside = new Uint8Array(360)
    for (let deg = 0; deg < 360; deg++) {
      scheme.sectors.forEach(({ centre, half }, index) => {
        const d = Math.abs(((deg - centre + 540) % 360) - 180)
        if (d < distance[deg]) {
          distance[deg] = d
          sector[deg] = index
          inside[deg] = d <= half ? 1 : 0
        }
      })
    }
    return [scheme.name, { scheme, sector, distance, inside }] as const
  })
)

/**
 * One scheme at one rotation. @param weight coloured weight in 1° bins centred on whole degrees,
 * not smoothed. @param rotation whole degrees.
 */
export function fitAt(name: SectorScheme, weight: Float64Array, rotation: number): Fit {
  const { scheme, sector, distance, inside } = TEMPLATES.get(name)!
  const sectors = new Array<number>(scheme.sectors.length).fill(0)
  let total = 0,
    away = 0
  for (let bin = 0; bin < 360; bin++) {
    const w = weight[bin]
    if (w === 0) continue
    const deg = (bin - rotation + 360) % 360
    total += w
    away += w * distance[deg]
    if (inside[deg]) sectors[sector[deg]] += w
  }
  const shares = sectors.map(s => s / total)
  const coverage = shares.reduce((p, q) => p + q, 0)
  const mean = away / total
  return {
    name,
    rotation,
    coverage,
    sectors: shares,
    distance: mean,
    score: coverage - (0.3 * scheme.width) / 360 - mean / 500
  }
}

/**
 * Coloured weight inside a scheme's sectors at each whole rotation: no sectors overlap, so each is a difference of
 * running sums.
 */
function coverageAt({ sectors }: Scheme, weight: Float64Array): Float64Array {
  const running = new Float64Array(1081)
  for (let i = 0; i < 1080; i++) running[i + 1] = running[i] + weight[i % 360]
  return Float64Array.from({ length: 360 }, (_, rotation) =>
    sectors.reduce((sum, { centre, half }) => {
      const middle = ((rotation + centre) % 360) + 360,
        reach = Math.floor(half)
      return sum + running[middle + reach + 1] - running[middle - reach]
    }, 0)
  )
}

/** The rotation that covers most; of equal ones, that with the least mean distance to the centres. */
export function bestFit(name: SectorScheme, weight: Float64Array): Fit {
  const total = weight.reduce((p, q) => p + q, 0),
    covered = coverageAt(TEMPLATES.get(name)!.scheme, weight)
  const most = covered.reduce((p, q) => Math.max(p, q), 0)
  let best: Fit | null = null
  for (let rotation = 0; rotation < 360; rotation++) {
    if (covered[rotation] < most - 2 * SAME * total) continue
    const fit = fitAt(name, weight, rotation)
    if (
      !best
      || fit.coverage > best.coverage + SAME
      || (fit.coverage > best.coverage - SAME && fit.distance < best.distance - SAME)
    )
      best = fit
  }
  return best!
}

/** A scheme does not hold over a hole in it, or while a whole colour stands outside. */
const HOLE = { deg: 45, share: 0.03 } as const
const OUTSIDE = 0.08

/**
 * Whether a sector is filled: no stretch of it of 45° or more holds under 3 % of the weight. A wide sector would else
 * swallow two colours that have nothing between them.
 */
function filled({ name, rotation }: Fit, weight: Float64Array): boolean {
  const total = weight.reduce((p, q) => p + q, 0)
  return TEMPLATES.get(name)!.scheme.sectors.every(({ centre, half }) => {
    const from = Math.ceil(centre - half),
      to = Math.floor(centre + half) - HOLE.deg + 1
    for (let start = from; start <= to; start++) {
      let held = 0
      for (let k = 0; k < HOLE.deg; k++) held += weight[(((start + k + Math.round(rotation)) % 360) + 360) % 360]
      if (held < HOLE.share * total) return false
    }
    return true
  })
}

/** Whether the middle of a family lies in one of the sectors. */
export const familyInside = ({ name, rotation }: Pick<Fit, 'name' | 'rotation'>, position: number): boolean =>
  insideScheme(name, rotation)[Math.round(position) % 360] === 1

/** @param families of the picture, with their weights. */
export const keepsTo = (
  fit: Fit,
  weight: Float64Array,
  families: readonly Pick<Family, 'position' | 'weight'>[]
): boolean =>
  holds(fit) && filled(fit, weight) && !families.some(f => f.weight >= OUTSIDE && !familyInside(fit, f.position))

export const holds = (fit: Fit): boolean =>
  fit.coverage >= HOLDS.coverage - SAME && fit.sectors.every(s => s >= HOLDS.sector - SAME)

/** All schemes at their best rotation, highest score first. */
export function rankSchemes(weight: Float64Array): Fit[] {
  return SCHEMES.map(s => bestFit(s.name, weight)).sort((p, q) => q.score - p.score)
}

export const reportFit = (fit: Fit): RankedScheme => ({
  name: fit.name,
  rotation: round1(fit.rotation),
  coverage: round3(fit.coverage),
  score: round3(fit.score),
  sectors: fit.sectors.map(round3)
})

/** For each 1° bin of the wheel, 1 when it lies inside the scheme at this rotation. */
export function insideScheme(name: SectorScheme, rotation: number): Uint8Array {
  const { inside } = TEMPLATES.get(name)!
  return Uint8Array.from({ length: 360 }, (_, bin) => inside[(bin - Math.round(rotation) + 720) % 360])
}
