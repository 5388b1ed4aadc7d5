/**
 * Reading and writing a critique: notes, score, words, exercise, release. Nothing reaches the learner before release.
 */
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import type { AssignInput, Critique } from '../../../shared/critique'
import { NO_NOTES, type NotesChange } from '../../../shared/notes'
import type { Scored } from '../../../shared/score'
import type { PieceFacts } from '../../../shared/pieces/submission'
import { deleteAnswers } from '../../db/exercises/answers'
import {
  deleteAssignmentOfSubmission,
  findAssignmentOfSubmission,
  upsertAssignment
} from '../../db/exercises/assignments'
import { findRubric, findStandards } from '../../db/classes/classes'
import { listAreas } from '../../db/pieces/areas'
import { listCorrections } from '../../db/critique/corrections'
import {
  addSeconds,
  findCritique,
  findNotes,
  markReleased,
  updateNotes,
  updateScore,
  updateVerdict
} from '../../db/critique/critiques'
import { askAgain } from '../../db/pieces/measurements'
import { db } from '../../db/pool'
import { readablePiece, pieceTo } from '../access'
import { audit } from '../house/audit'
import { ownOf } from '../exercises/own'
import { editDraft, refuseStale } from './draft'
import { tellReleased } from '../mail/mail'
import { wakeMeasuring } from '../pieces/measuring'
import { readingsFor, readingsForRelease } from '../pieces/readings'

async function wholeCritique(piece: PieceFacts, withNotes: boolean): Promise<Critique> {
  const { id: submissionId, classId } = piece
  const head = await findCritique(db(), submissionId)
  if (!head) throw new AppError('not-found', 'There is no critique of this piece.')
  const [corrections, areas, assigned, standards, rubric, notes, said] = await Promise.all([
    listCorrections(db(), submissionId),
    listAreas(db(), submissionId),
    findAssignmentOfSubmission(db(), submissionId),
    findStandards(db(), classId),
    findRubric(db(), classId),
    findNotes(db(), submissionId),
    readingsFor(piece)
  ])
  const assignment = assigned && {
    id: assigned.assignment.id,
    exercise: assigned.assignment.exercise,
    own: assigned.assignment.own,
    dueOn: assigned.assignment.dueOn,
    settings: assigned.assignment.settings
  }
  // The learner reads the instructor's verdicts on the readings, and nothing else of the notes.
  const seen = withNotes
    ? { seconds: head.seconds, notes, readings: said.readings }
    : {
        seconds: 0,
        notes: { ...NO_NOTES, judged: notes.judged },
        readings: said.readings.filter(r => r.on !== 'first-look')
      }
  return { ...head, corrections, areas, assignment, standards, rubric, current: said.current, ...seen }
}

/** The instructor's draft, or for its learner the critique once it is released. */
export async function readCritique(account: Account, submissionId: number): Promise<Critique> {
  const submission = await readablePiece(account, submissionId)
  return wholeCritique(submission, submission.learner.id !== account.id)
}

/** Notes that say what is to be measured, and where. */
const MEASURED_NOTES = ['pairs', 'surroundings', 'stops', 'wholeFile', 'noFaces'] as const

/**
 * Changes some of the notes. Stations visited in two windows are both visited; everything else is refused when it
 * was written over something that is no longer there.
 */
export async function changeNotes(
  account: Account,
  submissionId: number,
  { over, visited, ...change }: NotesChange
): Promise<void> {
  await editDraft(account, submissionId, async connection => {
    const kept = await findNotes(connection, submissionId)
    if (over) for (const name of Object.keys(change) as (keyof typeof change)[]) refuseStale(kept[name], over[name])
    if (MEASURED_NOTES.some(name => name in change)) await askAgain(connection, submissionId)
    await updateNotes(connection, submissionId, {
      ...kept,
      ...change,
      visited: [...new Set([...kept.visited, ...(visited ?? [])])]
    })
  })
  wakeMeasuring()
}

/** @param score null for words only. @param over the score it was written over. */
export const writeScore = (
  account: Account,
  submissionId: number,
  { score, over }: { readonly score: Scored | null; readonly over: Scored | null }
): Promise<void> =>
  editDraft(account, submissionId, async connection => {
    refuseStale((await findCritique(connection, submissionId))!.score, over)
    await updateScore(connection, submissionId, score)
  })

export const addTime = (account: Account, submissionId: number, seconds: number): Promise<void> =>
  editDraft(account, submissionId, connection => addSeconds(connection, submissionId, seconds))

/** @returns the new revision. @throws AppError stale when another tab wrote first. */
export async function writeVerdict(
  account: Account,
  submissionId: number,
  { works, verdict, revision }: { readonly works: string; readonly verdict: string; readonly revision: number }
): Promise<number> {
  const kept = await editDraft(account, submissionId, connection =>
    updateVerdict(connection, submissionId, { works, verdict, revision })
  )
  if (!kept)
    throw new AppError(
      'stale',
      'These words were changed in another window meanwhile. Nothing was overwritten: choose which stays.'
    )
  return revision + 1
}

/** On the class's own wheel, with what else is asked. */
export async function assignExercise(account: Account, submissionId: number, input: AssignInput): Promise<void> {
  const { exercise, own, dueOn, hue, tolerance, medium } = input
  const { classId } = await pieceTo('draft', account, submissionId),
    { wheel } = await findStandards(db(), classId),
    named = typeof own === 'number' ? await ownOf(account, own) : null
  await editDraft(account, submissionId, async connection => {
    const set = own === 'as set' ? await findAssignmentOfSubmission(connection, submissionId) : null
    const settings = { wheel, hue, tolerance, medium }
    await upsertAssignment(connection, submissionId, {
      exercise: named?.base ?? exercise,
      own: named ?? set?.assignment.own ?? null,
      dueOn,
      settings
    })
  })
}

/**
 * Takes the exercise back from a draft. @throws AppError invalid when somebody has answered it: a critique taken back
 * was read before.
 */
export const unassignExercise = (account: Account, submissionId: number): Promise<void> =>
  editDraft(account, submissionId, async connection => {
    const set = await findAssignmentOfSubmission(connection, submissionId)
    if (set?.assignment.handIn) {
      throw new AppError(
        'invalid',
        `${set.assignment.learner.name} has handed something in for this exercise already:`
          + ' it stays, and can be confirmed.'
      )
    }
    await deleteAnswers(connection, 'x.submission_id = ?', [submissionId])
    await deleteAssignmentOfSubmission(connection, submissionId)
  })

/** @throws AppError invalid when there is nothing to say yet. */
export async function releaseCritique(
  account: Account,
  submissionId: number,
  { now, note = '' }: { readonly now: Date; readonly note?: string }
): Promise<void> {
  const submission = await pieceTo('release', account, submissionId),
    readings = await readingsForRelease(submission)
  await editDraft(account, submissionId, async connection => {
    const head = await findCritique(connection, submissionId)
    const corrections = await listCorrections(connection, submissionId)
    if (!head?.works && !head?.verdict && corrections.length === 0) {
      throw new AppError('invalid', 'There is nothing to release yet: write what works, or mark a correction.')
    }
    const amended = head?.releasedAt ? note || 'see the piece' : ''
    await markReleased(connection, submissionId, { at: now, note: amended, readings })
    await tellReleased(connection, submission, amended)
    const { classId, learner } = submission
    await audit(connection, { action: 'released', actorId: account.id, accountId: learner.id, classId, submissionId })
  })
}
