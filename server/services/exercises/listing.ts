/**
 * Exercises as set: a learner's own, those of the classes that somebody helps to teach, and what their checks stand on.
 */
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/exercises/assignment'
import { AppError } from '../../../shared/errors'
import * as rows from '../../db/exercises/assignments'
import { readPicture } from '../../blobs/pictures'
import { db } from '../../db/pool'
import { renderEvidence } from '../../work/workers'
import { visibleAssignment } from '../access'

export const listAssignments = (account: Account): Promise<Assignment[]> => rows.listAssignments(db(), account.id)

/** What a check stands on, as a PNG. @param display the picture. @throws AppError not-found where nothing shows it. */
export async function evidenceOn(
  display: Uint8Array,
  { exercise, own, settings, plan, studies }: Assignment,
  { check, who }: { readonly check: string; readonly who: string }
): Promise<Buffer> {
  const shown = await renderEvidence({ display, exercise: { exercise, own, settings, plan, studies }, check }, who)
  if (!shown) throw new AppError('not-found', 'Nothing on the picture shows this check.')
  return Buffer.from(shown)
}

/** Of the newest hand-in. @throws AppError not-found. */
export async function checkEvidence(account: Account, id: number, check: string): Promise<Buffer> {
  const assignment = await visibleAssignment(account, id),
    { handIn } = assignment
  const picture = handIn && (await readPicture(handIn.submissionId, 'display'))
  if (!picture) throw new AppError('not-found', 'Nothing is handed in yet.')
  return evidenceOn(picture.bytes, assignment, { check, who: `${account.id}` })
}
