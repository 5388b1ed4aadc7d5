/**
 * Editing a draft: by its class's staff, not once it is released, and never over what another window wrote meanwhile.
 */
import { isDeepStrictEqual } from 'node:util'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { findCritique } from '../../db/critique/critiques'
import { once, type Answer } from '../../db/once'
import { transaction, type Db } from '../../db/pool'
import { pieceTo } from '../access'

/**
 * Runs an edit on a draft that this account may change, holding it so that neither a release nor another edit crosses
 * it. Sent again with its key it is answered as it was, also when the critique was released since.
 */
export async function editDraft<T extends Answer>(
  account: Account,
  submissionId: number,
  edit: (connection: Db) => Promise<T>
): Promise<T> {
  await pieceTo('draft', account, submissionId)
  return transaction(async connection => {
    const head = await findCritique(connection, submissionId, true)
    return once(connection, () => {
      if (head?.state === 'released')
        throw new AppError('already-released', 'The critique is released; it can no longer be changed.')
      return edit(connection)
    })
  })
}

export function found(ok: unknown, what: string): void {
  if (!ok) throw new AppError('not-found', `There is no such ${what} on this piece.`)
}

/**
 * @param kept what is stored. @param over what the writer believed to be stored. @throws AppError stale when they
 * differ.
 */
export function refuseStale(kept: unknown, over: unknown): void {
  if (!isDeepStrictEqual(kept, over))
    throw new AppError(
      'stale',
      'This was changed in another window meanwhile. Nothing was overwritten: choose which stays.'
    )
}
