/** What was set at once, to several of a class. */
import type { ExerciseKey } from '../../../core/exercise'
import type { ClassRole } from '../../../shared/account'
import type { ExerciseSet } from '../../../shared/exercises/assignment'
import type { Changed, Db, Row } from '../pool'

export async function insertSet(
  db: Db,
  {
    classId,
    exercise,
    eachHue
  }: { readonly classId: number; readonly exercise: ExerciseKey; readonly eachHue: boolean }
): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO exercise_sets (class_id, exercise, each_hue) VALUES (?, ?, ?)',
    [classId, exercise, eachHue]
  )
  return result.insertId
}

export interface OwnedSet {
  readonly set: Omit<ExerciseSet, 'assignments'>
  /** What the one who looks is in its class. */
  readonly role: ClassRole | null
  readonly archived: boolean
}
export async function findSet(db: Db, id: number, viewerId: number): Promise<OwnedSet | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT e.id, e.class_id, c.name, e.exercise, e.each_hue, e.set_at, c.archived_at IS NOT NULL AS archived,
       (SELECT v.role FROM memberships v WHERE v.class_id = e.class_id AND v.account_id = ?) AS role
     FROM exercise_sets e JOIN classes c ON c.id = e.class_id WHERE e.id = ?`,
    [viewerId, id]
  )
  const row = rows[0]
  return row
    ? {
        role: row.role as ClassRole | null,
        archived: Boolean(row.archived),
        set: {
          id: row.id as number,
          classId: row.class_id as number,
          className: row.name as string,
          exercise: row.exercise as ExerciseKey,
          eachHue: Boolean(row.each_hue),
          setAt: (row.set_at as Date).toISOString()
        }
      }
    : null
}
