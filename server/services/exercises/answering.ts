/** What a learner does with an exercise before handing it in: a plan, and work in progress checked privately. */
import { nothingKnown } from '../../../core/critique/piece/known'
import type { Plan } from '../../../core/exercise/plan/plan'
import type { Account } from '../../../shared/account'
import type { Assignment, Study } from '../../../shared/exercises/assignment'
import { AppError } from '../../../shared/errors'
import { findAnswerPicture, insertStudy, listStudies } from '../../db/exercises/answers'
import * as rows from '../../db/exercises/assignments'
import { readBlob, withBlobs } from '../../blobs/blobs'
import { changeOnce } from '../../db/once'
import { db, type Db } from '../../db/pool'
import { measureStored } from '../../work/workers'
import { ownAssignment, visibleAssignment } from '../access'
import { blobsOf, keepPicture, takeApart } from '../pieces/handing-in'
import { evidenceOn } from './listing'
import { remeasure } from './setting'

export async function writePlan(account: Account, id: number, plan: Plan): Promise<void> {
  const assignment = await ownAssignment(account, id)
  await rows.updatePlan(db(), id, plan)
  await remeasure(assignment)
}

/** Studies kept for one exercise, at most: each is a whole picture. */
const MOST_STUDIES = 40

/** Checks a work in progress: only its learner sees it and what was found. It is kept, and counts as a study. */
export async function checkPrivately(
  account: Account,
  id: number,
  files: { readonly picture: string; readonly reference: string | null }
): Promise<Study> {
  const { exercise, own, settings, plan, studies } = await ownAssignment(account, id)
  if (studies >= MOST_STUDIES) throw new AppError('invalid', `There are ${MOST_STUDIES} studies already: hand one in.`)
  const who = `${account.id}`
  const picture = await takeApart(files.picture, { what: 'The picture', who }),
    reference = files.reference ? await takeApart(files.reference, { what: 'The reference', who }) : null
  const { checks } = await measureStored(
    {
      display: picture.display.bytes,
      reference: reference?.display.bytes ?? null,
      source: picture.source,
      known: nothingKnown(settings.wheel),
      exercise: { exercise, own, settings, plan, studies }
    },
    who
  )
  const keep = async (connection: Db): Promise<number> => {
    const pictureId = await keepPicture(connection, picture)
    return insertStudy(connection, { assignmentId: id, pictureId, checks: checks ?? [] })
  }
  const kept = await withBlobs(await blobsOf(picture), keep, changeOnce)
  return (await listStudies(db(), id)).find(study => study.id === kept)!
}

/** Only their learner's to see. @throws AppError not-found. */
async function own(account: Account, id: number): Promise<Assignment> {
  const assignment = await visibleAssignment(account, id)
  if (assignment.learner.id !== account.id)
    throw new AppError('not-found', 'There is nothing here, or it is not yours to see.')
  return assignment
}

export async function studiesOf(account: Account, id: number): Promise<Study[]> {
  await own(account, id)
  return listStudies(db(), id)
}

interface Which {
  /** Of the assignment. */
  readonly id: number
  readonly studyId: number
}

/** @returns the hash of its display size. */
export async function studyPicture(account: Account, { id, studyId }: Which): Promise<string> {
  await own(account, id)
  const found = await findAnswerPicture(db(), 'studies', { id: studyId, assignmentId: id })
  if (!found) throw new AppError('not-found', 'There is no such study.')
  return found
}

export async function studyEvidence(account: Account, which: Which, check: string): Promise<Buffer> {
  const picture = await readBlob(await studyPicture(account, which))
  if (!picture) throw new AppError('not-found', 'There is no such study.')
  return evidenceOn(picture.bytes, await own(account, which.id), { check, who: `${account.id}` })
}
