/**
 * Pieces among many: a window at a time, and of each report only its fingerprint. A window begins behind a piece that
 * was seen last, so that it holds whatever comes or goes meanwhile.
 */
import {
  fingerprintSchema,
  type CallShelf,
  type ListedSubmission,
  type Shelf,
  type ShelfTotals
} from '../../shared/pieces/submission'
import type { Db, Row } from './pool'
import { COLUMNS, FROM, mapPiece } from './pieces/submissions'

/**
 * What hangs on each shelf: pieces to review, the latest hand-in of each exercise that nobody has answered, what is
 * released.
 */
const SHELF: Readonly<Record<Shelf, string>> = {
  review: "COALESCE(k.state, 'draft') = 'draft' AND s.assignment_id IS NULL",
  exercises: `s.assignment_id IS NOT NULL AND EXISTS (SELECT 1 FROM assignments x WHERE x.id = s.assignment_id
    AND x.confirmed_at IS NULL
      AND x.returned_at IS NULL AND x.withdrawn_at IS NULL)
    AND NOT EXISTS (SELECT 1 FROM submissions n WHERE n.assignment_id = s.assignment_id AND n.id > s.id)`,
  released: "k.state = 'released'",
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
/** One of them, where one is asked for; without, all but those of open calls, which have shelves of their own. */
const OF = 'IF(? IS NULL, NOT EXISTS (SELECT 1 FROM calls o WHERE o.class_id = s.class_id), s.class_id = ?)'

const LISTED = `SELECT ${COLUMNS}, m.state, m.fingerprint, m.reason, ${TALKED} AS talked ${FROM}`

export interface Window {
  readonly after: number | null
  readonly most: number
}

/** Oldest first: the order in which they are worked. Released ones latest first. */
export async function listShelf(
  db: Db,
  {
    staffId,
    classId,
    shelf,
    window: { after, most }
  }: { readonly staffId: number; readonly classId: number | null; readonly shelf: Shelf; readonly window: Window }
): Promise<ListedSubmission[]> {
  const latest = shelf === 'released',
    [past, order] = latest ? ['<', 'DESC'] : ['>', 'ASC']
  const behind =
    after === null
      ? ''
      : `AND (s.handed_in_at, s.id) ${past} (SELECT a.handed_in_at, a.id FROM submissions a WHERE a.id = ?)`
  const [rows] = await db.execute<Row[]>(
    `${LISTED} WHERE s.class_id IN (${TAUGHT}) AND ${OF} AND ${SHELF[shelf]} ${behind}
     ORDER BY s.handed_in_at ${order}, s.id ${order} LIMIT ${most}`,
    [staffId, classId, classId, ...(after === null ? [] : [after])]
  )
  return rows.map(mapListed)
}

/** A learner's own, latest first. */
export async function listOwn(db: Db, learnerId: number, { after, most }: Window): Promise<ListedSubmission[]> {
  const [rows] = await db.execute<Row[]>(
    `${LISTED} WHERE s.learner_id = ? AND s.id < ? ORDER BY s.id DESC LIMIT ${most}`,
    [learnerId, after ?? Number.MAX_SAFE_INTEGER]
  )
  return rows.map(row => ({ ...mapListed(row), spentMinutes: 0 }))
}

/** Those of some pieces that this account may see. */
export async function listSome(db: Db, accountId: number, ids: readonly number[]): Promise<ListedSubmission[]> {
  if (ids.length === 0) return []
  const [rows] = await db.execute<Row[]>(
    `${LISTED} WHERE s.id IN (${ids.map(() => '?').join(', ')}) AND (s.class_id IN (${TAUGHT}) OR s.learner_id = ?)`,
    [...ids, accountId, accountId]
  )
  return rows.map(row => ({ ...mapListed(row), ...(row.learner_id === accountId ? { spentMinutes: 0 } : {}) }))
}

/** How much hangs on each shelf of the classes, and how long the review will take. */
export async function countShelves(
  db: Db,
  staffId: number,
  classId: number | null
): Promise<Omit<ShelfTotals, 'calls' | 'byMail'>> {
  const [rows] = await db.execute<Row[]>(
    `SELECT SUM(${SHELF.review}) AS review, SUM(${SHELF.exercises}) AS exercises, SUM(${SHELF.released}) AS released,
       SUM(IF(${SHELF.review}, GREATEST(0, c.budget_minutes - FLOOR(COALESCE(k.seconds, 0) / 60)), 0)) AS minutes,
       MIN(IF(${SHELF.review}, s.handed_in_at, NULL)) AS oldest
     FROM submissions s JOIN classes c ON c.id = s.class_id LEFT JOIN critiques k ON k.submission_id = s.id 
     WHERE s.class_id IN (${TAUGHT}) AND ${OF}`,
    [staffId, classId, classId]
  )
  const { review, exercises, released, minutes, oldest } = rows[0]!
  return {
    counts: { review: Number(review), exercises: Number(exercises), released: Number(released) },
    minutes: Number(minutes),
    oldest: (oldest as Date | null)?.toISOString() ?? null
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
     WHERE o.class_id IN (${TAUGHT}) AND c.archived_at IS NULL GROUP BY o.id ORDER BY o.id`,
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
