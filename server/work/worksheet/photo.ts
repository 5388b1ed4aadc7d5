/** A photograph of filled worksheets, decoded at all its pixels and read. */
import { readFile } from 'node:fs/promises'
import { readPrinter, type PrinterOutcome } from '../../../core/exercise/reader/printer'
import { readSheets, type SheetOutcome } from '../../../core/exercise/reader/read'
import { readSwatches, type SwatchOutcome } from '../../../core/paint/sheet'
import type { Point } from '../../../core/numeric/homography'
import type { PrinterGreys } from '../../../core/exercise/worksheet/printer-sheet'
import { decodeFull } from '../layers/layers'
import { SEEING } from '../../../shared/printed-marks'
import type { Progress } from '../protocol'

/**
 * @property file of the photograph. @property corners set by hand, fractions of it. @property printers that are known.
 */
export interface PhotoRequest {
  readonly file: string
  readonly corners: readonly Point[] | null
  readonly printers?: Readonly<Record<number, PrinterGreys>>
}

/** @returns what was found, its corners in fractions of the photograph. */
export async function readPhoto(
  { file, corners, printers = {} }: PhotoRequest,
  progress?: Progress
): Promise<SheetOutcome[]> {
  const photo = await decodeFull(await readFile(file)),
    { width, height } = photo
  progress?.(0.3)
  const found = readSheets(photo, SEEING, {
    byHand: corners && { corners: corners.map(({ x, y }) => ({ x: x * width, y: y * height })) },
    printers
  })
  const inFractions = (points: readonly Point[]): Point[] => points.map(({ x, y }) => ({ x: x / width, y: y / height }))
  return found.map(outcome =>
    outcome.kind === 'read'
      ? { ...outcome, sheet: { ...outcome.sheet, corners: inFractions(outcome.sheet.corners) } }
      : { ...outcome, corners: inFractions(outcome.corners) }
  )
}

/** @returns what a photograph of two printed pages says of a printer. */
export const readPrinterPages = async ({ file }: { readonly file: string }): Promise<PrinterOutcome> =>
  readPrinter(await decodeFull(await readFile(file)), SEEING)

/** @returns what a photograph of painted swatch sheets says that they gave. */
export const readSwatchPhoto = async ({ file }: { readonly file: string }): Promise<SwatchOutcome> =>
  readSwatches(await decodeFull(await readFile(file)), SEEING)
