import { areaSchema } from '../../shared/area'
import { targetSchema, type Correction, type CorrectionInput, type Critique, type MarkedArea } from '../../shared/critique'
import { scoredSchema, type Scored } from '../../shared/score'
import { trialSchema } from '../../shared/trial'
import { notesSchema, type Notes } from '../../shared/notes'
import type { Station } from '../../core/critique/reading'
import type { Area } from '../../core/picture/area'
import type { Changed, Db, Row } from './pool'

export type CritiqueHead = Pick<Critique, 'state' | 'revision' | 'works' | 'verdict' | 'releasedAt' | 'score' | 'seconds' | 'amendedNote' | 'questionBack' | 'answer'>

/** A submission has a critique from its hand-in on: an empty draft. */
export async function insertCritique(db: Db, submissionId: number): Promise<void> {
  await db.execute('INSERT INTO critiques (submission_id, works, verdict) VALUES (?, \'\', \'\')', [submissionId])
}

/** @param lock hold the row until the transaction ends, so that a release and an edit cannot cross. */
export async function findCritique(db: Db, submissionId: number, lock = false): Promise<CritiqueHead | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT state, revision, works, verdict, released_at, score, seconds, amended_note, question_back, answer FROM critiques WHERE submission_id = ?${lock ? ' FOR UPDATE' : ''}`, [submissionId])
  const row = rows[0]
  return row
    ? { state: row.state as Critique['state'], revision: row.revision as number, works: row.works as string, verdict: row.verdict as string, releasedAt: (row.released_at as Date | null)?.toISOString() ?? null,
      score: row.score === null ? null : scoredSchema.parse(row.score), seconds: row.seconds as number,
      amendedNote: row.amended_note as string, questionBack: row.question_back as string, answer: row.answer as string }
    : null
}

/** @returns whether the revision was still the one written over. */
export async function updateVerdict(db: Db, submissionId: number, works: string, verdict: string, revision: number): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE critiques SET works = ?, verdict = ?, revision = revision + 1 WHERE submission_id = ? AND revision = ?', [works, verdict, submissionId, revision])
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
  await db.execute('UPDATE critiques SET score = ? WHERE submission_id = ?', [score && JSON.stringify(score), submissionId])
}

export async function addSeconds(db: Db, submissionId: number, seconds: number): Promise<void> {
  await db.execute('UPDATE critiques SET seconds = seconds + ? WHERE submission_id = ?', [seconds, submissionId])
}

/** @param note what was changed, when it had been released before. */
export async function markReleased(db: Db, submissionId: number, at: Date, note: string): Promise<void> {
  await db.execute('UPDATE critiques SET state = \'released\', released_at = ?, amended_note = ? WHERE submission_id = ?', [at, note, submissionId])
}

/** A draft again; when it was first released stays known. */
export async function markWithdrawn(db: Db, submissionId: number): Promise<void> {
  await db.execute('UPDATE critiques SET state = \'draft\' WHERE submission_id = ?', [submissionId])
}

export async function updateQuestionBack(db: Db, submissionId: number, question: string): Promise<void> {
  await db.execute('UPDATE critiques SET question_back = ? WHERE submission_id = ?', [question, submissionId])
}

export async function updateAnswer(db: Db, submissionId: number, answer: string): Promise<void> {
  await db.execute('UPDATE critiques SET answer = ? WHERE submission_id = ?', [answer, submissionId])
}

const mapCorrection = (row: Row, index: number): Correction => ({
  id: row.id as number,
  order: index + 1,
  station: row.station as Station,
  area: row.area === null ? null : areaSchema.parse(row.area),
  readingId: row.reading_id as string | null,
  reason: row.reason as string,
  what: row.what as string,
  todo: row.todo as string,
  target: row.target === null ? null : targetSchema.parse(row.target),
  trial: row.trial === null ? null : trialSchema.parse(row.trial)
})

export async function listCorrections(db: Db, submissionId: number): Promise<Correction[]> {
  const [rows] = await db.execute<Row[]>('SELECT * FROM corrections WHERE submission_id = ? ORDER BY position, id', [submissionId])
  return rows.map(mapCorrection)
}

const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value))

export async function insertCorrection(db: Db, submissionId: number, c: CorrectionInput): Promise<number> {
  const [result] = await db.execute<Changed>(
    `INSERT INTO corrections (submission_id, position, station, area, reading_id, reason, what, todo, target, trial)
     SELECT ?, COALESCE(MAX(position), 0) + 1, ?, ?, ?, ?, ?, ?, ?, ? FROM corrections WHERE submission_id = ?`,
    [submissionId, c.station, json(c.area), c.readingId, c.reason, c.what, c.todo, json(c.target), json(c.trial), submissionId])
  return result.insertId
}

/** @returns whether the correction belongs to the submission. */
export async function updateCorrection(db: Db, submissionId: number, id: number, c: CorrectionInput): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE corrections SET station = ?, area = ?, reading_id = ?, reason = ?, what = ?, todo = ?, target = ?, trial = ? WHERE id = ? AND submission_id = ?',
    [c.station, json(c.area), c.readingId, c.reason, c.what, c.todo, json(c.target), json(c.trial), id, submissionId])
  return result.affectedRows === 1
}

export async function deleteCorrection(db: Db, submissionId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM corrections WHERE id = ? AND submission_id = ?', [id, submissionId])
  return result.affectedRows === 1
}

export async function reorderCorrections(db: Db, submissionId: number, order: readonly number[]): Promise<void> {
  for (const [position, id] of order.entries()) {
    await db.execute('UPDATE corrections SET position = ? WHERE id = ? AND submission_id = ?', [position + 1, id, submissionId])
  }
}

export async function listAreas(db: Db, submissionId: number): Promise<MarkedArea[]> {
  const [rows] = await db.execute<Row[]>('SELECT id, name, shape FROM areas WHERE submission_id = ? ORDER BY id', [submissionId])
  return rows.map(row => ({ id: row.id as number, name: row.name as string, area: areaSchema.parse(row.shape) }))
}

export async function insertArea(db: Db, submissionId: number, name: string, area: Area): Promise<number> {
  const [result] = await db.execute<Changed>('INSERT INTO areas (submission_id, name, shape) VALUES (?, ?, ?)', [submissionId, name, JSON.stringify(area)])
  return result.insertId
}

export async function updateArea(db: Db, submissionId: number, id: number, name: string, area: Area): Promise<boolean> {
  const [result] = await db.execute<Changed>('UPDATE areas SET name = ?, shape = ? WHERE id = ? AND submission_id = ?', [name, JSON.stringify(area), id, submissionId])
  return result.affectedRows === 1
}

export async function deleteArea(db: Db, submissionId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM areas WHERE id = ? AND submission_id = ?', [id, submissionId])
  return result.affectedRows === 1
}
