import type { CheckResult, ExerciseKey } from '../../core/exercise'
import type { Report } from '../../core/measure/report'
import type { WheelName } from '../../core/wheel/steps'
import type { Changed, Db, Row } from './pool'

export async function insertMeasurement(db: Db, submissionId: number, wheel: WheelName): Promise<void> {
  await db.execute('INSERT INTO measurements (submission_id, wheel) VALUES (?, ?)', [submissionId, wheel])
}

/** Puts back what a crash or a stop left half done, and what was measured by other definitions. @returns how many. */
export async function requeueUnfinished(db: Db, version: number): Promise<number> {
  const [result] = await db.execute<Changed>('UPDATE measurements SET state = \'queued\' WHERE state = \'measuring\' OR (state = \'done\' AND report_version <> ?)', [version])
  return result.affectedRows
}

/** What there is to measure, and how. */
export interface MeasurementJob {
  readonly submissionId: number
  readonly wheel: WheelName
  readonly format: string
  readonly width: number
  readonly height: number
  readonly exercise: ExerciseKey | null
}

/** Takes the oldest queued measurement, if any. Run in a transaction: the row is locked until it is marked. */
export async function claimMeasurement(db: Db): Promise<MeasurementJob | null> {
  const [rows] = await db.query<Row[]>(
    'SELECT submission_id FROM measurements WHERE state = \'queued\' ORDER BY submission_id LIMIT 1 FOR UPDATE SKIP LOCKED')
  if (!rows[0]) return null
  const id = rows[0].submission_id as number
  await db.execute('UPDATE measurements SET state = \'measuring\', updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?', [id])
  const [jobs] = await db.execute<Row[]>(
    `SELECT m.wheel, p.format, p.width, p.height, x.exercise FROM measurements m JOIN submissions s ON s.id = m.submission_id
     JOIN pictures p ON p.id = s.picture_id LEFT JOIN assignments x ON x.id = s.assignment_id WHERE m.submission_id = ?`, [id])
  const job = jobs[0]
  return {
    submissionId: id,
    wheel: job.wheel as WheelName,
    format: job.format as string,
    width: job.width as number,
    height: job.height as number,
    exercise: job.exercise as ExerciseKey | null
  }
}

export async function storeReport(db: Db, submissionId: number, report: Report, checks: readonly CheckResult[] | null): Promise<void> {
  await db.execute(
    'UPDATE measurements SET state = \'done\', report_version = ?, report = ?, checks = ?, reason = NULL, updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?',
    [report.version, JSON.stringify(report), checks && JSON.stringify(checks), submissionId])
}

export async function storeMeasurementFailure(db: Db, submissionId: number, reason: string): Promise<void> {
  await db.execute('UPDATE measurements SET state = \'failed\', reason = ?, updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?', [reason.slice(0, 500), submissionId])
}

export async function requeueMeasurement(db: Db, submissionId: number): Promise<void> {
  await db.execute('UPDATE measurements SET state = \'queued\' WHERE submission_id = ? AND state = \'failed\'', [submissionId])
}
