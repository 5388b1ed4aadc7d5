/** What a term is told by: a learner's pieces, and what became of their corrections. */
import type { Landing } from '../../../core/compare/verdict'
import type { Marked } from '../../../core/progress/tally'
import type { Station } from '../../../core/critique/stations/station'
import { believed } from '../../../core/compare/outcome'
import type { PieceFacts } from '../../../shared/pieces/submission'
import { comparisonSchema, landingSchema } from '../../../shared/pieces/versions'
import type { Db, Row } from '../pool'
import { COLUMNS, FROM, mapPiece } from '../pieces/submissions'

/** Whose, and in which class; null for all of their classes. */
export interface Whose {
  readonly learnerId: number
  readonly classIds: readonly number[]
}
const among = (ids: readonly number[]): string => ids.map(() => '?').join(', ')

/** In the order they were handed in. */
export async function listTermPieces(db: Db, { learnerId, classIds }: Whose): Promise<PieceFacts[]> {
  if (classIds.length === 0) return []
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS} ${FROM} WHERE s.learner_id = ? AND s.class_id IN (${among(classIds)})
     ORDER BY s.handed_in_at, s.id`,
    [learnerId, ...classIds]
  )
  return rows.map(mapPiece)
}

/** Learners of a class, and classes of theirs in which this account helps to teach; all of theirs for themselves. */
export async function classesBetween(db: Db, viewerId: number, learnerId: number): Promise<number[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT m.class_id FROM memberships m WHERE m.account_id = ? AND m.role = 'learner'
     AND (m.account_id = ? OR EXISTS (SELECT 1 FROM memberships v WHERE v.class_id = m.class_id AND v.account_id = ?
       AND v.role IN ('instructor', 'assistant')))`,
    [learnerId, viewerId, viewerId]
  )
  return rows.map(row => row.class_id as number)
}

export async function listLearners(db: Db, classId: number): Promise<{ id: number; name: string }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT a.id, a.name FROM memberships m JOIN accounts a ON a.id = m.account_id
     WHERE m.class_id = ? AND m.role = 'learner' ORDER BY a.name`,
    [classId]
  )
  return rows.map(row => ({ id: row.id as number, name: row.name as string }))
}

/** The instructor's word before what was measured; what nothing was measured of is not told. */
function landingOf(row: Row, index: number): Landing | null {
  if (row.word) return landingSchema.parse(row.word)
  const kept = comparisonSchema.safeParse(row.result)
  const landing = kept.success ? believed(kept.data).landed[index]?.landing : undefined
  return landing && landing !== 'cannot-tell' ? landing : null
}

/** Released corrections, each with what became of it on the version after it, once that is released too. */
export async function listMarked(db: Db, { learnerId, classIds }: Whose): Promise<Marked[]> {
  if (classIds.length === 0) return []
  const [rows] = await db.execute<Row[]>(
    `SELECT c.id, c.station, c.carried_from, c.position, c.submission_id, l.word, m.result
     FROM corrections c JOIN submissions s ON s.id = c.submission_id JOIN critiques k ON k.submission_id = s.id
     LEFT JOIN submissions n ON n.id = (SELECT v.id FROM submissions v JOIN critiques vk ON vk.submission_id = v.id
       WHERE v.first_id = COALESCE(s.first_id, s.id) AND (v.handed_in_at, v.id) > (s.handed_in_at, s.id)
         AND vk.state = 'released' ORDER BY v.handed_in_at, v.id LIMIT 1)
     LEFT JOIN comparisons m ON m.old_id = s.id AND m.new_id = n.id
     LEFT JOIN landings l ON l.correction_id = c.id AND l.new_id = n.id
     WHERE s.learner_id = ? AND s.class_id IN (${among(classIds)}) AND k.state = 'released'
     ORDER BY c.submission_id, c.position, c.id`,
    [learnerId, ...classIds]
  )
  const places = new Map<number, number>()
  return rows.map(row => {
    const piece = row.submission_id as number,
      index = places.get(piece) ?? 0
    places.set(piece, index + 1)
    return {
      id: row.id as number,
      station: row.station as Station,
      carriedFrom: row.carried_from as number | null,
      landing: landingOf(row, index)
    }
  })
}
