import type { PieceReading } from '../../../core/critique/stations/piece'
import type { Critique } from '../../../shared/critique'
import { scoredSchema, type Scored } from '../../../shared/score'
import { notesSchema, type Notes } from '../../../shared/notes'
import { readingListSchema } from '../../../shared/reading'
import { hold } from '../hold'
import { reshelvePiece } from '../pieces/shelves'
import type { Changed, Db, Row } from '../pool'

export type CritiqueHead = Pick<
  Critique,
  | 'state'
  | 'revision'
  | 'works'
  | 'verdict'
  | 'releasedAt'
  | 'score'
  | 'seconds'
  | 'amendedNote'
  | 'questionBack'
  | 'answer'
>

/** A submission has a critique from its hand-in on: an empty draft. */
export async function insertCritique(db: Db, submissionId: number): Promise<void> {
  await db.execute("INSERT INTO critiques (submission_id, works, verdict) VALUES (?, '', '')", [submissionId])
  await reshelvePiece(db, submissionId)
}

/** @param lock hold it until the transaction ends, so that a release and an edit cannot cross. */
export async function findCritique(db: Db, submissionId: number, lock = false): Promise<CritiqueHead | null> {
  if (lock) await hold(db, 'critiques', submissionId)
  const [rows] = await db.execute<Row[]>(
    `SELECT state, revision, works, verdict, released_at, score, seconds, amended_note, question_back, answer
     FROM critiques WHERE submission_id = ?${lock ? ' FOR UPDATE' : ''}`,
    [submissionId]
  )
  const row = rows[0]
  return row
    ? {
        state: row.state as Critique['state'],
        revision: row.revision as number,
        works: row.works as string,
        verdict: row.verdict as string,
        releasedAt: (row.released_at as Date | null)?.toISOString() ?? null,
        score: row.score === null ? null : scoredSchema.parse(row.score),
        seconds: row.seconds as number,
        amendedNote: row.amended_note as string,
        questionBack: row.question_back as string,
        answer: row.answer as string
      }
    : null
}

/** @returns whether the revision was still the one written over. */
export async function updateVerdict(
  db: Db,
  submissionId: number,
  { works, verdict, revision }: { readonly works: string; readonly verdict: string; readonly revision: number }
): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE critiques SET works = ?, verdict = ?, revision = revision + 1 WHERE submission_id = ? AND revision = ?',
    [works, verdict, submissionId, revision]
  )
  return result.affectedRows === 1
}

/** Parsed on the way out: notes of an earlier shape gain what they lack. */
export async function findNotes(db: Db, submissionId: number): Promise<Notes> {
  const [rows] = await db.execute<Row[]>('SELECT notes FROM critiques WHERE submission_id = ?', [submissionId])
  return notesSchema.parse(rows[0]?.notes ?? {})
}

export async function updateNotes(db: Db, submissionId: number, notes: Notes): Promise<void> {
  await db.execute('UPDATE critiques SET notes = ? WHERE submission_id = ?', [JSON.stringify(notes), submissionId])
}

export async function updateScore(db: Db, submissionId: number, score: Scored | null): Promise<void> {
  await db.execute('UPDATE critiques SET score = ? WHERE submission_id = ?', [
    score && JSON.stringify(score),
    submissionId
  ])
}

export async function addSeconds(db: Db, submissionId: number, seconds: number): Promise<void> {
  await db.execute('UPDATE critiques SET seconds = seconds + ? WHERE submission_id = ?', [seconds, submissionId])
}

export interface Release {
  readonly at: Date
  /** What was changed, when it had been released before. */
  readonly note: string
  /** The sentences it is released with. */
  readonly readings: readonly PieceReading[]
}

export async function markReleased(db: Db, submissionId: number, { at, note, readings }: Release): Promise<void> {
  await db.execute(
    "UPDATE critiques SET state = 'released', released_at = ?, amended_note = ?, readings = ? WHERE submission_id = ?",
    [at, note, JSON.stringify(readings), submissionId]
  )
  await reshelvePiece(db, submissionId)
}

/** The sentences that a critique was released with; null where it was released before they were kept. */
export async function findReleasedReadings(db: Db, submissionId: number): Promise<PieceReading[] | null> {
  const [rows] = await db.execute<Row[]>(
    "SELECT readings FROM critiques WHERE submission_id = ? AND state = 'released'",
    [submissionId]
  )
  return readingListSchema
    .nullable()
    .catch(null)
    .parse(rows[0]?.readings ?? null)
}

/** A draft again; when it was first released stays known. */
export async function markWithdrawn(db: Db, submissionId: number): Promise<void> {
  await db.execute("UPDATE critiques SET state = 'draft' WHERE submission_id = ?", [submissionId])
  await reshelvePiece(db, submissionId)
}

export async function updateQuestionBack(db: Db, submissionId: number, question: string): Promise<void> {
  await db.execute('UPDATE critiques SET question_back = ? WHERE submission_id = ?', [question, submissionId])
}

export async function updateAnswer(db: Db, submissionId: number, answer: string): Promise<void> {
  await db.execute('UPDATE critiques SET answer = ? WHERE submission_id = ?', [answer, submissionId])
}

/** How often readings of each kind were set aside in a class, by the reading's id. */
export async function countSetAside(db: Db, classId: number): Promise<Record<string, number>> {
  const [rows] = await db.execute<Row[]>(
    `SELECT SUBSTRING_INDEX(j.name, ':', 1) AS id, COUNT(*) AS n
     FROM critiques k JOIN submissions s ON s.id = k.submission_id
     JOIN JSON_TABLE(k.notes, '$.judged[*]'
       COLUMNS (name VARCHAR(120) PATH '$.key', verdict VARCHAR(12) PATH '$.verdict')) j
     WHERE s.class_id = ? AND j.verdict = 'dismissed' GROUP BY SUBSTRING_INDEX(j.name, ':', 1)`,
    [classId]
  )
  return Object.fromEntries(rows.map(row => [row.id as string, Number(row.n)]))
}
