import type { Source } from '../../../core/measure/source'
import type { CheckResult, ExerciseKey } from '../../../core/exercise'
import type { ExerciseToCheck } from '../../work/picture.worker'
import { planSchema } from '../../../shared/exercises/assignment'
import { ownFrom, settingsOf } from '../exercises/assignments'
import type { PieceExtras, PieceMeasures } from '../../../core/critique/piece/measure'
import type { Fingerprint } from '../../../core/measure/fingerprint'
import type { Report } from '../../../core/measure/report'
import { extrasSchema } from '../../../shared/pieces/piece'
import { reportSchema } from '../../../shared/report'
import type { Measurement } from '../../../shared/pieces/submission'
import { hasMeasuringNode } from './measuring-nodes'
import { sourceOf } from './pictures'
import type { Changed, Db, Row } from '../pool'

export async function insertMeasurement(db: Db, submissionId: number): Promise<void> {
  await db.execute('INSERT INTO measurements (submission_id) VALUES (?)', [submissionId])
}

/** Asks anew for what was measured by other definitions. What is there is shown until the new one is. */
export async function askOutdated(db: Db, version: number): Promise<void> {
  await db.execute(
    "UPDATE measurements SET asked = asked + 1 WHERE state = 'done' AND report_version < ? AND asked = answered",
    [version]
  )
}

/** What is known of a piece changed: it is measured anew, before what was only outdated. */
export async function askAgain(db: Db, submissionId: number): Promise<void> {
  await db.execute('UPDATE measurements SET asked = asked + 1, asked_at = UTC_TIMESTAMP(3) WHERE submission_id = ?', [
    submissionId
  ])
}

/** Somebody waits for what was asked for: it goes before the rest. */
export async function hurry(db: Db, submissionId: number): Promise<void> {
  await db.execute(
    `UPDATE measurements SET asked_at = UTC_TIMESTAMP(3) WHERE submission_id = ? AND asked <> answered
     AND asked_at IS NULL`,
    [submissionId]
  )
}

/**
 * Asks anew for all pieces of a class whose critiques are not released; each when its turn comes, or somebody waits for
 * it.
 */
export async function askAgainInClass(db: Db, classId: number): Promise<void> {
  await db.execute(
    `UPDATE measurements m JOIN submissions s ON s.id = m.submission_id JOIN critiques k ON k.submission_id = s.id
     SET m.asked = m.asked + 1 WHERE s.class_id = ? AND k.state <> 'released'`,
    [classId]
  )
}

/** What there is to measure, and how. */
export interface MeasurementJob {
  readonly submissionId: number
  readonly learnerId: number
  readonly classId: number
  /** Which asking this is the answer to. */
  readonly asked: number
  readonly source: Source
  /** What it answers, as it was set. */
  readonly exercise: ExerciseToCheck | null
}

/** So long a measurement is its worker's without a word from it. */
const LEASE_S = 15

const FREE = `(m.state = 'queued' OR ((m.state = 'measuring' OR (m.state = 'done' AND m.asked <> m.answered))
  AND (m.leased_until IS NULL OR m.leased_until < UTC_TIMESTAMP(3))))`

/** So long a piece is left to machines that only measure, while there are any, before a server helps. */
const LEFT_S = 8
const LEFT_ALONE = `IF(m.state = 'done', m.asked_at, m.updated_at) < UTC_TIMESTAMP(3) - INTERVAL ${LEFT_S} SECOND`

/** Who measures. @property leaves whether it leaves pieces to machines that do nothing else. */
export interface Measurer {
  readonly holder: string
  readonly leaves: boolean
}

/**
 * The learner whose last measurement is longest ago comes first, so that fifty pieces of one do not come before one of
 * another; what is only outdated comes last. Chosen without a lock, then locked: what somebody else took meanwhile is
 * passed over.
 */
async function nextFree(db: Db, { leaves }: Measurer): Promise<number | null> {
  const theirs = leaves && (await hasMeasuringNode(db)) ? `AND ${LEFT_ALONE}` : ''
  const [candidates] = await db.execute<Row[]>(
    `SELECT m.submission_id FROM measurements m JOIN submissions s ON s.id = m.submission_id WHERE ${FREE} ${theirs}
     ORDER BY m.state = 'done' AND m.asked_at IS NULL,
       (SELECT MAX(o.updated_at) FROM measurements o JOIN submissions t ON t.id = o.submission_id
       WHERE t.learner_id = s.learner_id AND o.state <> 'queued'), s.handed_in_at, m.submission_id LIMIT 8`
  )
  for (const { submission_id: id } of candidates) {
    const [rows] = await db.execute<Row[]>(
      `SELECT 1 FROM measurements m WHERE m.submission_id = ? AND ${FREE} FOR UPDATE SKIP LOCKED`,
      [id as number]
    )
    if (rows.length > 0) return id as number
  }
  return null
}

/** How many wait to be measured, and how long the first of them has. */
export async function countQueued(db: Db): Promise<{ readonly count: number; readonly ageSeconds: number }> {
  const [rows] = await db.execute<Row[]>(
    `SELECT COUNT(*) AS n, COALESCE(TIMESTAMPDIFF(SECOND, MIN(updated_at), UTC_TIMESTAMP(3)), 0) AS age
     FROM measurements WHERE state = 'queued'`
  )
  return { count: Number(rows[0]!.n), ageSeconds: Number(rows[0]!.age) }
}

/** A piece that so many workers began and none of them finished is begun no more. */
const MOST_ATTEMPTS = 3
const STOPPED = 'Measuring it stopped three times without an end: the file may be damaged. You can try again.'

/** What was measured before stays; what never was says why. */
async function giveUp(db: Db, submissionId: number): Promise<void> {
  await db.execute(
    `UPDATE measurements SET answered = IF(state = 'done', asked, answered), reason = IF(state = 'done', NULL, ?),
       state = IF(state = 'done', 'done', 'failed'), claimed_by = NULL, leased_until = NULL, attempts = 0,
       updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ?`,
    [STOPPED, submissionId]
  )
}

/**
 * Takes a measurement that is queued, or that somebody took who is not heard of any more. Run in a
 * transaction: the row is locked until it is marked.
 */
export async function claimMeasurement(db: Db, by: Measurer): Promise<MeasurementJob | null> {
  const id = await nextFree(db, by)
  if (id === null) return null
  const [[{ attempts }]] = await db.execute<Row[]>('SELECT attempts FROM measurements WHERE submission_id = ?', [id])
  if ((attempts as number) >= MOST_ATTEMPTS) {
    await giveUp(db, id)
    return claimMeasurement(db, by)
  }
  await db.execute(
    `UPDATE measurements SET state = IF(state = 'done', 'done', 'measuring'), claimed_by = ?, attempts = attempts + 1
     WHERE submission_id = ?`,
    [by.holder, id]
  )
  await renewLease(db, id, by.holder)
  const [jobs] = await db.execute<Row[]>(
    `SELECT s.learner_id, s.class_id, m.asked, p.format, p.width, p.height, p.bits_per_pixel, p.photograph, p.told,
       x.exercise, x.own, x.settings, x.plan,
       (SELECT COUNT(*) FROM studies t WHERE (t.assignment_id = x.id OR t.submission_id = s.id)
         AND t.checked_at < s.handed_in_at) AS studies
     FROM measurements m JOIN submissions s ON s.id = m.submission_id
     JOIN pictures p ON p.id = s.picture_id LEFT JOIN assignments x ON x.id = s.assignment_id
     WHERE m.submission_id = ?`,
    [id]
  )
  const job = jobs[0]
  return {
    submissionId: id,
    learnerId: job.learner_id as number,
    classId: job.class_id as number,
    asked: job.asked as number,
    source: sourceOf(job),
    exercise:
      job.exercise === null
        ? null
        : {
            exercise: job.exercise as ExerciseKey,
            own: ownFrom(job.own),
            settings: settingsOf(job.settings),
            plan: job.plan === null ? null : planSchema.parse(job.plan),
            studies: Number(job.studies)
          }
  }
}

/** The worker on it still works. */
export async function renewLease(db: Db, submissionId: number, by: string): Promise<void> {
  await db.execute(
    `UPDATE measurements SET leased_until = UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND, updated_at = UTC_TIMESTAMP(3)
     WHERE submission_id = ? AND claimed_by = ?`,
    [submissionId, by]
  )
}

/**
 * Given back unfinished: whoever looks next takes it. @param counts whether it was an attempt; not where a server
 * stops, and nothing is wrong with the piece.
 */
export async function releaseMeasurement(
  db: Db,
  { submissionId, by }: { readonly submissionId: number; readonly by: string },
  counts: boolean
): Promise<void> {
  await db.execute(
    `UPDATE measurements SET claimed_by = NULL, leased_until = NULL, attempts = GREATEST(attempts, 1) - ?
     WHERE submission_id = ? AND claimed_by = ?`,
    [counts ? 0 : 1, submissionId, by]
  )
}

export interface Measured {
  readonly asked: number
  readonly report: Report
  readonly extras: PieceExtras
  readonly checks: readonly CheckResult[] | null
  readonly fingerprint: Fingerprint | null
}

/**
 * Written by whoever holds it, and never over what newer measures found.
 * @returns whether it was written: a server that was thought lost may come back with an answer that another has given.
 */
export async function storeReport(
  db: Db,
  { submissionId, by }: { readonly submissionId: number; readonly by: string },
  { asked, report, extras, checks, fingerprint }: Measured
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    `UPDATE measurements SET state = 'done', answered = ?, report_version = ?, report = ?, extras = ?, checks = ?,
       fingerprint = ?, reason = NULL, claimed_by = NULL, attempts = 0,
       asked_at = NULL, leased_until = NULL, updated_at = UTC_TIMESTAMP(3)
     WHERE submission_id = ? AND claimed_by = ? AND (report_version IS NULL OR report_version <= ?)`,
    [
      asked,
      report.version,
      JSON.stringify(report),
      JSON.stringify(extras),
      checks && JSON.stringify(checks),
      fingerprint && JSON.stringify(fingerprint),
      submissionId,
      by,
      report.version
    ]
  )
  return result.affectedRows > 0
}

export async function storeMeasurementFailure(
  db: Db,
  { submissionId, by }: { readonly submissionId: number; readonly by: string },
  reason: string
): Promise<void> {
  await db.execute(
    `UPDATE measurements SET state = 'failed', reason = ?, claimed_by = NULL, attempts = 0,
       updated_at = UTC_TIMESTAMP(3) WHERE submission_id = ? AND claimed_by = ?`,
    [reason.slice(0, 500), submissionId, by]
  )
}

/** Queues a failed one again. One that is queued or under way stays so, one that is done too. */
export async function requeueFailed(db: Db, submissionId: number): Promise<void> {
  await db.execute("UPDATE measurements SET state = 'queued' WHERE submission_id = ? AND state = 'failed'", [
    submissionId
  ])
}

/**
 * What is measured of a piece; null while it is not, or can no longer be read. @property current nothing newer was
 * asked for.
 */
export async function findMeasures(
  db: Db,
  submissionId: number
): Promise<(PieceMeasures & { readonly current: boolean }) | null> {
  const [rows] = await db.execute<Row[]>(
    'SELECT state, report, extras, asked = answered AS current FROM measurements WHERE submission_id = ?',
    [submissionId]
  )
  const row = rows[0]
  if (row?.state !== 'done') return null
  const report = reportSchema.safeParse(row.report),
    extras = extrasSchema.safeParse(row.extras)
  return report.success && extras.success
    ? { report: report.data, extras: extras.data, current: row.current === 1 }
    : null
}

export async function findMeasurementState(db: Db, submissionId: number): Promise<Measurement['state'] | null> {
  const [rows] = await db.execute<Row[]>('SELECT state FROM measurements WHERE submission_id = ?', [submissionId])
  return (rows[0]?.state as Measurement['state'] | undefined) ?? null
}
