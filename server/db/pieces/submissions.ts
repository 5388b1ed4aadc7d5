import { REPORT_VERSION } from '../../../core/measure/report'
import { reportSchema } from '../../../shared/report'
import type { ClassRole } from '../../../shared/account'
import type { HandIn, Measurement, PieceFacts, Stage } from '../../../shared/pieces/submission'
import type { SectorScheme } from '../../../core/wheel/schemes'
import { photoSaid } from './photos'
import type { Changed, Db, Row } from '../pool'
import { reshelveAnswers } from './shelves'

/** The versions before one, beside the first: those handed in before it. */
const EARLIER = `FROM submissions v WHERE v.first_id = s.first_id
  AND (v.handed_in_at, v.id) < (s.handed_in_at, s.id)`

/** What is known of a piece beside its measurement. */
export const COLUMNS = `s.id, s.class_id, c.name AS class_name, c.archived_at IS NOT NULL AS archived,
  c.budget_minutes, s.learner_id, a.name AS learner_name,
  s.title, s.stage, s.medium, s.question, s.about, s.planned_scheme, s.assignment_id, s.handed_in_at,
  COALESCE(k.state, 'draft') AS critique_state, COALESCE(k.seconds, 0) AS seconds, p.width, p.height,
  p.format, p.steps, p.told,
    s.reference_id,
  IF(s.first_id IS NULL, 1, 2 + (SELECT COUNT(*) ${EARLIER})) AS version,
  COALESCE((SELECT v.id ${EARLIER} ORDER BY v.handed_in_at DESC, v.id DESC LIMIT 1), s.first_id) AS earlier_id`
export const FROM = `FROM submissions s JOIN classes c ON c.id = s.class_id JOIN accounts a ON a.id = s.learner_id
  JOIN pictures p ON p.id = s.picture_id JOIN measurements m ON m.submission_id = s.id
  LEFT JOIN critiques k ON k.submission_id = s.id`

function mapMeasurement(row: Row): Measurement {
  if (row.state === 'done') {
    const { data: report } = reportSchema.safeParse(row.report)
    if (report) return { state: 'done', report }
    // One of older definitions waits for its turn to be measured by today's.
    const { version = 0 } = (row.report ?? {}) as { readonly version?: number }
    return version < REPORT_VERSION
      ? { state: 'queued' }
      : { state: 'failed', reason: 'What was measured can no longer be read.' }
  }
  if (row.state === 'failed') return { state: 'failed', reason: row.reason as string }
  return { state: row.state as 'queued' | 'measuring' }
}

export function mapPiece(row: Row): PieceFacts {
  return {
    id: row.id as number,
    classId: row.class_id as number,
    className: row.class_name as string,
    learner: { id: row.learner_id as number, name: row.learner_name as string },
    title: row.title as string,
    stage: row.stage as Stage,
    medium: row.medium as string,
    question: row.question as string,
    about: row.about as string,
    plannedScheme: row.planned_scheme as SectorScheme | null,
    assignmentId: row.assignment_id as number | null,
    handedInAt: (row.handed_in_at as Date).toISOString(),
    state: row.critique_state === 'released' ? 'released' : 'waiting',
    width: row.width as number,
    height: row.height as number,
    hasReference: row.reference_id !== null,
    photo: photoSaid(row),
    version: Number(row.version),
    earlierId: row.earlier_id as number | null,
    budgetMinutes: row.budget_minutes as number,
    spentMinutes: Math.floor((row.seconds as number) / 60)
  }
}

export type MeasuredPiece = PieceFacts & {
  readonly measurement: Measurement
  readonly sitting: number | null
  readonly ofCall: boolean
}

/** A piece, and what the one who looks is in its class. */
export interface Seen<T> {
  readonly piece: T
  readonly role: ClassRole | null
  readonly archived: boolean
}
export interface Look {
  readonly id: number
  readonly viewerId: number
}
const ROLE = '(SELECT v.role FROM memberships v WHERE v.class_id = s.class_id AND v.account_id = ?) AS role'
const standingOf = (row: Row): { role: ClassRole | null; archived: boolean } => ({
  role: row.role as ClassRole | null,
  archived: Boolean(row.archived)
})

/** What a learner handed in since a moment. */
export async function countSince(db: Db, learnerId: number, since: Date): Promise<number> {
  const [rows] = await db.execute<Row[]>(
    'SELECT COUNT(*) AS n FROM submissions WHERE learner_id = ? AND handed_in_at > ?',
    [learnerId, since]
  )
  return Number(rows[0]!.n)
}

/** @returns the piece that a learner handed in with this key, or null. */
export async function findHandedIn(db: Db, learnerId: number, key: string): Promise<number | null> {
  const [rows] = await db.execute<Row[]>('SELECT id FROM submissions WHERE learner_id = ? AND hand_in_key = ?', [
    learnerId,
    key
  ])
  return (rows[0]?.id as number | undefined) ?? null
}

export async function insertSubmission(
  db: Db,
  {
    learnerId,
    pictureId,
    handIn,
    handedInAt,
    referenceId,
    firstId
  }: {
    readonly learnerId: number
    readonly pictureId: number
    readonly handIn: HandIn
    readonly handedInAt: Date
    readonly referenceId: number | null
    /** Of the piece that this is a new version of. */
    readonly firstId: number | null
  }
): Promise<number> {
  const { classId, title, stage, medium, question, about, plannedScheme, assignmentId, key } = handIn
  const [result] = await db.execute<Changed>(
    `INSERT INTO submissions (class_id, learner_id, picture_id, title, stage, medium, question, about, planned_scheme,
       assignment_id, handed_in_at, reference_id, first_id, hand_in_key)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      classId,
      learnerId,
      pictureId,
      title,
      stage,
      medium,
      question,
      about,
      plannedScheme,
      assignmentId ?? null,
      handedInAt,
      referenceId,
      firstId,
      key ?? null
    ]
  )
  if (assignmentId) await reshelveAnswers(db, assignmentId)
  return result.insertId
}

export async function findSubmission(db: Db, { id, viewerId }: Look): Promise<Seen<MeasuredPiece> | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT ${COLUMNS}, ${ROLE}, m.state, m.report, m.reason,
       (SELECT t.id FROM sittings t WHERE t.up_id = s.id ORDER BY t.begun_at DESC, t.id DESC LIMIT 1) AS sitting,
       EXISTS (SELECT 1 FROM calls o WHERE o.class_id = s.class_id) AS of_call ${FROM} WHERE s.id = ?`,
    [viewerId, id]
  )
  const row = rows[0]
  if (!row) return null
  const sitting = row.sitting as number | null,
    piece = { ...mapPiece(row), measurement: mapMeasurement(row), sitting, ofCall: Boolean(row.of_call) }
  return { piece, ...standingOf(row) }
}

/** Without its measurement: a report takes longer to read than everything else of a piece. */
export async function findPieceFor(db: Db, { id, viewerId }: Look): Promise<Seen<PieceFacts> | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS}, ${ROLE} ${FROM} WHERE s.id = ?`, [viewerId, id])
  return rows[0] ? { piece: mapPiece(rows[0]), ...standingOf(rows[0]) } : null
}

/** Whoever looks. */
export async function findPiece(db: Db, id: number): Promise<PieceFacts | null> {
  const [rows] = await db.execute<Row[]>(`SELECT ${COLUMNS} ${FROM} WHERE s.id = ?`, [id])
  return rows[0] ? mapPiece(rows[0]) : null
}
