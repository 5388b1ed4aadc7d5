/** Drills that were gone through. What they come to is reckoned from their answers every time. */
import { drillOf, type DrillName } from '../../../core/drill/drills'
import { thresholdOf, type Answered } from '../../../core/drill/staircase'
import type { DrillRun, DrillRunInput } from '../../../shared/workshop'
import type { Changed, Db, Row } from '../pool'

function mapRun(row: Row): DrillRun {
  const drill = row.drill as DrillName
  return {
    id: row.id as number,
    drill,
    setting: row.setting as string,
    wheel: row.wheel as DrillRun['wheel'],
    ...thresholdOf(drillOf(drill).asked, row.answers as Answered[]),
    conditions: row.conditions as DrillRun['conditions'],
    at: (row.done_at as Date).toISOString()
  }
}

/** Runs of one person that are shown, at most. */
const SHOWN = 400

/** The latest first. */
export async function listRuns(db: Db, accountId: number): Promise<DrillRun[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT * FROM drill_runs WHERE account_id = ? ORDER BY done_at DESC, id DESC LIMIT ${SHOWN}`,
    [accountId]
  )
  return rows.map(mapRun)
}

/** Of the learners of a class, with their names; the latest first. */
export async function listClassRuns(
  db: Db,
  classId: number
): Promise<{ readonly id: number; readonly name: string; readonly runs: DrillRun[] }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT a.id AS learner_id, a.name, r.* FROM memberships m JOIN accounts a ON a.id = m.account_id
     LEFT JOIN drill_runs r ON r.account_id = a.id
     WHERE m.class_id = ? AND m.role = 'learner' ORDER BY a.name, a.id, r.done_at DESC, r.id DESC`,
    [classId]
  )
  const learners = new Map<number, { id: number; name: string; runs: DrillRun[] }>()
  for (const row of rows) {
    const id = row.learner_id as number
    if (!learners.has(id)) learners.set(id, { id, name: row.name as string, runs: [] })
    if (row.id !== null && learners.get(id)!.runs.length < SHOWN) learners.get(id)!.runs.push(mapRun(row))
  }
  return [...learners.values()]
}

export async function insertRun(
  db: Db,
  accountId: number,
  { run: { drill, setting, wheel, answers, conditions }, at }: { readonly run: DrillRunInput; readonly at: Date }
): Promise<number> {
  const [{ insertId }] = await db.execute<Changed>(
    `INSERT INTO drill_runs (account_id, drill, setting, wheel, answers, conditions, done_at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [accountId, drill, setting, wheel, JSON.stringify(answers), JSON.stringify(conditions), at]
  )
  return insertId
}
