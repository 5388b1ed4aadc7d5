/**
 * What a piece waits for is kept with it: a review, or an answer to the exercise it was handed in for. Each change that
 * moves it says so here, in its own transaction.
 */
import type { Changed, Db, Row } from '../pool'

/** A piece waits for its review until it is released; what answers an exercise is not reviewed. */
export async function reshelvePiece(db: Db, submissionId: number): Promise<void> {
  await db.execute(
    `UPDATE submissions s JOIN critiques k ON k.submission_id = s.id
     SET s.released = k.state = 'released',
       s.waits = IF(s.assignment_id IS NULL, IF(k.state = 'draft', 'review', NULL), s.waits) WHERE s.id = ?`,
    [submissionId]
  )
}

/** Of what was handed in for an exercise the latest waits, until it is confirmed, returned or withdrawn. */
export async function reshelveAnswers(db: Db, assignmentId: number): Promise<void> {
  const [[row]] = await db.execute<Row[]>(
    `SELECT s.id AS latest, x.confirmed_at IS NULL AND x.returned_at IS NULL AND x.withdrawn_at IS NULL AS open
     FROM submissions s JOIN assignments x ON x.id = s.assignment_id WHERE s.assignment_id = ?
     ORDER BY s.handed_in_at DESC, s.id DESC LIMIT 1`,
    [assignmentId]
  )
  if (!row) return
  await db.execute<Changed>(
    "UPDATE submissions SET waits = IF(id = ? AND ?, 'exercises', NULL) WHERE assignment_id = ?",
    [row.latest as number, row.open as number, assignmentId]
  )
}
