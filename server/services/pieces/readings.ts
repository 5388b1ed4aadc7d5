/**
 * The readings of a piece as everybody is told them. A released critique keeps the sentences it was released with,
 * whatever is drawn, measured or decided afterwards.
 */
import { setTimeout as wait } from 'node:timers/promises'
import { readingsOfPiece } from '../../../core/critique/stations/readings'
import type { PieceReading } from '../../../core/critique/stations/piece'
import { AppError } from '../../../shared/errors'
import type { PieceFacts } from '../../../shared/pieces/submission'
import { findStandards } from '../../db/classes/classes'
import { findReleasedReadings } from '../../db/critique/critiques'
import { findMeasurementState, findMeasures, hurry } from '../../db/pieces/measurements'
import { db } from '../../db/pool'
import { knownOf } from './knowing'
import { wakeMeasuring } from './measuring'

/** @property current they are of everything that is known by now. */
export interface TheReadings {
  readonly readings: PieceReading[]
  readonly current: boolean
}

/** As it is measured now; none while it is not. */
async function measuredReadings({ id, classId }: PieceFacts): Promise<TheReadings> {
  const measures = await findMeasures(db(), id)
  if (!measures?.current) {
    await hurry(db(), id)
    wakeMeasuring()
  }
  if (!measures) return { readings: [], current: false }
  return {
    readings: readingsOfPiece(measures, await knownOf(db(), id), await findStandards(db(), classId)),
    current: measures.current
  }
}

export async function readingsFor(piece: PieceFacts): Promise<TheReadings> {
  const kept = piece.state === 'released' ? await findReleasedReadings(db(), piece.id) : null
  return kept ? { readings: kept, current: true } : measuredReadings(piece)
}

const LOOK_MS = 100,
  LONGEST_MS = 8000

/**
 * The readings a critique is released with: of everything that is known by now; none of a piece that cannot be
 * measured.
 * @throws AppError unavailable when they are not there in time.
 */
export async function readingsForRelease(piece: PieceFacts): Promise<PieceReading[]> {
  for (const end = Date.now() + LONGEST_MS; Date.now() < end; await wait(LOOK_MS)) {
    const { readings, current } = await measuredReadings(piece)
    if (current) return readings
    if ((await findMeasurementState(db(), piece.id)) === 'failed') return []
  }
  throw new AppError(
    'unavailable',
    'The piece is still being measured with what was drawn last. Release it in a moment.'
  )
}
