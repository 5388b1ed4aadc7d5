/** Studies that a learner keeps for pieces of their own; those made for an exercise are with its answers. */
import { studyFactsSchema, type KeptStudy, type StudyFacts } from '../../../shared/pieces/study'
import { deletePictures } from '../exercises/answers'
import type { Changed, Db, Row } from '../pool'

const mapStudy = (row: Row): KeptStudy => ({
  ...studyFactsSchema.parse(row.facts),
  id: row.id as number,
  madeAt: (row.checked_at as Date).toISOString(),
  minutes: row.minutes as number | null,
  submissionId: row.submission_id as number | null
})

export async function insertKeptStudy(
  db: Db,
  {
    learnerId,
    pictureId,
    minutes,
    facts
  }: {
    readonly learnerId: number
    readonly pictureId: number
    readonly minutes: number | null
    readonly facts: StudyFacts
  }
): Promise<number> {
  const [result] = await db.execute<Changed>(
    "INSERT INTO studies (learner_id, picture_id, minutes, checks, facts) VALUES (?, ?, ?, '[]', ?)",
    [learnerId, pictureId, minutes, JSON.stringify(facts)]
  )
  return result.insertId
}

/** Those that led to no piece yet, in the order they were made. */
export async function listLooseStudies(db: Db, learnerId: number): Promise<KeptStudy[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT * FROM studies WHERE learner_id = ? AND submission_id IS NULL ORDER BY checked_at, id',
    [learnerId]
  )
  return rows.map(mapStudy)
}

/** Everything a learner kept, with which hash its original is kept by. */
export async function listEveryStudy(db: Db, learnerId: number): Promise<(KeptStudy & { original: string })[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT t.*, p.original_sha FROM studies t JOIN pictures p ON p.id = t.picture_id WHERE t.learner_id = ?
     ORDER BY t.checked_at, t.id`,
    [learnerId]
  )
  return rows.map(row => ({ ...mapStudy(row), original: row.original_sha as string }))
}

/** Of a piece, whichever of its versions they were handed in with. */
export async function listStudiesOfPiece(db: Db, submissionId: number): Promise<KeptStudy[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT t.* FROM submissions me JOIN submissions s ON s.id = COALESCE(me.first_id, me.id)
       OR s.first_id = COALESCE(me.first_id, me.id)
     JOIN studies t ON t.submission_id = s.id WHERE me.id = ? ORDER BY t.checked_at, t.id`,
    [submissionId]
  )
  return rows.map(mapStudy)
}

/** Only a learner's own that led to nothing else. */
export async function attachStudies(
  db: Db,
  { learnerId, submissionId }: { readonly learnerId: number; readonly submissionId: number },
  ids: readonly number[]
): Promise<void> {
  if (ids.length === 0) return
  await db.execute(
    `UPDATE studies SET submission_id = ? WHERE learner_id = ? AND submission_id IS NULL
     AND id IN (${ids.map(() => '?').join(', ')})`,
    [submissionId, learnerId, ...ids]
  )
}

/** By which hash its display size is kept; whose it is, and of which piece. */
export async function findStudy(
  db: Db,
  id: number
): Promise<{ sha256: string; learnerId: number; submissionId: number | null } | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.display_sha, t.learner_id, t.submission_id FROM studies t JOIN pictures p ON p.id = t.picture_id
     WHERE t.id = ? AND t.learner_id IS NOT NULL`,
    [id]
  )
  const row = rows[0]
  return row
    ? {
        sha256: row.display_sha as string,
        learnerId: row.learner_id as number,
        submissionId: row.submission_id as number | null
      }
    : null
}

/** They go with their pictures, where nothing else points at those. @param which of `studies t`. */
export async function deleteKeptStudies(db: Db, which: string, values: readonly number[]): Promise<number> {
  const [pictures] = await db.execute<Row[]>(
    `SELECT DISTINCT p.id, p.original_sha, p.display_sha, p.thumb_sha, p.full_sha FROM pictures p
     JOIN studies t ON t.picture_id = p.id WHERE t.learner_id IS NOT NULL AND ${which}`,
    [...values]
  )
  const [result] = await db.execute<Changed>(`DELETE t FROM studies t WHERE t.learner_id IS NOT NULL AND ${which}`, [
    ...values
  ])
  await deletePictures(db, pictures)
  return result.affectedRows
}
