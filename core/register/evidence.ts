/** What speaks for one version lying on another just there: the figures a registration is believed by. */
import { solve } from '../numeric/solve'
import { agreementOf, type Patches } from './agreement'
import type { Look } from './look'
import { cornersOf } from './place'
import type { Refined } from './refine'

/**
 * How far the corners may still be off, by what the pictures' slopes hold fast: one standard deviation of the worst, of
 * the diagonal. Large where there are edges in one direction alone, or in one place.
 */
export function looseness(old: Look, { normal, spread, alike }: Refined): number {
  const n = normal.length
  if (n === 0) return 1
  const columns = Array.from({ length: n }, (_, k) =>
    solve(
      normal,
      Array.from({ length: n }, (_, i) => (i === k ? 1 : 0))
    )
  )
  if (columns.some(c => c === null)) return 1
  const corners = cornersOf(old),
    diagonal = Math.hypot(2 * corners[2].x, 2 * corners[2].y)
  const worst = Math.max(
    ...corners.map(({ x: u, y: v }) => {
      const rows = [
        [1, 0, -v, u, u, v, u * u, u * v],
        [0, 1, u, v, -v, u, u * v, v * v]
      ]
      return rows.reduce((total, row) => {
        let sum = 0
        for (let k = 0; k < n; k++) for (let l = 0; l < n; l++) sum += row[k] * columns[l]![k] * row[l]
        return total + sum
      }, 0)
    })
  )
  return worst > 0 ? Math.sqrt(worst * spread * alike) / diagonal : 1
}

export interface Evidence {
  /** Of what both show, the better part: −1 to 1. */
  readonly agreement: number
  /** Patches that plainly agree. */
  readonly patches: number
  /** Along the narrower direction, how far those reach over the picture: 0–1. */
  readonly reach: number
  /** Agreement less that of the best other place. */
  readonly margin: number
  readonly overlap: number
  readonly loose: number
}

/** Plainly: a patch with something to see, seen alike. */
const PLAIN = { correlation: 0.6, energy: 0.12 } as const

export function plainPatches({ across, down, correlation, energy }: Patches): { count: number; reach: number } {
  const columns = new Set<number>(),
    rows = new Set<number>()
  let count = 0
  correlation.forEach((c, i) => {
    if (c < PLAIN.correlation || energy[i] < PLAIN.energy) return
    count++
    columns.add(i % across)
    rows.add((i / across) | 0)
  })
  return { count, reach: Math.min(columns.size / across, rows.size / down) }
}

export const evidenceOf = (patches: Patches, { margin, loose }: { margin: number; loose: number }): Evidence => {
  const { count, reach } = plainPatches(patches)
  return { agreement: agreementOf(patches), patches: count, reach, margin, overlap: patches.overlap, loose }
}
