/**
 * The readings of a piece: every sentence that can be said of it, in the order of the route. The bench, the server's
 * exports and pages, and the command line all read this one list.
 */
import { isMeasured } from '../../measure/report'
import { boundsOf, type Area } from '../../picture/area'
import { STATIONS, type Reading } from '../reading'
import {
  ambientReading, areaTemperatureReading, cutOutReading, depthReadings, firstLookReading, greysReading, readingsOf, referenceReading, routeReading,
  separationReading, silhouetteReading, thumbnailReading
} from '../readings'
import type { HouseStandards } from '../standards'
import type { KnownArea, Picked, PickedPair, PieceKnown, Place } from './known'
import type { AreaMeasures, PieceMeasures } from './measure'

/** What a reading needs beside the picture itself. */
export type StandsOn = 'picture' | 'focus' | 'area' | 'pairs' | 'planes' | 'stops' | 'reference' | 'plan' | 'first-look'

/** A reading in its place among those of a piece. */
export interface PieceReading extends Reading {
  /** Its name within the piece: its id, and for an area which one. */
  readonly key: string
  readonly on: StandsOn
  /** What it is about, where that is not the whole picture; a correction begun from it is marked there. */
  readonly area: Area | null
}

/** Readings of the stored report that need more than the picture. */
const ON: Readonly<Record<string, StandsOn>> = {
  'focus.intended': 'focus', 'focus.contrast': 'focus', 'edges.falloff': 'focus', 'harmony.declared': 'plan'
}

const placed = (on: StandsOn, readings: readonly (Reading | null)[], area: Area | null = null): PieceReading[] =>
  readings.flatMap(reading => (reading ? [{ ...reading, key: reading.id, on, area }] : []))

/** One area's readings, at every station that reads areas. */
export function areaReadings({ name }: Pick<KnownArea, 'name'>, measures: AreaMeasures, standards: HouseStandards): Reading[] {
  const { separation, temperature, cutOut, silhouette } = measures
  return [
    isMeasured(separation) ? separationReading(name, separation, standards) : null,
    temperature && areaTemperatureReading(name, temperature),
    cutOut && cutOutReading(name, cutOut, standards),
    silhouette && silhouetteReading(name, silhouette)
  ].filter(r => r !== null)
}

function placeOf(picked: Picked): Place {
  if (!('kind' in picked)) return picked
  const { x, y, w, h } = boundsOf(picked)
  return { x: x + w / 2, y: y + h / 2 }
}

/** A reading that names a material shows where it was picked. */
function pointed(reading: PieceReading, pairs: readonly PickedPair[]): PieceReading {
  const pair = pairs.find(p => reading.id.endsWith(`.${p.name}`))
  return pair?.shadow ? { ...reading, points: [{ ...placeOf(pair.lit), label: '1' }, { ...placeOf(pair.shadow), label: '2' }] } : reading
}

export function readingsOfPiece({ report, extras }: PieceMeasures, known: PieceKnown, standards: HouseStandards): PieceReading[] {
  const { declared, greys, thumbnail, depth, route, ambient, reference } = extras
  const peaks = isMeasured(report.focus) && isMeasured(report.focus.peaks) ? report.focus.peaks : []
  const ofReport = readingsOf(report, { standards, declared }).map((reading): PieceReading => {
    const on = reading.station === 'light' ? 'pairs' : ON[reading.id] ?? 'picture'
    return pointed({ ...reading, key: reading.id, on, area: reading.station === 'focus' || on === 'focus' ? known.focus : null }, known.pairs)
  })
  const all: PieceReading[] = [
    ...placed('first-look', [known.firstEye && firstLookReading(known.firstEye, peaks, known.focus)], known.focus),
    ...ofReport,
    ...placed('reference', [reference && isMeasured(reference) && isMeasured(report.value) ? referenceReading(report.value, reference) : null]),
    ...placed('planes', depthReadings(depth)),
    ...placed('picture', isMeasured(report.value) ? [thumbnailReading(thumbnail), greysReading(greys)] : []),
    ...placed('stops', [route && routeReading(route)]),
    ...placed('pairs', [ambientReading(ambient)]),
    ...known.areas.flatMap((area) => {
      const measures = extras.areas.find(a => a.id === area.id)
      return measures ? areaReadings(area, measures, standards).map(r => ({ ...r, key: `${r.id}:${area.id}`, on: 'area' as const, area: area.area })) : []
    })
  ]
  return STATIONS.flatMap(station => all.filter(r => r.station === station))
}
