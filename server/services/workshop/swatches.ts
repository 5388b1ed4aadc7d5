/** The swatch book: what is kept, its notes, what it gave on paper. */
import type { z } from 'zod'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { SwatchInput, swatchChangeSchema } from '../../../shared/workshop'
import { changeOnce } from '../../db/once'
import { db } from '../../db/pool'
import { countSwatches, deleteSwatch, insertSwatch, updateNote, updateRead } from '../../db/workshop/swatches'

/** More than a thick book. */
const MOST = 600

export async function keepSwatch(account: Account, swatch: SwatchInput): Promise<number> {
  if ((await countSwatches(db(), account.id)) >= MOST)
    throw new AppError('invalid', `A book holds ${MOST} swatches: take out some that you do not need.`)
  return changeOnce(connection => insertSwatch(connection, account.id, swatch))
}

const gone = (): AppError => new AppError('not-found', 'There is no such swatch in your book.')

export async function changeSwatch(
  account: Account,
  id: number,
  change: z.infer<typeof swatchChangeSchema>
): Promise<void> {
  const which = { id, accountId: account.id },
    found = await ('note' in change ? updateNote(db(), which, change.note) : updateRead(db(), which, change.read))
  if (!found) throw gone()
}

export async function dropSwatch(account: Account, id: number): Promise<void> {
  if (!(await deleteSwatch(db(), { id, accountId: account.id }))) throw gone()
}
