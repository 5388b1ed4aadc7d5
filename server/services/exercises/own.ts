/** Exercises of an instructor's own: theirs alone to change; what was set of them stays as it was set. */
import type { OwnExercise } from '../../../core/exercise/own/own'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { OwnListed } from '../../../shared/exercises/own-exercise'
import * as rows from '../../db/exercises/own-exercises'
import { changeOnce } from '../../db/once'
import { db } from '../../db/pool'

const gone = (): AppError => new AppError('not-found', 'There is no such exercise of yours.')

export const listOwn = (account: Account): Promise<OwnListed[]> => rows.listOwnExercises(db(), account.id)
export const makeOwn = (account: Account, exercise: OwnExercise): Promise<number> =>
  changeOnce(connection => rows.insertOwn(connection, account.id, exercise))

export async function changeOwn(account: Account, id: number, exercise: OwnExercise): Promise<void> {
  if (!(await rows.updateOwn(db(), { id, accountId: account.id }, exercise))) throw gone()
}
export async function dropOwn(account: Account, id: number): Promise<void> {
  if (!(await rows.deleteOwn(db(), { id, accountId: account.id }))) throw gone()
}

/** @throws AppError not-found. */
export async function ownOf(account: Account, id: number): Promise<OwnExercise> {
  const found = (await listOwn(account)).find(o => o.id === id)
  if (!found) throw gone()
  return found.exercise
}
