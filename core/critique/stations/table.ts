/** The stations in the order of the route. What is first in a row, is first everywhere. */
import { edges } from './edges/row'
import { firstLook } from './first-look/row'
import { focus } from './focus/row'
import { harmony } from './harmony/row'
import { light } from './light/row'
import { temperature } from './temperature/row'
import { values } from './values/row'
import { verdict } from './verdict/row'
import type { Station, StationRow } from './station'

export const STATION_ROWS: readonly StationRow[] = [
  firstLook,
  values,
  focus,
  temperature,
  harmony,
  light,
  edges,
  verdict
]

export const STATIONS = STATION_ROWS.map(row => row.station) as [Station, ...Station[]]

/** @returns the first station for a name that is none. */
export const rowOf = (station: Station): StationRow => STATION_ROWS.find(row => row.station === station) ?? firstLook

/** What a correction is called on the picture: its station's letter and its place in the order of importance. */
export const tagOf = ({ station, order }: { readonly station: Station; readonly order: number }): string =>
  `${rowOf(station).letter}${order}`
