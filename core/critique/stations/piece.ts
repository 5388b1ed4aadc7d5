/** What a station reads: the piece as measured, with what is known of it, by the standards of its house. */
import { boundsOf, type Area } from '../../picture/area'
import type { Picked, PieceKnown, Place } from '../piece/known'
import type { AreaMeasures, PieceMeasures } from '../piece/measure'
import type { First } from '../first'
import type { Reading } from '../reading'
import type { HouseStandards } from '../standards'

export interface ReadPiece extends PieceMeasures {
  readonly known: PieceKnown
  readonly standards: HouseStandards
}

/** What a reading needs beside the picture itself. */
export type StandsOn = 'picture' | 'focus' | 'area' | 'pairs' | 'planes' | 'stops' | 'reference' | 'plan' | 'first-look'

/** A reading in its place among those of a piece. */
export interface PieceReading extends Reading {
  /** Its name within the piece: its id, and for an area which one. */
  readonly key: string
  readonly on: StandsOn
  /** What it is about, where that is not the whole picture; a correction begun from it is marked there. */
  readonly area: Area | null
  /** One of at most three faults that are said first, and why. */
  readonly first?: First
  /** How far its figure is from its bound, as a share of the scale shown, −1 to 1: near 0 it may fall either way. */
  readonly margin?: number
  /** What shakes it, in words: a small file, a photograph. */
  readonly doubts?: readonly string[]
}

/** What one station says. */
export interface StationReadings {
  readonly ofPiece: (piece: ReadPiece) => readonly PieceReading[]
  /** Of one marked area, by its name. */
  readonly ofArea?: (name: string, measures: AreaMeasures, standards: HouseStandards) => readonly (Reading | null)[]
}

/** Readings put in their place; what has nothing to say is left out. */
export const placed = (on: StandsOn, readings: readonly (Reading | null)[], area: Area | null = null): PieceReading[] =>
  readings.flatMap(reading => (reading ? [{ ...reading, key: reading.id, on, area }] : []))

/** The middle of what was picked, in fractions. */
export function placeOf(picked: Picked): Place {
  if (!('kind' in picked)) return picked
  const { x, y, w, h } = boundsOf(picked)
  return { x: x + w / 2, y: y + h / 2 }
}
