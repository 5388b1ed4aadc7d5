import { DEFAULT_STANDARDS, type HouseStandards } from '../../../core/critique/standards'
import { DEFAULT_RUBRIC, type Quality } from '../../../core/critique/rubric'
import type { ClassRole } from '../../../shared/account'
import type { ClassDetails, ClassListed } from '../../../shared/class'
import { rubricSchema } from '../../../shared/score'
import { standardsSchema } from '../../../shared/standards'
import type { Changed, Db, Row } from '../pool'

const COLUMNS = `c.id, c.name, c.budget_minutes, c.standards, DATE_FORMAT(c.starts_on, '%Y-%m-%d') AS starts_on,
  DATE_FORMAT(c.ends_on, '%Y-%m-%d') AS ends_on,
  c.archived_at, c.join_code, c.demo, c.erased_learners, c.erased_pieces`

const standardsOf = (row: Row | undefined): HouseStandards =>
  standardsSchema.parse({ ...DEFAULT_STANDARDS, ...(row?.standards as Partial<HouseStandards> | null) })

const mapClass = (row: Row): ClassDetails => ({
  id: row.id as number,
  name: row.name as string,
  budgetMinutes: row.budget_minutes as number,
  wheel: standardsOf(row).wheel,
  startsOn: row.starts_on as string | null,
  endsOn: row.ends_on as string | null,
  archived: row.archived_at !== null,
  joinCode: row.join_code as string | null,
  erased: { learners: row.erased_learners as number, pieces: row.erased_pieces as number }
})

/** What is written of a class. Dates are days, as in 2026-09-01. */
export interface ClassFields {
  readonly name: string
  readonly budgetMinutes: number
  readonly startsOn: string | null
  readonly endsOn: string | null
}

export async function insertClass(
  db: Db,
  { name, budgetMinutes, startsOn, endsOn }: ClassFields,
  demo = false
): Promise<number> {
  const [result] = await db.execute<Changed>(
    'INSERT INTO classes (name, budget_minutes, starts_on, ends_on, demo) VALUES (?, ?, ?, ?, ?)',
    [name, budgetMinutes, startsOn, endsOn, demo]
  )
  return result.insertId
}

export async function updateClass(
  db: Db,
  id: number,
  { name, budgetMinutes, startsOn, endsOn }: ClassFields
): Promise<void> {
  await db.execute('UPDATE classes SET name = ?, budget_minutes = ?, starts_on = ?, ends_on = ? WHERE id = ?', [
    name,
    budgetMinutes,
    startsOn,
    endsOn,
    id
  ])
}

export async function updateArchived(db: Db, id: number, archived: boolean): Promise<void> {
  await db.execute('UPDATE classes SET archived_at = IF(?, UTC_TIMESTAMP(3), NULL) WHERE id = ?', [archived, id])
}

/** @param code null turns joining by code off. */
export async function updateJoinCode(db: Db, id: number, code: string | null): Promise<void> {
  await db.execute('UPDATE classes SET join_code = ? WHERE id = ?', [code, id])
}

export async function findClass(db: Db, id: number): Promise<ClassDetails | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} FROM classes c WHERE c.id = ?`, [id])
  return rows[0] ? mapClass(rows[0]) : null
}

/** A class that can be joined by this code now. */
export async function findClassByCode(db: Db, code: string): Promise<ClassDetails | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS} FROM classes c WHERE c.join_code = ? AND c.archived_at IS NULL`,
    [code]
  )
  return rows[0] ? mapClass(rows[0]) : null
}

const LISTED = `SELECT c.id, c.name, c.archived_at IS NOT NULL AS archived, m.role,
  (SELECT COUNT(*) FROM memberships l WHERE l.class_id = c.id AND l.role = 'learner') AS learners FROM classes c`
const mapListed = (row: Row): ClassListed => ({
  id: row.id as number,
  name: row.name as string,
  role: row.role as ClassRole | null,
  archived: Boolean(row.archived),
  learners: Number(row.learners)
})

/** Those somebody is in, archived ones last. */
export async function listClassesOf(db: Db, accountId: number): Promise<ClassListed[]> {
  const [rows] = await db.execute<Row[]>(
    `${LISTED} JOIN memberships m ON m.class_id = c.id AND m.account_id = ?
     WHERE NOT EXISTS (SELECT 1 FROM calls k WHERE k.class_id = c.id) ORDER BY archived, c.name, c.id`,
    [accountId]
  )
  return rows.map(mapListed)
}

/** All there are, with what this account is in each. */
export async function listAllClasses(db: Db, accountId: number): Promise<ClassListed[]> {
  const [rows] = await db.execute<Row[]>(
    `${LISTED} LEFT JOIN memberships m ON m.class_id = c.id AND m.account_id = ?
     WHERE NOT EXISTS (SELECT 1 FROM calls k WHERE k.class_id = c.id) ORDER BY archived, c.name, c.id`,
    [accountId]
  )
  return rows.map(mapListed)
}

/** The class's own standards over the shipped ones, so that a standard added later has its default. */
export async function findStandards(db: Db, classId: number): Promise<HouseStandards> {
  const [rows] = await db.execute<Row[]>('SELECT standards FROM classes WHERE id = ?', [classId])
  return standardsOf(rows[0])
}

/** @param standards null for the shipped ones. */
export async function updateStandards(db: Db, classId: number, standards: HouseStandards | null): Promise<void> {
  await db.execute('UPDATE classes SET standards = ? WHERE id = ?', [standards && JSON.stringify(standards), classId])
}

/** The class's latest rubric, or the shipped one. */
export async function findRubric(db: Db, classId: number): Promise<Quality[]> {
  const [rows] = await db.execute<Row[]>(
    'SELECT qualities FROM rubrics WHERE class_id = ? ORDER BY created_at DESC, id DESC LIMIT 1',
    [classId]
  )
  return rows[0] ? rubricSchema.parse(rows[0].qualities) : [...DEFAULT_RUBRIC]
}

/** Another version; the ones before it stay. */
export async function insertRubric(db: Db, classId: number, qualities: readonly Quality[]): Promise<void> {
  await db.execute('INSERT INTO rubrics (class_id, qualities) VALUES (?, ?)', [classId, JSON.stringify(qualities)])
}
