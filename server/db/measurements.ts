import type { CheckResult, ExerciseKey } from '../../core/exercise'
import type { Fingerprint } from '../../core/measure/fingerprint'
import type { Report } from '../../core/measure/report'
import type { WheelName } from '../../core/wheel/steps'
import type { Db, Row } from './pool'

export async function insertMeasurement(db: Db, submissionId: number, wheel: WheelName): Promise<void> {
  await db.execute('INSERT INTO measurements (submission_id, wheel) VALUES (?, ?)', [submissionId, wheel])
}

/** Queues what was measured by other definitions. */
export async function requeueOutdated(db: Db, version: number): Promise<void> {
  await db.execute('UPDATE measurements SET state = \'queued\' WHERE state = \'done\' AND report_version <> ?', [version])
}

/** What there is to measure, and how. */
export interface MeasurementJob {
  readonly submissionId: number
  readonly learnerId: number
  readonly wheel: WheelName
  readonly format: string
  readonly width: number
  readonly height: number
  readonly exercise: ExerciseKey | null
}

/** So long a measurement is its worker's without a word from it. */
const LEASE_S = 15

const FREE = `(m.state = 'queued' OR (m.state = 'measuring' AND (m.leased_until IS NULL OR m.leased_until < UTC_TIMESTAMP(3))))`

/**
 * The learner whose last measurement is longest ago comes first, so that fifty pieces of one do not come before one of
 * another. Chosen without a lock, then locked: what somebody else took meanwhile is passed over.
 */
async function nextFree(db: Db): Promise<number | null> {
  const [candidates] = await db.execute<Row[]>(
    `SELECT m.submission_id FROM measurements m JOIN submissions s ON s.id = m.submission_id WHERE ${FREE}
     ORDER BY (SELECT MAX(o.updated_at) FROM measurements o JOIN submissions t ON t.id = o.submission_id
       WHERE t.learner_id = s.learner_id AND o.state <> 'queued'), m.submission_id LIMIT 8`)
  for (const { submission_id: id } of candidates) {
    const [rows] = await db.execute<Row[]>(`SELECT 1 FROM measurements m WHERE m.submission_id = ? AND ${FREE} FOR UPDATE SKIP LOCKED`, [id as number])
    if (rows.length > 0) return id as number
  }
  return null
}

/**
 * Takes a measurement that is queued, or that somebody took who is not heard of any more. Run in a
 * transaction: the row is locked until it is marked.
 */
export async function claimMeasurement(db: Db): Promise<MeasurementJob | null> {
  const id = await nextFree(db)
  if (id === null) return null
  await db.execute('UPDATE measurements SET state = \'measuring\' WHERE submission_id = ?', [id])
  await renewLease(db, id)
  const [jobs] = await db.execute<Row[]>(
    `SELECT s.learner_id, m.wheel, p.format, p.width, p.height, x.exercise FROM measurements m JOIN submissions s ON s.id = m.submission_id
     JOIN pictures p ON p.id = s.picture_id LEFT JOIN assignments x ON x.id = s.assignment_id WHERE m.submission_id = ?`, [id])
  const job = jobs[0]
  return {
    submissionId: id,
    learnerId: job.learner_id as number,
    wheel: job.wheel as WheelName,
    format: job.format as string,
    width: job.width as number,
    height: job.height as number,
    exercise: job.exercise as ExerciseKey | null
  }
}

/** The worker on it still works. */
export async function renewLease(db: Db, submissionId: number): Promise<void> {
  await db.execute(
    `UPDATE measurements SET leased_until = UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND, updated_at = UTC_TIMESTAMP(3)
     WHERE submission_id = ? AND state = 'measuring'`, [submissionId])
}

export interface Measured {
  readonly report: Report
  readonly checks: readonly CheckResult[] | null
  readonly fingerprint: Fingerprint | null
}

export async function storeReport(db: Db, submissionId: number, { report, checks, fingerprint }: Measured): Promise<void> {
  await db.execute(
    `UPDATE measurements SET state = 'done', report_version = ?, report = ?, checks = ?, fingerprint = ?, reason = NULL,
       leased_until = NULL, updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?`,
    [report.version, JSON.stringify(report), checks && JSON.stringify(checks), fingerprint && JSON.stringify(fingerprint), submissionId])
}

export async function storeMeasurementFailure(db: Db, submissionId: number, reason: string): Promise<void> {
  await db.execute('UPDATE measurements SET state = \'failed\', reason = ?, updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?', [reason.slice(0, 500), submissionId])
}

/** Queues a failed one again. One that is queued or under way stays so, one that is done too. */
export async function requeueFailed(db: Db, submissionId: number): Promise<void> {
  await db.execute('UPDATE measurements SET state = \'queued\' WHERE submission_id = ? AND state = \'failed\'', [submissionId])
}
