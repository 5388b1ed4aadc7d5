/** A photograph of filled worksheets, decoded at all its pixels and read. */
import { readFile } from 'node:fs/promises'
import { readSheets, type SheetOutcome } from '../../../core/exercise/reader/read'
import type { Point } from '../../../core/exercise/reader/homography'
import { decodeFull } from '../layers/layers'
import { SEEING } from './libraries'
import type { Progress } from '../protocol'

/** @property file of the photograph. @property corners set by hand, fractions of it. */
export interface PhotoRequest {
  readonly file: string
  readonly corners: readonly Point[] | null
}

/** @returns what was found, its corners in fractions of the photograph. */
export async function readPhoto({ file, corners }: PhotoRequest, progress?: Progress): Promise<SheetOutcome[]> {
  const photo = await decodeFull(await readFile(file)),
    { width, height } = photo
  progress?.(0.3)
  const found = readSheets(
    photo,
    SEEING,
    corners && { corners: corners.map(({ x, y }) => ({ x: x * width, y: y * height })) }
  )
  const inFractions = (points: readonly Point[]): Point[] => points.map(({ x, y }) => ({ x: x / width, y: y / height }))
  return found.map(outcome =>
    outcome.kind === 'read'
      ? { ...outcome, sheet: { ...outcome.sheet, corners: inFractions(outcome.sheet.corners) } }
      : { ...outcome, corners: inFractions(outcome.corners) }
  )
}
