/**
 * The readings of a piece: every sentence that can be said of it, in the order of the route. The bench, the server's
 * exports and pages, and the command line all read this one list.
 */
import type { KnownArea, PieceKnown } from '../piece/known'
import type { AreaMeasures, PieceMeasures } from '../piece/measure'
import type { Reading } from '../reading'
import type { HouseStandards } from '../standards'
import { edgesReadings } from './edges/readings'
import { firstLookReadings } from './first-look/readings'
import { focusReadings } from './focus/readings'
import { harmonyReadings } from './harmony/readings'
import { lightReadings } from './light/readings'
import { temperatureReadings } from './temperature/readings'
import { valuesReadings } from './values/readings'
import { wholeReadings } from './verdict/whole'
import { withDoubts } from '../doubts'
import { firstOf } from '../first'
import type { PieceReading, StationReadings } from './piece'
import type { Station } from './station'
import { STATIONS } from './table'

const READINGS: Readonly<Record<Station, StationReadings>> = {
  'first-look': firstLookReadings,
  values: valuesReadings,
  focus: focusReadings,
  temperature: temperatureReadings,
  harmony: harmonyReadings,
  light: lightReadings,
  edges: edgesReadings,
  // What is said there is the critic's own, and what is left to say where there is no fault.
  verdict: { ofPiece: () => [] }
}

/** One area's readings, at every station that reads areas. */
export const areaReadings = (name: string, measures: AreaMeasures, standards: HouseStandards): Reading[] =>
  STATIONS.flatMap(station => READINGS[station].ofArea?.(name, measures, standards) ?? []).filter(r => r !== null)

export function readingsOfPiece(measures: PieceMeasures, known: PieceKnown, standards: HouseStandards): PieceReading[] {
  const ofAreas = known.areas.flatMap(area => placedIn(area, measures, standards))
  const said = STATIONS.flatMap(station => [
    ...READINGS[station].ofPiece({ ...measures, known, standards }),
    ...ofAreas.filter(r => r.station === station)
  ])
  const shaken = said.map(r => withDoubts(r, measures.report, known))
  return withFirst([...shaken, ...wholeReadings(shaken, measures.report)], known)
}

/** @param readings none that the critic set aside, with the critic's own verdicts. */
export function withFirst(readings: readonly PieceReading[], known: PieceKnown): PieceReading[] {
  const first = firstOf(readings, known)
  return readings.map(({ first: _, ...reading }) => {
    const its = first.get(reading.key)
    return its ? { ...reading, first: its } : reading
  })
}

function placedIn({ id, name, area }: KnownArea, { extras }: PieceMeasures, standards: HouseStandards): PieceReading[] {
  const measures = extras.areas.find(a => a.id === id)
  if (!measures) return []
  return areaReadings(name, measures, standards).map(r => ({ ...r, key: `${r.id}:${id}`, on: 'area' as const, area }))
}
