/**
 * Pieces among many: a window at a time, and of each report only its fingerprint. A window begins behind a piece that
 * was seen last, so that it holds whatever comes or goes meanwhile.
 */
import {
  fingerprintSchema,
  MOST_COUNTED,
  type CallShelf,
  type ListedSubmission,
  type OnShelf,
  type Shelf,
  type ShelfTotals
} from '../../shared/pieces/submission'
import type { ExerciseKey } from '../../core/exercise'
import type { Db, Row } from './pool'
import { COLUMNS, FROM, mapPiece } from './pieces/submissions'

/** What hangs on each shelf (`pieces/shelves`), each by an index of its class. An open call's is all of its class. */
const SHELF: Readonly<Record<Shelf, string>> = {
  review: "s.waits = 'review'",
  exercises: "s.waits = 'exercises'",
  released: 's.released = TRUE',
  call: 'EXISTS (SELECT 1 FROM calls o WHERE o.class_id = s.class_id)'
}

/** It was talked about in front of others. */
const TALKED = "EXISTS (SELECT 1 FROM sitting_pieces tp WHERE tp.submission_id = s.id AND tp.standing = 'said')"

function mapListed(row: Row): ListedSubmission {
  const state = row.state as ListedSubmission['measurement']['state']
  const measurement: ListedSubmission['measurement'] =
    state === 'done'
      ? // One that cannot be read must not hide the others.
        { state, fingerprint: fingerprintSchema.nullable().catch(null).parse(row.fingerprint) }
      : state === 'failed'
        ? { state, reason: row.reason as string }
        : { state }
  return { ...mapPiece(row), measurement, talked: Boolean(row.talked) }
}

/** The classes that somebody helps to teach. */
export const TAUGHT =
  "SELECT v.class_id FROM memberships v WHERE v.account_id = ? AND v.role IN ('instructor', 'assistant')"
const LISTED_COLUMNS = `${COLUMNS}, m.state, m.fingerprint, m.reason, ${TALKED} AS talked`
const LISTED = `SELECT ${LISTED_COLUMNS} ${FROM}`

export interface Window {
  readonly after: number | null
  readonly most: number
}

const marks = (values: readonly unknown[]): string => values.map(() => '?').join(', ')

/**
 * The classes that somebody helps to teach: one of them, where one is asked for; without, all but those of open calls,
 * which have shelves of their own.
 */
async function classesOf(db: Db, staffId: number, classId: number | null): Promise<number[]> {
  const which = classId === null ? 'NOT EXISTS (SELECT 1 FROM calls o WHERE o.class_id = v.class_id)' : 'v.class_id = ?'
  const [rows] = await db.execute<Row[]>(`${TAUGHT} AND ${which}`, [staffId, ...(classId === null ? [] : [classId])])
  return rows.map(row => row.class_id as number)
}

/** On which side of a piece: before or after it in time. */
const placed = (past: '<' | '>'): string =>
  `(s.handed_in_at, s.id) ${past} (SELECT a.handed_in_at, a.id FROM submissions a WHERE a.id = ?)`

/** Whose pieces of the classes, and for which exercise; null for all. */
export interface Narrowed {
  readonly learnerId: number | null
  readonly exercise: ExerciseKey | null
}
const ALL: Narrowed = { learnerId: null, exercise: null }

function narrowed({ learnerId, exercise }: Narrowed): { readonly sql: string; readonly values: (number | string)[] } {
  return {
    sql:
      (learnerId === null ? '' : ' AND s.learner_id = ?')
      + (exercise === null
        ? ''
        : ' AND s.assignment_id IN (SELECT x.id FROM assignments x WHERE x.class_id = s.class_id AND x.exercise = ?)'),
    values: [...(learnerId === null ? [] : [learnerId]), ...(exercise === null ? [] : [exercise])]
  }
}

/** Oldest first: the order in which they are worked. Released ones latest first. */
export async function listShelf(
  db: Db,
  {
    staffId,
    classId,
    shelf,
    of = ALL,
    window: { after, most }
  }: {
    readonly staffId: number
    readonly classId: number | null
    readonly shelf: Shelf
    readonly of?: Narrowed
    readonly window: Window
  }
): Promise<ListedSubmission[]> {
  const classes = await classesOf(db, staffId, classId)
  if (classes.length === 0) return []
  const latest = shelf === 'released',
    [past, order] = latest ? (['<', 'DESC'] as const) : (['>', 'ASC'] as const)
  const only = narrowed(of),
    behind = after === null ? '' : `AND ${placed(past)}`
  // Which they are, the index tells; only for those is anything else looked up.
  const [rows] = await db.execute<Row[]>(
    `SELECT ${LISTED_COLUMNS} ${FROM} JOIN (
       SELECT s.id FROM submissions s WHERE s.class_id IN (${marks(classes)}) AND ${SHELF[shelf]}${only.sql} ${behind}
       ORDER BY s.handed_in_at ${order}, s.id ${order} LIMIT ${most}) w ON w.id = s.id
     ORDER BY s.handed_in_at ${order}, s.id ${order}`,
    [...classes, ...only.values, ...(after === null ? [] : [after])]
  )
  return rows.map(mapListed)
}

/** Whose pieces hang on a shelf of the classes, by name, and for which exercises. */
export async function listOnShelf(
  db: Db,
  { staffId, classId, shelf }: { readonly staffId: number; readonly classId: number | null; readonly shelf: Shelf }
): Promise<OnShelf> {
  const classes = await classesOf(db, staffId, classId),
    hung = `FROM submissions s WHERE s.class_id IN (${marks(classes)}) AND ${SHELF[shelf]}`
  if (classes.length === 0) return { learners: [], exercises: [] }
  const [[learners], [exercises]] = await Promise.all([
    db.execute<Row[]>(
      `SELECT a.id, a.name, w.n FROM (SELECT s.learner_id, COUNT(*) AS n ${hung} GROUP BY s.learner_id) w
       JOIN accounts a ON a.id = w.learner_id ORDER BY a.name, a.id`,
      classes
    ),
    db.execute<Row[]>(
      `SELECT x.exercise, COUNT(*) AS n FROM (SELECT s.assignment_id ${hung} AND s.assignment_id IS NOT NULL) w
       JOIN assignments x ON x.id = w.assignment_id GROUP BY x.exercise ORDER BY n DESC, x.exercise`,
      classes
    )
  ])
  return {
    learners: learners.map(row => ({ id: row.id as number, name: row.name as string, pieces: Number(row.n) })),
    exercises: exercises.map(row => ({ key: row.exercise as ExerciseKey, pieces: Number(row.n) }))
  }
}

/** A learner's own, latest first. */
export async function listOwn(db: Db, learnerId: number, { after, most }: Window): Promise<ListedSubmission[]> {
  const [rows] = await db.execute<Row[]>(
    `${LISTED} WHERE s.learner_id = ? ${after === null ? '' : `AND ${placed('<')}`}
     ORDER BY s.handed_in_at DESC, s.id DESC LIMIT ${most}`,
    [learnerId, ...(after === null ? [] : [after])]
  )
  return rows.map(row => ({ ...mapListed(row), spentMinutes: 0 }))
}

/** Those of some pieces that this account may see. */
export async function listSome(db: Db, accountId: number, ids: readonly number[]): Promise<ListedSubmission[]> {
  if (ids.length === 0) return []
  const [rows] = await db.execute<Row[]>(
    `${LISTED} WHERE s.id IN (${marks(ids)}) AND (s.class_id IN (${TAUGHT}) OR s.learner_id = ?)`,
    [...ids, accountId, accountId]
  )
  return rows.map(row => ({ ...mapListed(row), ...(row.learner_id === accountId ? { spentMinutes: 0 } : {}) }))
}

/** How much hangs on each shelf, one more than {@link MOST_COUNTED} at most, and how long it will take. */
export async function countShelves(
  db: Db,
  staffId: number,
  classId: number | null
): Promise<Omit<ShelfTotals, 'calls' | 'byMail'>> {
  const classes = await classesOf(db, staffId, classId),
    of = `s.class_id IN (${marks(classes)})`,
    hung = (shelf: Shelf): string =>
      `(SELECT s.class_id FROM submissions s WHERE ${of} AND ${SHELF[shelf]} LIMIT ${MOST_COUNTED + 1}) w`
  if (classes.length === 0) return { counts: { review: 0, exercises: 0, released: 0 }, minutes: 0, oldest: null }
  const [[waiting], [[others]], [begun]] = await Promise.all([
    db.execute<Row[]>(
      `SELECT c.budget_minutes, COUNT(*) AS n FROM ${hung('review')} JOIN classes c ON c.id = w.class_id
       GROUP BY c.id`,
      classes
    ),
    db.execute<Row[]>(
      `SELECT (SELECT COUNT(*) FROM ${hung('exercises')}) AS exercises,
         (SELECT COUNT(*) FROM ${hung('released')}) AS released,
         (SELECT MIN((SELECT s.handed_in_at FROM submissions s WHERE s.class_id = c.id AND ${SHELF.review}
           ORDER BY s.handed_in_at LIMIT 1)) FROM classes c WHERE c.id IN (${marks(classes)})) AS oldest`,
      [...classes, ...classes, ...classes]
    ),
    // Only what was begun has taken any of its minutes.
    db.execute<Row[]>(
      `SELECT COALESCE(SUM(LEAST(c.budget_minutes, FLOOR(k.seconds / 60))), 0) AS minutes FROM critiques k
       JOIN submissions s ON s.id = k.submission_id JOIN classes c ON c.id = s.class_id
       WHERE k.state = 'draft' AND k.seconds >= 60 AND ${of} AND s.waits = 'review'`,
      classes
    )
  ])
  const minutes = waiting.reduce((sum, row) => sum + Number(row.n) * (row.budget_minutes as number), 0)
  return {
    counts: {
      review: waiting.reduce((sum, row) => sum + Number(row.n), 0),
      exercises: Number(others!.exercises),
      released: Number(others!.released)
    },
    minutes: Math.max(0, minutes - Number(begun[0]!.minutes)),
    oldest: (others!.oldest as Date | null)?.toISOString() ?? null
  }
}

/** Open calls of which something is on the desk, the latest last. */
export async function listCallShelves(db: Db, staffId: number): Promise<CallShelf[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT o.id, o.class_id, c.name, c.budget_minutes, o.returned,
       SUM(COALESCE(k.state, 'draft') = 'draft' AND NOT (o.returned = 'session' AND ${TALKED})) AS waiting,
       SUM(NOT ${TALKED}) AS untalked,
       EXISTS (SELECT 1 FROM sittings t WHERE t.call_id = o.id AND t.ended_at IS NULL) AS open
     FROM calls o JOIN classes c ON c.id = o.class_id JOIN submissions s ON s.class_id = o.class_id
     LEFT JOIN critiques k ON k.submission_id = s.id
     WHERE o.class_id IN (${TAUGHT}) AND c.archived_at IS NULL GROUP BY o.id ORDER BY o.opens_at, o.id`,
    [staffId]
  )
  return rows.map(row => {
    const waiting = Number(row.waiting),
      wanted = row.returned !== 'critique' && Number(row.untalked) > 0
    return {
      id: row.id as number,
      classId: row.class_id as number,
      title: row.name as string,
      waiting,
      minutes: waiting * (row.budget_minutes as number),
      session: row.open ? 'open' : wanted ? 'wanted' : 'none'
    }
  })
}
