/** Mail that came in, and its pictures. */
import { z } from 'zod'
import { deletePictures } from '../exercises/answers'
import type { Changed, Db, Row } from '../pool'

const leftOutSchema = z.array(z.object({ name: z.string(), why: z.string() }))
type LeftOut = readonly z.infer<typeof leftOutSchema>[number][]

/** @property reason why nothing came of it; empty where its pictures wait. */
export interface LetterRow {
  readonly id: number
  readonly accountId: number | null
  readonly address: string
  readonly name: string
  readonly messageId: string
  readonly references: readonly string[]
  readonly subject: string
  readonly body: string
  readonly proven: boolean
  readonly leftOut: LeftOut
  readonly reason: string
  readonly receivedAt: Date
}
export type NewLetter = Omit<LetterRow, 'id' | 'receivedAt'> & { readonly mark: Buffer }

export async function isLetterKnown(db: Db, mark: Buffer): Promise<boolean> {
  const [rows] = await db.execute<Row[]>('SELECT 1 FROM letters WHERE mark = ?', [mark])
  return rows.length > 0
}

/** @throws a duplicate's error for the same mail again. */
export async function insertLetter(db: Db, l: NewLetter): Promise<number> {
  const [result] = await db.execute<Changed>(
    `INSERT INTO letters (mark, account_id, address, name, message_id, thread, subject, body, proven, left_out, state,
       reason, received_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
    [
      l.mark,
      l.accountId,
      l.address,
      l.name,
      l.messageId,
      l.references.join(' '),
      l.subject,
      l.reason ? '' : l.body,
      l.proven,
      JSON.stringify(l.leftOut),
      l.reason ? 'refused' : 'waiting',
      l.reason.slice(0, 400)
    ]
  )
  return result.insertId
}

export async function insertLetterPicture(
  db: Db,
  p: { readonly letterId: number; readonly place: number; readonly name: string; readonly pictureId: number }
): Promise<void> {
  await db.execute('INSERT INTO letter_pictures (letter_id, place, name, picture_id) VALUES (?, ?, ?, ?)', [
    p.letterId,
    p.place,
    p.name,
    p.pictureId
  ])
}

/** What of an account is in the house by mail: pictures that wait, and mails of the last day. */
export async function countLetters(
  db: Db,
  accountId: number
): Promise<{ readonly waiting: number; readonly today: number }> {
  const [rows] = await db.execute<Row[]>(
    `SELECT (SELECT COUNT(*) FROM letter_pictures p JOIN letters l ON l.id = p.letter_id
         WHERE l.account_id = ? AND p.state = 'waiting') AS waiting,
       (SELECT COUNT(*) FROM letters WHERE account_id = ?
         AND received_at > UTC_TIMESTAMP(3) - INTERVAL 1 DAY) AS today`,
    [accountId, accountId]
  )
  return { waiting: Number(rows[0]!.waiting), today: Number(rows[0]!.today) }
}

const mapLetter = (row: Row): LetterRow => ({
  id: row.id as number,
  accountId: row.account_id as number | null,
  address: row.address as string,
  name: (row.account_name as string | null) ?? (row.name as string),
  messageId: row.message_id as string,
  references: (row.thread as string).split(' ').filter(Boolean),
  subject: row.subject as string,
  body: row.body as string,
  proven: Boolean(row.proven),
  leftOut: leftOutSchema.catch([]).parse(row.left_out),
  reason: row.reason as string,
  receivedAt: row.received_at as Date
})
const SELECT = 'SELECT l.*, a.name AS account_name FROM letters l LEFT JOIN accounts a ON a.id = l.account_id'

/** Mails with the classes that somebody teaches and their sender learns in, neither archived nor an open call's. */
const SHARED = `FROM letters w JOIN memberships m ON m.account_id = w.account_id AND m.role = 'learner'
  JOIN memberships t ON t.class_id = m.class_id AND t.role = 'instructor'
  JOIN classes c ON c.id = t.class_id AND c.archived_at IS NULL
  WHERE t.account_id = ? AND NOT EXISTS (SELECT 1 FROM calls k WHERE k.class_id = c.id)`

/** Those of learners that somebody teaches, the oldest first. */
export async function listWaiting(db: Db, staffId: number): Promise<LetterRow[]> {
  const [rows] = await db.execute<Row[]>(
    `${SELECT} WHERE l.state = 'waiting' AND l.id IN (SELECT w.id ${SHARED}) ORDER BY l.received_at, l.id LIMIT 100`,
    [staffId]
  )
  return rows.map(mapLetter)
}

/** Pictures that wait, of learners that somebody teaches. */
export async function countWaiting(db: Db, staffId: number): Promise<number> {
  const [rows] = await db.execute<Row[]>(
    `SELECT COUNT(*) AS n FROM letter_pictures p WHERE p.state = 'waiting' AND p.letter_id IN (SELECT w.id ${SHARED})`,
    [staffId]
  )
  return Number(rows[0]!.n)
}

/** The latest of them that nothing came of; of strangers too for whoever runs the house. */
export async function listRefused(db: Db, staffId: number, owner: boolean): Promise<LetterRow[]> {
  const [rows] = await db.execute<Row[]>(
    `${SELECT} WHERE l.state = 'refused' AND (? OR l.id IN (SELECT w.id ${SHARED}))
     ORDER BY l.received_at DESC, l.id DESC LIMIT 50`,
    [owner, staffId]
  )
  return rows.map(mapLetter)
}

export async function listSharedClasses(
  db: Db,
  staffId: number,
  letterId: number
): Promise<{ id: number; name: string }[]> {
  const [rows] = await db.execute<Row[]>(`SELECT c.id, c.name ${SHARED} AND w.id = ? ORDER BY c.name, c.id`, [
    staffId,
    letterId
  ])
  return rows.map(row => ({ id: row.id as number, name: row.name as string }))
}

export interface LetterPictureRow {
  readonly id: number
  readonly letterId: number
  readonly accountId: number
  readonly name: string
  readonly state: 'waiting' | 'taken' | 'declined'
  readonly pictureId: number | null
  readonly width: number
  readonly height: number
  readonly thumb: string | null
}
const mapPicture = (row: Row): LetterPictureRow => ({
  id: row.id as number,
  letterId: row.letter_id as number,
  accountId: row.account_id as number,
  name: row.name as string,
  state: row.state as LetterPictureRow['state'],
  pictureId: row.picture_id as number | null,
  width: Number(row.width ?? 0),
  height: Number(row.height ?? 0),
  thumb: row.thumb_sha as string | null
})
const PICTURE = `SELECT p.*, l.account_id, i.width, i.height, i.thumb_sha FROM letter_pictures p
  JOIN letters l ON l.id = p.letter_id LEFT JOIN pictures i ON i.id = p.picture_id`

export async function listLetterPictures(db: Db, letterId: number): Promise<LetterPictureRow[]> {
  const [rows] = await db.execute<Row[]>(`${PICTURE} WHERE p.letter_id = ? ORDER BY p.place`, [letterId])
  return rows.map(mapPicture)
}

/** @param lock holds it and its mail, so that it is answered once. */
export async function findLetterPicture(db: Db, id: number, lock = false): Promise<LetterPictureRow | null> {
  const [rows] = await db.execute<Row[]>(`${PICTURE} WHERE p.id = ?${lock ? ' FOR UPDATE' : ''}`, [id])
  return rows[0] ? mapPicture(rows[0]) : null
}

export async function findLetter(db: Db, id: number): Promise<LetterRow | null> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE l.id = ?`, [id])
  return rows[0] ? mapLetter(rows[0]) : null
}

/** It became a piece, whose picture it is from now on; or it is dropped, with its bytes. */
export async function updateLetterPicture(
  db: Db,
  { id, pictureId }: Pick<LetterPictureRow, 'id' | 'pictureId'>,
  submissionId: number | null
): Promise<void> {
  await db.execute('UPDATE letter_pictures SET state = ?, submission_id = ?, picture_id = NULL WHERE id = ?', [
    submissionId ? 'taken' : 'declined',
    submissionId,
    id
  ])
  if (!submissionId) await dropPictures(db, 'id = ?', pictureId!)
  await db.execute(
    `UPDATE letters SET state = 'done' WHERE id = (SELECT letter_id FROM letter_pictures WHERE id = ?)
     AND NOT EXISTS (SELECT 1 FROM letter_pictures o WHERE o.letter_id = letters.id AND o.state = 'waiting')`,
    [id]
  )
}

async function dropPictures(db: Db, which: string, value: number): Promise<void> {
  const [pictures] = await db.execute<Row[]>(
    `SELECT id, original_sha, display_sha, thumb_sha, full_sha FROM pictures WHERE ${which}`,
    [value]
  )
  await deletePictures(db, pictures)
}

/** Every mail of an account. */
export async function listLettersOf(db: Db, accountId: number): Promise<LetterRow[]> {
  const [rows] = await db.execute<Row[]>(`${SELECT} WHERE l.account_id = ? ORDER BY l.received_at, l.id`, [accountId])
  return rows.map(mapLetter)
}

/** Its pictures that wait, by the hash of what was sent. */
export async function listWaitingOf(
  db: Db,
  accountId: number
): Promise<{ readonly id: number; readonly name: string; readonly original: string }[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT p.id, p.name, i.original_sha FROM letter_pictures p JOIN letters l ON l.id = p.letter_id
     JOIN pictures i ON i.id = p.picture_id WHERE l.account_id = ? AND p.state = 'waiting' ORDER BY p.id`,
    [accountId]
  )
  return rows.map(row => ({
    id: row.id as number,
    name: row.name as string,
    original: row.original_sha as string
  }))
}

/** Of an account that goes: its mails, with the pictures that still waited. */
export async function deleteLettersOf(db: Db, accountId: number): Promise<void> {
  const [pictures] = await db.execute<Row[]>(
    `SELECT i.id, i.original_sha, i.display_sha, i.thumb_sha, i.full_sha FROM pictures i
     JOIN letter_pictures p ON p.picture_id = i.id JOIN letters l ON l.id = p.letter_id WHERE l.account_id = ?`,
    [accountId]
  )
  await db.execute('DELETE FROM letters WHERE account_id = ?', [accountId])
  await deletePictures(db, pictures)
}

/** What nothing came of, and what strangers were answered, so many days on. */
export async function deleteOldLetters(db: Db, days: number): Promise<void> {
  await db.execute("DELETE FROM letters WHERE state = 'refused' AND received_at < UTC_TIMESTAMP(3) - INTERVAL ? DAY", [
    days
  ])
  await db.execute('DELETE FROM outbox WHERE account_id IS NULL AND created_at < UTC_TIMESTAMP(3) - INTERVAL ? DAY', [
    days
  ])
}

/** Where a piece came in by mail: what its answers are answers to. */
export async function findThread(
  db: Db,
  submissionId: number
): Promise<Pick<LetterRow, 'subject' | 'messageId' | 'references'> | null> {
  const [rows] = await db.execute<Row[]>(
    `SELECT l.* FROM letters l JOIN letter_pictures p ON p.letter_id = l.id WHERE p.submission_id = ?`,
    [submissionId]
  )
  return rows[0] ? mapLetter(rows[0]) : null
}
