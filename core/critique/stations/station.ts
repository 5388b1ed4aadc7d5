/**
 * A station of the route. Each is one row, of what every page may read, and one folder, with the row and what is read
 * there. Its instrument stands in the page's folder of the same name.
 */
import type { Report } from '../../measure/report'
import type { LensRequest } from '../../lens/lens'
import type { HouseStandards } from '../standards'

export type Station = 'first-look' | 'values' | 'focus' | 'temperature' | 'harmony' | 'light' | 'edges' | 'verdict'

/** A way to look at the picture, by a name of its own. */
export interface LensChoice {
  readonly label: string
  readonly request: LensRequest
}

export interface StationRow {
  readonly station: Station
  readonly name: string
  /** What the tags of its corrections begin with. */
  readonly letter: string
  /** In the order of their keys, the plain picture first. @param report null while the piece is being measured. */
  readonly lenses: (report: Report | null, standards: HouseStandards) => readonly LensChoice[]
}
