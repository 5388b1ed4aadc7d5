import { DEFAULT_STANDARDS, type HouseStandards } from '../../core/critique/standards'
import { DEFAULT_RUBRIC, type Quality } from '../../core/critique/rubric'
import { rubricSchema } from '../../shared/score'
import { standardsSchema } from '../../shared/standards'
import type { Changed, Db, Row } from './pool'

export interface ClassRow {
  readonly id: number
  readonly name: string
}
const mapClass = (row: Row): ClassRow => ({ id: row.id as number, name: row.name as string })

export async function insertClass(
  db: Db,
  {
    name,
    instructorId,
    budgetMinutes
  }: { readonly name: string; readonly instructorId: number; readonly budgetMinutes: number }
): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO classes (name, instructor_id, budget_minutes) VALUES (?, ?, ?)',
    [name, instructorId, budgetMinutes]
  )
  return result.insertId
}

export async function insertEnrolment(db: Db, classId: number, learnerId: number): Promise<void> {
  await db.execute('INSERT INTO enrolments (class_id, learner_id) VALUES (?, ?)', [classId, learnerId])
}

export async function listClassesOf(db: Db, accountId: number): Promise<ClassRow[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT DISTINCT c.id, c.name FROM classes c LEFT JOIN enrolments e ON e.class_id = c.id
     WHERE c.instructor_id = ? OR e.learner_id = ? ORDER BY c.name`,
    [accountId, accountId]
  )
  return rows.map(mapClass)
}

export async function isEnrolled(db: Db, classId: number, learnerId: number): Promise<boolean> {
  const [rows] = await db.execute<Row[]>('SELECT 1 FROM enrolments WHERE class_id = ? AND learner_id = ?', [
    classId,
    learnerId
  ])
  return rows.length > 0
}

export async function isTaughtBy(db: Db, classId: number, instructorId: number): Promise<boolean> {
  const [rows] = await db.execute<Row[]>('SELECT 1 FROM classes WHERE id = ? AND instructor_id = ?', [
    classId,
    instructorId
  ])
  return rows.length > 0
}

/** The class's own standards over the shipped ones, so that a standard added later has its default. */
export async function findStandards(db: Db, classId: number): Promise<HouseStandards> {
  const [rows] = await db.execute<Row[]>('SELECT standards FROM classes WHERE id = ?', [classId])
  return standardsSchema.parse({ ...DEFAULT_STANDARDS, ...(rows[0]?.standards as Partial<HouseStandards> | null) })
}

/** @param standards null for the shipped ones. */
export async function updateStandards(db: Db, classId: number, standards: HouseStandards | null): Promise<void> {
  await db.execute('UPDATE classes SET standards = ? WHERE id = ?', [standards && JSON.stringify(standards), classId])
}

/** The class's latest rubric, or the shipped one. */
export async function findRubric(db: Db, classId: number): Promise<Quality[]> {
  const [rows] = await db.execute<Row[]>('SELECT qualities FROM rubrics WHERE class_id = ? ORDER BY id DESC LIMIT 1', [
    classId
  ])
  return rows[0] ? rubricSchema.parse(rows[0].qualities) : [...DEFAULT_RUBRIC]
}

/** Another version; the ones before it stay. */
export async function insertRubric(db: Db, classId: number, qualities: readonly Quality[]): Promise<void> {
  await db.execute('INSERT INTO rubrics (class_id, qualities) VALUES (?, ?)', [classId, JSON.stringify(qualities)])
}

export async function instructorName(db: Db, classId: number): Promise<string> {
  const [rows] = await db.execute<Row[]>(
    'SELECT a.name FROM classes c JOIN accounts a ON a.id = c.instructor_id WHERE c.id = ?',
    [classId]
  )
  return (rows[0]?.name as string | undefined) ?? ''
}
