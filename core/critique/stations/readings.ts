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
import type { PieceReading, StationReadings } from './piece'
import type { Station } from './station'
import { STATIONS } from './table'

const NONE: StationReadings = { ofPiece: () => [] }

const READINGS: Readonly<Record<Station, StationReadings>> = {
  'first-look': firstLookReadings,
  values: valuesReadings,
  focus: focusReadings,
  temperature: temperatureReadings,
  harmony: harmonyReadings,
  light: lightReadings,
  edges: edgesReadings,
  // What is said there is the critic's own.
  verdict: NONE
}

/** One area's readings, at every station that reads areas. */
export const areaReadings = (name: string, measures: AreaMeasures, standards: HouseStandards): Reading[] =>
  STATIONS.flatMap(station => READINGS[station].ofArea?.(name, measures, standards) ?? []).filter(r => r !== null)

export function readingsOfPiece(measures: PieceMeasures, known: PieceKnown, standards: HouseStandards): PieceReading[] {
  const ofAreas = known.areas.flatMap(area => placedIn(area, measures, standards))
  return STATIONS.flatMap(station => [
    ...READINGS[station].ofPiece({ ...measures, known, standards }),
    ...ofAreas.filter(r => r.station === station)
  ])
}

function placedIn({ id, name, area }: KnownArea, { extras }: PieceMeasures, standards: HouseStandards): PieceReading[] {
  const measures = extras.areas.find(a => a.id === id)
  if (!measures) return []
  return areaReadings(name, measures, standards).map(r => ({ ...r, key: `${r.id}:${id}`, on: 'area' as const, area }))
}
