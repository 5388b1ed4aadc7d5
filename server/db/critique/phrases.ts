/** An instructor's phrase shelf: what was written before, the most used and latest first. */
import type { Phrase, PhraseField } from '../../../shared/phrase'
import type { Station } from '../../../core/critique/stations/station'
import type { Changed, Db, Row } from '../pool'

/** Words longer than this are a letter, not a phrase. */
const LONGEST = 500

/** Keeps a phrase, or counts it once more. */
export async function learnPhrase(
  db: Db,
  accountId: number,
  { field, station, words }: { readonly field: PhraseField; readonly station: Station; readonly words: string }
): Promise<void> {
  if (words.length > LONGEST) return
  await db.execute(
    `INSERT INTO phrases (account_id, field, station, words) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE uses = uses + 1, used_at = UTC_TIMESTAMP(3)`,
    [accountId, field, station, words]
  )
}

export async function listPhrases(db: Db, accountId: number): Promise<Phrase[]> {
  const [rows] = await db.execute<Row[]>(
    `SELECT id, field, station, words, uses FROM phrases WHERE account_id = ? ORDER BY uses DESC, used_at DESC
     LIMIT 500`,
    [accountId]
  )
  return rows.map(row => ({
    id: row.id as number,
    field: row.field as PhraseField,
    station: row.station as Station,
    words: row.words as string,
    uses: row.uses as number
  }))
}

/** @returns whether the phrase is this account's. */
export async function updatePhrase(
  db: Db,
  accountId: number,
  { id, words }: { readonly id: number; readonly words: string }
): Promise<boolean> {
  const [result] = await db.execute<Changed>('UPDATE phrases SET words = ? WHERE id = ? AND account_id = ?', [
    words,
    id,
    accountId
  ])
  return result.affectedRows === 1
}

export async function deletePhrase(db: Db, accountId: number, id: number): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM phrases WHERE id = ? AND account_id = ?', [id, accountId])
  return result.affectedRows === 1
}
