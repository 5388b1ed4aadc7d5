/** The classes and the pieces of one account, pieces a window at a time. */
import type { Account } from '../../shared/account'
import {
  MOST_LISTED,
  type ListQuery,
  type ListedSubmission,
  type PiecePage,
  type ShelfTotals
} from '../../shared/submission'
import { listClassesOf, type ClassRow } from '../db/classes'
import { countShelves, listOwn, listShelf, listSome } from '../db/lists'
import { db } from '../db/pool'

/** An instructor's shelf, or a learner's own pieces. */
export async function listPieces(account: Account, { shelf, after, most }: ListQuery): Promise<PiecePage> {
  // One more than asked for tells whether there are more.
  const window = { after: after ?? null, most: most + 1 }
  const found =
    account.role === 'instructor'
      ? await listShelf(db(), { instructorId: account.id, shelf, window })
      : await listOwn(db(), account.id, window)
  const items = found.slice(0, most)
  return { items, next: found.length > most ? items.at(-1)!.id : null }
}

/** Some pieces as they are now: for those that were being measured when they were listed. */
export const somePieces = (account: Account, ids: readonly number[]): Promise<ListedSubmission[]> =>
  listSome(db(), account.id, ids.slice(0, MOST_LISTED))

export const shelfTotals = (account: Account): Promise<ShelfTotals> => countShelves(db(), account.id)

/** Those an account teaches or is in. */
export const classesOf = (account: Account): Promise<ClassRow[]> => listClassesOf(db(), account.id)
