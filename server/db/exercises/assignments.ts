import { PLAIN_SETTINGS, type ExerciseKey, type Settings, type WhatIsSet } from '../../../core/exercise'
import type { OwnExercise } from '../../../core/exercise/own/own'
import type { Plan } from '../../../core/exercise/plan/plan'
import type { ClassRole } from '../../../shared/account'
import { checkResultSchema, planSchema, settingsSchema, type Assignment } from '../../../shared/exercises/assignment'
import { ownExerciseSchema } from '../../../shared/exercises/own-exercise'
import { reshelveAnswers } from '../pieces/shelves'
import type { Changed, Db, Row } from '../pool'
import { TAUGHT } from '../lists'
import type { Look } from '../pieces/submissions'

/** The newest hand-in stands for the assignment; a learner may try again until it is confirmed. */
const COLUMNS = `x.id, x.exercise, x.own, x.settings, DATE_FORMAT(x.due_on, '%Y-%m-%d') AS due_on, x.assigned_at,
  x.note, x.plan, x.set_id,
  x.withdrawn_at, x.confirmed_at, x.returned_at, x.answer_word, x.submission_id,
  s.title, x.class_id, x.learner_id, a.name AS learner_name, c.archived_at IS NOT NULL AS archived,
  k.state AS critique_state,
  (SELECT COUNT(*) FROM studies t WHERE t.assignment_id = x.id) AS studies, h.id AS hand_in_id, h.handed_in_at,
  m.checks`
const FROM = `FROM assignments x LEFT JOIN submissions s ON s.id = x.submission_id
  JOIN accounts a ON a.id = x.learner_id
  JOIN classes c ON c.id = x.class_id LEFT JOIN critiques k ON k.submission_id = s.id
  LEFT JOIN submissions h ON h.id = (SELECT n.id FROM submissions n WHERE n.assignment_id = x.id
    ORDER BY n.handed_in_at DESC, n.id DESC LIMIT 1)
  LEFT JOIN measurements m ON m.submission_id = h.id`
/** What a learner may know of: what was set to a class, and what came with a critique that they can read. */
const KNOWN = "(x.submission_id IS NULL OR k.state = 'released')"

export interface OwnedAssignment {
  readonly assignment: Assignment
  /** What the one who looks is in its class. */
  readonly role: ClassRole | null
  readonly archived: boolean
  /** Whether its learner may know of it. */
  readonly known: boolean
}

const iso = (at: unknown): string | null => (at as Date | null)?.toISOString() ?? null
/** As it was set; what was set before settings were kept, plainly. */
export const settingsOf = (json: unknown): Settings =>
  json === null ? PLAIN_SETTINGS : settingsSchema.catch(PLAIN_SETTINGS).parse(json)

/** An exercise of an instructor's own as it stood when it was set; null for one of the shelf. */
export const ownFrom = (json: unknown): OwnExercise | null =>
  json === null || json === undefined ? null : ownExerciseSchema.parse(json)

function mapAssignment(row: Row): OwnedAssignment {
  return {
    role: (row.role as ClassRole | null | undefined) ?? null,
    archived: Boolean(row.archived),
    known: row.submission_id === null || row.critique_state === 'released',
    assignment: {
      id: row.id as number,
      exercise: row.exercise as ExerciseKey,
      own: ownFrom(row.own),
      settings: settingsOf(row.settings),
      learner: { id: row.learner_id as number, name: row.learner_name as string },
      classId: row.class_id as number,
      dueOn: row.due_on as string,
      assignedAt: iso(row.assigned_at)!,
      note: row.note as string,
      from:
        row.submission_id === null ? null : { submissionId: row.submission_id as number, title: row.title as string },
      setId: row.set_id as number | null,
      plan: row.plan === null ? null : planSchema.parse(row.plan),
      withdrawnAt: iso(row.withdrawn_at),
      confirmedAt: iso(row.confirmed_at),
      returnedAt: iso(row.returned_at),
      answer: row.answer_word as string,
      studies: Number(row.studies),
      handIn:
        row.hand_in_id === null
          ? null
          : {
              submissionId: row.hand_in_id as number,
              handedInAt: iso(row.handed_in_at)!,
              checks: row.checks === null ? null : checkResultSchema.array().parse(row.checks)
            }
    }
  }
}

/** Sets the exercise of a critique, or changes it: one a critique. */
export async function upsertAssignment(
  db: Db,
  submissionId: number,
  { exercise, own, dueOn, settings }: Pick<NewAssignment, 'exercise' | 'own' | 'dueOn' | 'settings'>
): Promise<void> {
  await db.execute<Changed>(
    `INSERT INTO assignments (submission_id, learner_id, class_id, exercise, own, due_on, settings)
     SELECT s.id, s.learner_id, s.class_id, ?, ?, ?, ? FROM submissions s WHERE s.id = ?
     ON DUPLICATE KEY UPDATE exercise = VALUES(exercise), own = VALUES(own), due_on = VALUES(due_on),
     settings = VALUES(settings)`,
    [exercise, own && JSON.stringify(own), dueOn, JSON.stringify(settings), submissionId]
  )
}

export interface NewAssignment {
  readonly setId: number
  readonly learnerId: number
  readonly classId: number
  readonly exercise: ExerciseKey
  readonly own: OwnExercise | null
  readonly dueOn: string
  readonly note: string
  readonly settings: Settings
}
export async function insertAssignment(db: Db, set: NewAssignment): Promise<number> {
  const { setId, learnerId, classId, exercise, own, dueOn, note, settings } = set
  const [result] = await db.execute<Changed>(
    `INSERT INTO assignments (set_id, learner_id, class_id, exercise, own, due_on, note, settings)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [setId, learnerId, classId, exercise, own && JSON.stringify(own), dueOn, note, JSON.stringify(settings)]
  )
  return result.insertId
}

export async function deleteAssignmentOfSubmission(db: Db, submissionId: number): Promise<void> {
  await db.execute('DELETE FROM assignments WHERE submission_id = ?', [submissionId])
}

export async function findAssignment(db: Db, { id, viewerId }: Look): Promise<OwnedAssignment | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS},
       (SELECT v.role FROM memberships v WHERE v.class_id = x.class_id AND v.account_id = ?) AS role
     ${FROM} WHERE x.id = ?`,
    [viewerId, id]
  )
  return rows[0] ? mapAssignment(rows[0]) : null
}

export async function findAssignmentOfSubmission(db: Db, submissionId: number): Promise<OwnedAssignment | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} ${FROM} WHERE x.submission_id = ?`, [submissionId])
  return rows[0] ? mapAssignment(rows[0]) : null
}

/** A learner's own, once they may know of them, and those of the classes an account helps to teach. */
export async function listAssignments(db: Db, accountId: number): Promise<Assignment[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS} ${FROM} WHERE (x.learner_id = ? AND ${KNOWN}) OR x.class_id IN (${TAUGHT})
     ORDER BY x.due_on, x.id`,
    [accountId, accountId]
  )
  return rows.map(row => mapAssignment(row).assignment)
}

/** Of a class, withdrawn ones too. */
export async function listAssignmentsIn(db: Db, classId: number): Promise<Assignment[]> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} ${FROM} WHERE x.class_id = ? ORDER BY a.name, x.id`, [
    classId
  ])
  return rows.map(row => mapAssignment(row).assignment)
}

export async function listAssignmentsOfSet(db: Db, setId: number): Promise<Assignment[]> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} ${FROM} WHERE x.set_id = ? ORDER BY a.name, x.id`, [setId])
  return rows.map(row => mapAssignment(row).assignment)
}

export async function updatePlan(db: Db, id: number, plan: Plan): Promise<void> {
  await db.execute('UPDATE assignments SET plan = ? WHERE id = ?', [JSON.stringify(plan), id])
}

/** A day that is put off is reminded of again. */
export async function updateDue(
  db: Db,
  id: number,
  { dueOn, note }: { readonly dueOn: string; readonly note: string }
): Promise<void> {
  await db.execute('UPDATE assignments SET due_on = ?, note = ?, reminded_at = NULL WHERE id = ?', [dueOn, note, id])
}

export async function markWithdrawn(db: Db, id: number, note: string): Promise<void> {
  await db.execute('UPDATE assignments SET withdrawn_at = UTC_TIMESTAMP(3), note = ? WHERE id = ?', [note, id])
  await reshelveAnswers(db, id)
}

/** The instructor's word on what came back. */
export interface Answered {
  readonly at: Date
  readonly word: string
}
export async function markConfirmed(db: Db, id: number, { at, word }: Answered): Promise<void> {
  await db.execute('UPDATE assignments SET confirmed_at = ?, returned_at = NULL, answer_word = ? WHERE id = ?', [
    at,
    word,
    id
  ])
  await reshelveAnswers(db, id)
}

export async function markReturned(db: Db, id: number, { at, word }: Answered): Promise<void> {
  await db.execute('UPDATE assignments SET returned_at = ?, confirmed_at = NULL, answer_word = ? WHERE id = ?', [
    at,
    word,
    id
  ])
  await reshelveAnswers(db, id)
}

/** Something new was handed in: what was said of the one before is over. */
export async function clearReturned(db: Db, id: number): Promise<void> {
  await db.execute('UPDATE assignments SET returned_at = NULL, answer_word = ? WHERE id = ? AND confirmed_at IS NULL', [
    '',
    id
  ])
  await reshelveAnswers(db, id)
}

/** Days before it is due that somebody is reminded. */
const REMIND_DAYS = 2

export interface DueSoon extends WhatIsSet {
  readonly id: number
  readonly learnerId: number
  readonly classId: number
  readonly dueOn: string
}
/** One that is due soon, and that nobody was reminded of; locked until the transaction ends. */
export async function claimDueSoon(db: Db): Promise<DueSoon | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT x.id, x.learner_id, x.class_id, x.exercise, x.own, DATE_FORMAT(x.due_on, '%Y-%m-%d') AS due_on
     FROM assignments x
     LEFT JOIN critiques k ON k.submission_id = x.submission_id JOIN classes c ON c.id = x.class_id
     WHERE x.reminded_at IS NULL AND x.withdrawn_at IS NULL AND x.confirmed_at IS NULL AND c.archived_at IS NULL
       AND ${KNOWN}
       AND x.due_on BETWEEN UTC_DATE() AND UTC_DATE() + INTERVAL ${REMIND_DAYS} DAY
       AND NOT EXISTS (SELECT 1 FROM submissions h WHERE h.assignment_id = x.id)
     ORDER BY x.id LIMIT 1 FOR UPDATE SKIP LOCKED`
  )
  const row = rows[0]
  if (!row) return null
  await db.execute('UPDATE assignments SET reminded_at = UTC_TIMESTAMP(3) WHERE id = ?', [row.id as number])
  return {
    id: row.id as number,
    learnerId: row.learner_id as number,
    classId: row.class_id as number,
    exercise: row.exercise as ExerciseKey,
    own: ownFrom(row.own),
    dueOn: row.due_on as string
  }
}
