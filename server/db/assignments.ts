import type { ExerciseKey } from '../../core/exercise'
import type { ClassRole } from '../../shared/account'
import { checkResultSchema, type Assignment } from '../../shared/assignment'
import type { Changed, Db, Row } from './pool'
import { TAUGHT } from './lists'
import type { Look } from './submissions'

/** The newest hand-in stands for the assignment; a learner may try again until it is confirmed. */
const COLUMNS = `x.id, x.exercise, DATE_FORMAT(x.due_on, '%Y-%m-%d') AS due_on, x.assigned_at, x.confirmed_at, x.submission_id,
  s.title, s.class_id, s.learner_id, a.name AS learner_name, c.archived_at IS NOT NULL AS archived, k.state AS critique_state,
  h.id AS hand_in_id, h.handed_in_at, m.checks`
const FROM = `FROM assignments x JOIN submissions s ON s.id = x.submission_id JOIN accounts a ON a.id = s.learner_id
  JOIN classes c ON c.id = s.class_id JOIN critiques k ON k.submission_id = s.id
  LEFT JOIN submissions h ON h.id = (SELECT MAX(n.id) FROM submissions n WHERE n.assignment_id = x.id)
  LEFT JOIN measurements m ON m.submission_id = h.id`

export interface OwnedAssignment {
  readonly assignment: Assignment
  /** What the one who looks is in its class. */
  readonly role: ClassRole | null
  readonly archived: boolean
  readonly released: boolean
}

function mapAssignment(row: Row): OwnedAssignment {
  return {
    role: (row.role as ClassRole | null | undefined) ?? null,
    archived: Boolean(row.archived),
    released: row.critique_state === 'released',
    assignment: {
      id: row.id as number,
      exercise: row.exercise as ExerciseKey,
      learner: { id: row.learner_id as number, name: row.learner_name as string },
      classId: row.class_id as number,
      dueOn: row.due_on as string,
      assignedAt: (row.assigned_at as Date).toISOString(),
      fromSubmissionId: row.submission_id as number,
      fromTitle: row.title as string,
      confirmedAt: (row.confirmed_at as Date | null)?.toISOString() ?? null,
      handIn:
        row.hand_in_id === null
          ? null
          : {
              submissionId: row.hand_in_id as number,
              handedInAt: (row.handed_in_at as Date).toISOString(),
              checks: row.checks === null ? null : checkResultSchema.array().parse(row.checks)
            }
    }
  }
}

/** Sets the exercise of a critique, or changes it: one a critique. */
export async function upsertAssignment(
  db: Db,
  submissionId: number,
  { exercise, dueOn }: { readonly exercise: ExerciseKey; readonly dueOn: string }
): Promise<void> {
  await db.execute<Changed>(
    'INSERT INTO assignments (submission_id, exercise, due_on) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE exercise = VALUES(exercise), due_on = VALUES(due_on)',
    [submissionId, exercise, dueOn]
  )
}

export async function deleteAssignmentOfSubmission(db: Db, submissionId: number): Promise<void> {
  await db.execute('DELETE FROM assignments WHERE submission_id = ?', [submissionId])
}

export async function findAssignment(db: Db, { id, viewerId }: Look): Promise<OwnedAssignment | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS}, (SELECT v.role FROM memberships v WHERE v.class_id = s.class_id AND v.account_id = ?) AS role ${FROM} WHERE x.id = ?`,
    [viewerId, id]
  )
  return rows[0] ? mapAssignment(rows[0]) : null
}

export async function findAssignmentOfSubmission(db: Db, submissionId: number): Promise<OwnedAssignment | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} ${FROM} WHERE x.submission_id = ?`, [submissionId])
  return rows[0] ? mapAssignment(rows[0]) : null
}

/** A learner's own, once its critique is released, and those of the classes an account helps to teach. */
export async function listAssignments(db: Db, accountId: number): Promise<Assignment[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS} ${FROM} WHERE (s.learner_id = ? AND k.state = 'released') OR s.class_id IN (${TAUGHT}) ORDER BY x.due_on, x.id`,
    [accountId, accountId]
  )
  return rows.map(row => mapAssignment(row).assignment)
}

export async function markConfirmed(db: Db, id: number, at: Date): Promise<void> {
  await db.execute('UPDATE assignments SET confirmed_at = ? WHERE id = ?', [at, id])
}
