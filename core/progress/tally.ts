/** What became of corrections over a term, station by station. */
import { STATIONS } from '../critique/stations/table'
import type { Station } from '../critique/stations/station'
import type { Landing } from '../compare/verdict'

/** A released correction; one that was carried over is the same one, marked again. */
export interface Marked {
  readonly id: number
  readonly station: Station
  readonly carriedFrom: number | null
  /** On the version after it, by the instructor's word or as measured; null while there is none, or it was not told. */
  readonly landing: Landing | null
}

export interface StationTally {
  readonly station: Station
  readonly marked: number
  /** With the version after it, and after it was marked again. */
  readonly atFirst: number
  readonly later: number
  /** Tried, and not there yet. */
  readonly open: number
  /** No newer version came yet. */
  readonly untried: number
}

const landed = (landing: Landing | null): boolean => landing === 'reached'

/** @returns stations with something marked, in the order of the route. */
export function tallyOf(corrections: readonly Marked[]): StationTally[] {
  const next = new Map(corrections.flatMap(c => (c.carriedFrom === null ? [] : [[c.carriedFrom, c] as const]))),
    known = new Set(corrections.map(c => c.id))
  // A chain begins where nothing older that is known stands behind it.
  const begun = corrections.filter(c => c.carriedFrom === null || !known.has(c.carriedFrom))
  const tallies = new Map<Station, { marked: number; atFirst: number; later: number; open: number; untried: number }>()
  for (const first of begun) {
    const tally = tallies.get(first.station) ?? { marked: 0, atFirst: 0, later: 0, open: 0, untried: 0 }
    tallies.set(first.station, tally)
    tally.marked++
    if (landed(first.landing)) {
      tally.atFirst++
      continue
    }
    let last = first
    for (let c = next.get(last.id); c; c = next.get(c.id)) last = c
    if (landed(last.landing)) tally.later++
    else if (last === first && first.landing === null) tally.untried++
    else tally.open++
  }
  return STATIONS.flatMap(station => {
    const tally = tallies.get(station)
    return tally ? [{ station, ...tally }] : []
  })
}
