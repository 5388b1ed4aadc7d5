/**
 * A photograph of work at the desk: what is done to it is changed while nothing is released, and all that was drawn
 * moves along.
 */
import { relaid, relaidBy } from '../../../core/photo/relaid'
import type { PhotoSteps } from '../../../core/photo/steps'
import type { Account } from '../../../shared/account'
import { correctionInputSchema } from '../../../shared/critique'
import { notesSchema } from '../../../shared/notes'
import type { PhotoChange } from '../../../shared/pieces/photo'
import { deleteArea, listAreas, updateArea } from '../../db/pieces/areas'
import { dropCorners } from '../../db/pieces/comparisons'
import { listCorrections, updateCorrection } from '../../db/critique/corrections'
import { findNotes, updateNotes } from '../../db/critique/critiques'
import { askAgain, hurry } from '../../db/pieces/measurements'
import { findSteps } from '../../db/pieces/photos'
import { withBlobs } from '../../blobs/blobs'
import { originalInto } from '../../blobs/pictures'
import { updatePicture } from '../../db/pieces/pictures'
import { db, type Db } from '../../db/pool'
import { withScratch } from '../../scratch'
import { pieceTo } from '../access'
import { editDraft, refuseStale } from '../critique/draft'
import { blobsOf, pictureOf, takeApart } from './handing-in'
import { wakeMeasuring } from './measuring'
import { originalUpright, type UprightFile } from './pictures'

/** The photograph itself, upright, for whoever sets its corners; and what is done to it by now. */
export async function photographOf(account: Account, submissionId: number): Promise<UprightFile> {
  await pieceTo('draft', account, submissionId)
  return originalUpright(account, submissionId)
}

export async function stepsOf(account: Account, submissionId: number): Promise<PhotoSteps | null> {
  await pieceTo('draft', account, submissionId)
  return findSteps(db(), submissionId)
}

/** @throws AppError in the user's words: steps that cannot be done, a released critique, another window's change. */
export async function changeSteps(account: Account, submissionId: number, { steps, over }: PhotoChange): Promise<void> {
  await pieceTo('draft', account, submissionId)
  await withScratch(async file => {
    await originalInto(submissionId, file)
    const sizes = await takeApart(file, { what: 'The photograph', who: `${account.id}`, steps })
    await withBlobs(
      await blobsOf(sizes),
      async connection => {
        const before = await findSteps(connection, submissionId)
        refuseStale(before, over)
        await updatePicture(connection, submissionId, pictureOf(sizes))
        await moveDrawn(connection, submissionId, relaidBy(before, steps))
        await dropCorners(connection, submissionId)
        await askAgain(connection, submissionId)
        await hurry(connection, submissionId)
      },
      work => editDraft(account, submissionId, work)
    )
  })
  wakeMeasuring()
}

async function moveDrawn(connection: Db, submissionId: number, by: ReturnType<typeof relaidBy>): Promise<void> {
  if (!by) return
  const [areas, corrections, notes] = await Promise.all([
    listAreas(connection, submissionId),
    listCorrections(connection, submissionId),
    findNotes(connection, submissionId)
  ])
  const moved = relaid({ areas, corrections, notes }, by)
  for (const { id } of areas) if (!moved.areas.some(a => a.id === id)) await deleteArea(connection, submissionId, id)
  for (const area of moved.areas) await updateArea(connection, submissionId, area)
  for (const { id, ...c } of moved.corrections)
    await updateCorrection(connection, submissionId, { id, c: correctionInputSchema.parse(c) })
  await updateNotes(connection, submissionId, notesSchema.parse(moved.notes))
}
