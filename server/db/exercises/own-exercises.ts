import type { OwnExercise } from '../../../core/exercise/own/own'
import { ownExerciseSchema, type OwnListed } from '../../../shared/exercises/own-exercise'
import type { Changed, Db, Row } from '../pool'

export async function insertOwn(db: Db, accountId: number, exercise: OwnExercise): Promise<number> {
  const [result] = await db.execute<Changed>('INSERT INTO own_exercises (account_id, definition) VALUES (?, ?)', [
    accountId,
    JSON.stringify(exercise)
  ])
  return result.insertId
}

interface Whose {
  readonly id: number
  readonly accountId: number
}
/** @returns whether there is one of this account's. */
export async function updateOwn(db: Db, { id, accountId }: Whose, exercise: OwnExercise): Promise<boolean> {
  const [result] = await db.execute<Changed>(
    'UPDATE own_exercises SET definition = ? WHERE id = ? AND account_id = ?',
    [JSON.stringify(exercise), id, accountId]
  )
  return result.affectedRows === 1
}

export async function deleteOwn(db: Db, { id, accountId }: Whose): Promise<boolean> {
  const [result] = await db.execute<Changed>('DELETE FROM own_exercises WHERE id = ? AND account_id = ?', [
    id,
    accountId
  ])
  return result.affectedRows === 1
}

export async function listOwnExercises(db: Db, accountId: number): Promise<OwnListed[]> {
  const [rows] = await db.execute<Row[]>('SELECT id, definition FROM own_exercises WHERE account_id = ? ORDER BY id', [
    accountId
  ])
  return rows.map(row => ({ id: row.id as number, exercise: ownExerciseSchema.parse(row.definition) }))
}
