/** A reading made into a correction: where it is, what is wrong, what to do, and how it will be known to be right. */
import type { Area } from '../picture/area'
import { areaOfPlaces } from './mark'
import type { PieceReading } from './stations/piece'
import type { Station } from './stations/station'
import type { Target } from './target'

export interface MarkedReading {
  readonly station: Station
  readonly area: Area | null
  readonly mark: null
  readonly readingId: string
  readonly reason: string
  readonly what: string
  readonly todo: string
  readonly target: Target | null
}

/** @param size of the picture, in any unit: rings are round on it. */
export function markingOf(
  { station, area, points, id, sentence, correction }: PieceReading,
  size: { readonly width: number; readonly height: number }
): MarkedReading {
  return {
    station,
    // What is said of places is marked there, and not on the whole picture.
    area: area ?? areaOfPlaces(points ?? [], size),
    mark: null,
    readingId: id,
    reason: sentence,
    what: correction?.what ?? sentence,
    todo: correction?.todo ?? '',
    target: correction?.target ?? null
  }
}

/** Whether a correction came from a reading of a piece. */
export const isMarkingOf = (
  correction: { readonly readingId: string | null; readonly area: Area | null; readonly reason: string },
  reading: PieceReading
): boolean =>
  correction.readingId === reading.id
  && (reading.area === null || JSON.stringify(correction.area) === JSON.stringify(reading.area))
