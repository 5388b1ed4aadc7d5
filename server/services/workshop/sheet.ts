/** The swatch sheet: printed for what is kept, and read when it comes back painted. */
import { partsInWords } from '../../../core/paint/told'
import { MOST_ON_SHEET } from '../../../core/paint/sheet'
import type { Paper } from '../../../core/exercise/worksheet/worksheet'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import { db, transaction } from '../../db/pool'
import { listSwatches, updateRead } from '../../db/workshop/swatches'
import { printSwatchPage, readSwatchPhoto } from '../../work/workers'
import type { File } from '../exercises/worksheets'
import { takeApart } from '../pieces/handing-in'

/** @param ids of one's own; none asks for the latest that are not read yet. */
export async function swatchPage(account: Account, ids: readonly number[], paper: Paper): Promise<File> {
  const own = (await listSwatches(db(), account.id)).filter(s => s.kind !== 'palette'),
    asked = ids.length ? own.filter(s => ids.includes(s.id)) : own.filter(s => !s.read)
  const swatches = asked.slice(0, MOST_ON_SHEET).map(({ id, hexes, parts, note }) => ({
    id,
    hex: hexes[0]!,
    words: partsInWords(parts) || note || hexes[0]!
  }))
  if (!swatches.length) throw new AppError('invalid', 'There is nothing to print: every swatch is read already.')
  return {
    mediaType: 'application/pdf',
    body: Buffer.from(await printSwatchPage({ paper, swatches }, `${account.id}`))
  }
}

/**
 * @param file of the photograph, which is not kept. @returns how many were read. @throws AppError in words of what is
 * missing.
 */
export async function takeSwatches(account: Account, file: string): Promise<number> {
  const who = `${account.id}`
  await takeApart(file, { what: 'The photograph', who })
  const outcome = await readSwatchPhoto({ file }, who)
  if (outcome.kind === 'unread') throw new AppError('not-a-picture', outcome.reason)
  const own = new Set((await listSwatches(db(), account.id)).map(s => s.id)),
    known = outcome.swatches.filter(s => own.has(s.id))
  if (!known.length) throw new AppError('invalid', 'These swatches are in nobody’s book, or in somebody else’s.')
  await transaction(async connection => {
    for (const { id, hex } of known) await updateRead(connection, { id, accountId: account.id }, hex)
  })
  return known.length
}
