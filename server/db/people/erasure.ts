/** Everything of a person, found and deleted row by row; what is somebody else's stays as it is, to the byte. */
import type { EraseWish } from '../../../shared/person'
import { deleteAnswers, deletePictures } from '../exercises/answers'
import type { Changed, Db, Row } from '../pool'
import { deleteEntryOf } from '../classes/call-entries'
import { deleteLettersOf } from '../pieces/letters'
import { reshelveAnswers, reshelvePiece } from '../pieces/shelves'
import { deleteKeptStudies } from '../pieces/studies'

const list = (ids: readonly unknown[]): string => ids.map(() => '?').join(', ')

async function idsOf(db: Db, sql: string, values: readonly (string | number)[]): Promise<number[]> {
  const [rows] = await db.execute<Row[]>(sql, [...values])
  return rows.map(row => Number(row.id))
}

export const submissionsOf = (db: Db, learnerId: number): Promise<number[]> =>
  idsOf(db, 'SELECT id FROM submissions WHERE learner_id = ?', [learnerId])
export const submissionsIn = (db: Db, classId: number): Promise<number[]> =>
  idsOf(db, 'SELECT id FROM submissions WHERE class_id = ?', [classId])

/** Pieces with all that hangs on them; their pictures and bytes too, where nobody else's piece points at them. */
export async function deleteSubmissions(db: Db, ids: readonly number[]): Promise<void> {
  if (ids.length === 0) return
  const [pictures] = await db.execute<Row[]>(
    `SELECT DISTINCT p.id, p.original_sha, p.display_sha, p.thumb_sha, p.full_sha FROM pictures p
     JOIN submissions s ON p.id IN (s.picture_id, s.reference_id) WHERE s.id IN (${list(ids)})`,
    [...ids]
  )
  await deleteAnswers(db, `x.submission_id IN (${list(ids)})`, ids)
  await deleteKeptStudies(db, `t.submission_id IN (${list(ids)})`, ids)
  const answered = await idsOf(
    db,
    `SELECT DISTINCT assignment_id AS id FROM submissions WHERE id IN (${list(ids)}) AND assignment_id IS NOT NULL`,
    ids
  )
  const orphaned = await idsOf(
    db,
    `SELECT s.id FROM submissions s JOIN assignments x ON x.id = s.assignment_id
     WHERE x.submission_id IN (${list(ids)})`,
    ids
  )
  // A hand-in points at the exercise that it answers, which hangs on another piece.
  await db.execute(
    `UPDATE submissions SET assignment_id = NULL WHERE id IN (${list(ids)})
     OR assignment_id IN (SELECT x.id FROM assignments x WHERE x.submission_id IN (${list(ids)}))`,
    [...ids, ...ids]
  )
  await db.execute(`DELETE FROM submissions WHERE id IN (${list(ids)})`, [...ids])
  for (const id of answered) await reshelveAnswers(db, id)
  for (const id of orphaned) await reshelvePiece(db, id)
  await deletePictures(db, pictures)
}

/** Counts that stay with a class, and hold no person. */
export async function countErased(db: Db, learnerId: number): Promise<void> {
  await db.execute(
    `UPDATE classes c SET
       c.erased_pieces = c.erased_pieces
         + (SELECT COUNT(*) FROM submissions s WHERE s.class_id = c.id AND s.learner_id = ?),
       c.erased_learners = c.erased_learners
         + (SELECT COUNT(*) FROM memberships m WHERE m.class_id = c.id AND m.account_id = ? AND m.role = 'learner')`,
    [learnerId, learnerId]
  )
}

/**
 * The account with what hangs on it, and what is said of its person elsewhere: mail about them, phrases that name them,
 * tries at their password.
 */
export async function deleteAccount(
  db: Db,
  { id, name, tries }: { readonly id: number; readonly name: string; readonly tries: readonly string[] }
): Promise<void> {
  await deleteAnswers(db, 'x.learner_id = ?', [id])
  await deleteKeptStudies(db, 't.learner_id = ?', [id])
  await deleteEntryOf(db, id)
  await deleteLettersOf(db, id)
  await db.execute('DELETE FROM outbox WHERE about_id = ?', [id])
  await db.execute('DELETE FROM phrases WHERE LOCATE(?, words) > 0', [name])
  if (tries.length) await db.execute(`DELETE FROM sign_in_tries WHERE \`key\` IN (${list(tries)})`, [...tries])
  await db.execute('DELETE FROM accounts WHERE id = ?', [id])
}

export async function deleteClass(db: Db, id: number): Promise<void> {
  await deleteSubmissions(db, await submissionsIn(db, id))
  await deleteAnswers(db, 'x.class_id = ?', [id])
  await db.execute('DELETE FROM rubrics WHERE class_id = ?', [id])
  await db.execute('DELETE FROM outbox WHERE class_id = ?', [id])
  await db.execute('DELETE FROM classes WHERE id = ?', [id])
}

/** Classes that nobody else teaches. */
export const taughtAlone = async (db: Db, accountId: number): Promise<string[]> => {
  const [rows] = await db.execute<Row[]>(
    `SELECT c.name FROM memberships m JOIN classes c ON c.id = m.class_id WHERE m.account_id = ?
     AND m.role = 'instructor'
     AND NOT EXISTS (SELECT 1 FROM memberships o WHERE o.class_id = m.class_id AND o.role = 'instructor'
       AND o.account_id <> m.account_id)`,
    [accountId]
  )
  return rows.map(row => row.name as string)
}

/** @param days until it happens; null undoes it. */
export async function updateErasure(
  db: Db,
  accountId: number,
  asked: { readonly days: number; readonly wish: EraseWish } | null
): Promise<void> {
  await db.execute('UPDATE accounts SET erase_at = UTC_TIMESTAMP(3) + INTERVAL ? DAY, erase_wish = ? WHERE id = ?', [
    asked?.days ?? null,
    asked?.wish ?? null,
    accountId
  ])
}

export async function findErasure(db: Db, accountId: number): Promise<{ at: string; wish: EraseWish } | null> {
  const [rows] = await db.execute<Row[]>('SELECT erase_at, erase_wish FROM accounts WHERE id = ?', [accountId])
  const at = rows[0]?.erase_at as Date | null | undefined
  return at ? { at: at.toISOString(), wish: rows[0]!.erase_wish as EraseWish } : null
}

/** Whoever comes back before their unused record goes, keeps it. */
export async function keepUsed(db: Db, accountId: number): Promise<void> {
  await db.execute("UPDATE accounts SET erase_at = NULL, erase_wish = NULL WHERE id = ? AND erase_wish = 'retention'", [
    accountId
  ])
}

export const dueErasures = (db: Db): Promise<number[]> =>
  idsOf(db, 'SELECT id FROM accounts WHERE erase_at <= UTC_TIMESTAMP(3)', [])

/** Learners, and nothing else, who were not here for so many months; demo people apart. */
export const unusedLearners = (db: Db, months: number): Promise<number[]> =>
  idsOf(
    db,
    `SELECT a.id FROM accounts a WHERE a.house = 'member' AND a.shown_password IS NULL AND a.erase_at IS NULL
     AND NOT EXISTS (SELECT 1 FROM memberships m WHERE m.account_id = a.id AND m.role <> 'learner')
     AND GREATEST(a.created_at, COALESCE(a.seen_at, a.created_at),
       COALESCE((SELECT MAX(s.handed_in_at) FROM submissions s WHERE s.learner_id = a.id), a.created_at))
       < UTC_TIMESTAMP(3) - INTERVAL ? MONTH`,
    [months]
  )

export async function findRetention(db: Db): Promise<number | null> {
  const [rows] = await db.execute<Row[]>('SELECT retention_months FROM house')
  return (rows[0]?.retention_months as number | null | undefined) ?? null
}
export async function updateRetention(db: Db, months: number | null): Promise<void> {
  await db.execute<Changed>('UPDATE house SET retention_months = ?', [months])
}

/** What a demo brought. */
export const demoAccounts = (db: Db): Promise<number[]> =>
  idsOf(db, 'SELECT id FROM accounts WHERE shown_password IS NOT NULL', [])
export const demoClasses = (db: Db): Promise<number[]> => idsOf(db, 'SELECT id FROM classes WHERE demo', [])
