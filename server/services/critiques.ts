/** Writing a critique: corrections, areas, words, exercise, release. Nothing reaches the learner before release. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import type { CorrectionInput, Critique } from '../../shared/critique'
import { NO_NOTES, type NotesChange } from '../../shared/notes'
import type { Scored } from '../../shared/score'
import type { ExerciseKey } from '../../core/exercise'
import type { Area } from '../../core/picture/area'
import { deleteAssignmentOfSubmission, findAssignmentOfSubmission, upsertAssignment } from '../db/assignments'
import { findRubric, findStandards } from '../db/classes'
import { addSeconds, deleteArea, deleteCorrection, findCritique, findNotes, insertArea, insertCorrection, listAreas, listCorrections, markReleased, reorderCorrections,
  updateArea, updateCorrection, updateNotes, updateScore, updateVerdict } from '../db/critiques'
import { db, transaction, type Db } from '../db/pool'
import { taughtSubmission, visibleSubmission } from './access'
import { tellReleased } from './mail'

async function wholeCritique(submissionId: number, classId: number, withNotes: boolean): Promise<Critique> {
  const head = await findCritique(db(), submissionId)
  if (!head) throw new AppError('not-found', 'There is no critique of this piece.')
  const [corrections, areas, assigned, standards, rubric, notes] = await Promise.all([
    listCorrections(db(), submissionId), listAreas(db(), submissionId), findAssignmentOfSubmission(db(), submissionId), findStandards(db(), classId), findRubric(db(), classId),
    withNotes ? findNotes(db(), submissionId) : NO_NOTES
  ])
  const assignment = assigned && { id: assigned.assignment.id, exercise: assigned.assignment.exercise, dueOn: assigned.assignment.dueOn }
  return { ...head, seconds: withNotes ? head.seconds : 0, corrections, areas, assignment, standards, rubric, notes }
}

/** The instructor's draft, or for its learner the critique once it is released. */
export async function readCritique(account: Account, submissionId: number): Promise<Critique> {
  const submission = await visibleSubmission(account, submissionId)
  if (submission.learner.id === account.id && submission.state !== 'released') {
    throw new AppError('not-found', 'The critique of this piece is not released yet.')
  }
  return wholeCritique(submissionId, submission.classId, submission.learner.id !== account.id)
}

/** Runs an edit on a draft that this instructor may change, holding it so that no release crosses it. */
async function editDraft<T>(account: Account, submissionId: number, edit: (connection: Db) => Promise<T>): Promise<T> {
  await taughtSubmission(account, submissionId)
  return transaction(async (connection) => {
    const head = await findCritique(connection, submissionId, true)
    if (head?.state === 'released') throw new AppError('already-released', 'The critique is released; it can no longer be changed.')
    return edit(connection)
  })
}

const found = (ok: boolean, what: string): void => {
  if (!ok) throw new AppError('not-found', `There is no such ${what} on this piece.`)
}

export const addCorrection = (account: Account, submissionId: number, input: CorrectionInput): Promise<number> =>
  editDraft(account, submissionId, connection => insertCorrection(connection, submissionId, input))

export const changeCorrection = (account: Account, submissionId: number, id: number, input: CorrectionInput): Promise<void> =>
  editDraft(account, submissionId, async connection => found(await updateCorrection(connection, submissionId, id, input), 'correction'))

export const removeCorrection = (account: Account, submissionId: number, id: number): Promise<void> =>
  editDraft(account, submissionId, async connection => found(await deleteCorrection(connection, submissionId, id), 'correction'))

export const orderCorrections = (account: Account, submissionId: number, order: readonly number[]): Promise<void> =>
  editDraft(account, submissionId, connection => reorderCorrections(connection, submissionId, order))

export const addArea = (account: Account, submissionId: number, name: string, area: Area): Promise<number> =>
  editDraft(account, submissionId, connection => insertArea(connection, submissionId, name, area))

export const changeArea = (account: Account, submissionId: number, id: number, name: string, area: Area): Promise<void> =>
  editDraft(account, submissionId, async connection => found(await updateArea(connection, submissionId, id, name, area), 'area'))

/** Changes some of the notes; the draft's row is held, so two windows writing different notes lose neither. */
export const changeNotes = (account: Account, submissionId: number, change: NotesChange): Promise<void> =>
  editDraft(account, submissionId, async connection => updateNotes(connection, submissionId, { ...await findNotes(connection, submissionId), ...change }))

/** @param score null for words only. */
export const writeScore = (account: Account, submissionId: number, score: Scored | null): Promise<void> =>
  editDraft(account, submissionId, connection => updateScore(connection, submissionId, score))

export const addTime = (account: Account, submissionId: number, seconds: number): Promise<void> =>
  editDraft(account, submissionId, connection => addSeconds(connection, submissionId, seconds))

export const removeArea = (account: Account, submissionId: number, id: number): Promise<void> =>
  editDraft(account, submissionId, async connection => found(await deleteArea(connection, submissionId, id), 'area'))

/** @returns the new revision. @throws AppError stale when another tab wrote first. */
export async function writeVerdict(account: Account, submissionId: number, works: string, verdict: string, revision: number): Promise<number> {
  const kept = await editDraft(account, submissionId, connection => updateVerdict(connection, submissionId, works, verdict, revision))
  if (!kept) throw new AppError('stale', 'These words were changed in another window meanwhile. Reload to see both, nothing of yours was overwritten.')
  return revision + 1
}

export const assignExercise = (account: Account, submissionId: number, exercise: ExerciseKey, dueOn: string): Promise<void> =>
  editDraft(account, submissionId, connection => upsertAssignment(connection, submissionId, exercise, dueOn))

/** Takes the exercise back from a draft: nobody has seen it, so nothing can have been handed in for it. */
export const unassignExercise = (account: Account, submissionId: number): Promise<void> =>
  editDraft(account, submissionId, connection => deleteAssignmentOfSubmission(connection, submissionId))

/** @throws AppError invalid when there is nothing to say yet. */
export async function releaseCritique(account: Account, submissionId: number, now: Date, note = ''): Promise<void> {
  const submission = await taughtSubmission(account, submissionId)
  await editDraft(account, submissionId, async (connection) => {
    const head = await findCritique(connection, submissionId)
    const corrections = await listCorrections(connection, submissionId)
    if (!head?.works && !head?.verdict && corrections.length === 0) {
      throw new AppError('invalid', 'There is nothing to release yet: write what works, or mark a correction.')
    }
    const amended = head?.releasedAt ? note || 'see the piece' : ''
    await markReleased(connection, submissionId, now, amended)
    await tellReleased(connection, submission, amended)
  })
}
