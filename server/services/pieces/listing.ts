/** The pieces of one account, a window at a time. */
import type { Account } from '../../../shared/account'
import {
  MOST_LISTED,
  type ListQuery,
  type ListedSubmission,
  type OnShelf,
  type PiecePage,
  type Shelf,
  type ShelfTotals
} from '../../../shared/pieces/submission'
import { countShelves, listCallShelves, listOnShelf, listOwn, listShelf, listSome } from '../../db/lists'
import { countWaiting } from '../../db/pieces/letters'
import { countQueued } from '../../db/pieces/measurements'
import { db } from '../../db/pool'

/** Those that wait say with how many. */
async function inQueue(pieces: ListedSubmission[]): Promise<ListedSubmission[]> {
  if (!pieces.some(p => p.measurement.state === 'queued')) return pieces
  const { count } = await countQueued(db())
  return pieces.map(p =>
    p.measurement.state === 'queued' ? { ...p, measurement: { state: 'queued', waiting: count } } : p
  )
}

/** A shelf of the classes that this account helps to teach, of all or of one; without a shelf, its own pieces. */
export async function listPieces(
  account: Account,
  { shelf, classId, learnerId, exercise, after, most }: ListQuery
): Promise<PiecePage> {
  // One more than asked for tells whether there are more.
  const window = { after: after ?? null, most: most + 1 }
  const found =
    shelf === undefined
      ? await listOwn(db(), account.id, window)
      : await listShelf(db(), {
          staffId: account.id,
          classId: classId ?? null,
          shelf,
          of: { learnerId: learnerId ?? null, exercise: exercise ?? null },
          window
        })
  const items = await inQueue(found.slice(0, most))
  return { items, next: found.length > most ? items.at(-1)!.id : null }
}

/** Some pieces as they are now: for those that were being measured when they were listed. */
export const somePieces = async (account: Account, ids: readonly number[]): Promise<ListedSubmission[]> =>
  inQueue(await listSome(db(), account.id, ids.slice(0, MOST_LISTED)))

/** What a shelf can be narrowed to. */
export const onShelf = (account: Account, shelf: Shelf, classId: number | null): Promise<OnShelf> =>
  listOnShelf(db(), { staffId: account.id, classId, shelf })

/** @param classId one of the classes; the open calls are told of in any case. */
export async function shelfTotals(account: Account, classId: number | null): Promise<ShelfTotals> {
  const [totals, calls, byMail] = await Promise.all([
    countShelves(db(), account.id, classId),
    listCallShelves(db(), account.id),
    countWaiting(db(), account.id)
  ])
  return { ...totals, calls, byMail }
}
