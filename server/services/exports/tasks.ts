/** What each export is made from, and whether there is anything to make. */
import { AppError } from '../../../shared/errors'
import type { Critique } from '../../../shared/critique'
import type { MadeExport } from '../../../shared/pieces/export'
import type { Submission } from '../../../shared/pieces/submission'
import { originalInto, readPicture } from '../../blobs/pictures'
import { findSteps } from '../../db/pieces/photos'
import { db } from '../../db/pool'
import type { ExportTask } from '../../work/export.worker'
import { layeredCorrections } from './exports'
import { sheetFor } from './sheet'

/** @property original file that the picture's own bytes are written to, where they are needed. */
export interface Source {
  readonly submission: Submission
  readonly critique: Critique
  readonly original: string
}

const sheet =
  (paper: 'A4' | 'LETTER') =>
  async ({ submission, critique }: Source): Promise<ExportTask> => {
    const display = await readPicture(submission.id, 'display')
    return { kind: 'sheet', display: display!.bytes, sheet: await sheetFor(submission, critique, paper) }
  }
const atEveryPixel =
  (kind: 'layers' | 'applied') =>
  async ({ submission, critique, original }: Source): Promise<ExportTask> => {
    await originalInto(submission.id, original)
    return { kind, original, corrections: layeredCorrections(critique), steps: await findSteps(db(), submission.id) }
  }

/** Each name with what is done to make it. */
export const TASKS: Readonly<Record<MadeExport, (source: Source) => Promise<ExportTask>>> = {
  'sheet-a4.pdf': sheet('A4'),
  'sheet-letter.pdf': sheet('LETTER'),
  'layers.ora': atEveryPixel('layers'),
  'as-it-could-be.png': atEveryPixel('applied')
}

/** @throws AppError when there is nothing to make. */
export function refuseEmpty(name: MadeExport, critique: Critique): void {
  if (name === 'as-it-could-be.png' && !layeredCorrections(critique).some(c => c.trial))
    throw new AppError(
      'invalid',
      'No correction of this piece shows what it means: there is nothing to try on the picture.'
    )
}
