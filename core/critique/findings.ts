/**
 * Small pictures for paper: each correction through the lens that shows what was found, corrections of one lens
 * together.
 */
import type { LensRequest } from '../lens/lens'
import type { Report } from '../measure/report'
import type { Area } from '../picture/area'
import { isMarkingOf } from './marking'
import type { HouseStandards } from './standards'
import type { PieceReading } from './stations/piece'
import type { Station } from './stations/station'
import { rowOf, STATIONS } from './stations/table'

export interface Finding {
  readonly lens: LensRequest
  /** What the lens is called at its station. */
  readonly label: string
  /** The corrections it shows, by their place in the list. */
  readonly corrections: readonly number[]
}

interface Found {
  readonly station: Station
  readonly readingId: string | null
  readonly area: Area | null
  readonly reason: string
}

export interface FindingSource {
  readonly corrections: readonly Found[]
  readonly readings: readonly PieceReading[]
  readonly report: Report
  readonly standards: HouseStandards
}

/**
 * @param most how many pictures there is room for. @returns in the order of the corrections; a plain view shows nothing
 * and is left out.
 */
export function findingsShown({ corrections, readings, report, standards }: FindingSource, most: number): Finding[] {
  const choicesOf = (station: Station) => rowOf(station).lenses(report, standards)
  const all = STATIONS.flatMap(choicesOf)
  const shown = new Map<string, { lens: LensRequest; label: string; corrections: number[] }>()
  for (const [at, correction] of corrections.entries()) {
    const own = choicesOf(correction.station).find(c => c.request.name !== 'plain')?.request
    // A correction in the critic's own words is shown by its station's first lens.
    const lens = readings.find(r => isMarkingOf(correction, r))?.evidence ?? own
    if (!lens || lens.name === 'plain') continue
    const key = JSON.stringify(lens),
      label = all.find(c => JSON.stringify(c.request) === key)?.label ?? ''
    const found = shown.get(key) ?? { lens, label, corrections: [] }
    found.corrections.push(at)
    shown.set(key, found)
  }
  return [...shown.values()].slice(0, most)
}
