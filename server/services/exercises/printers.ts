/** One's own printer: two pages to print, and what a photograph of both says of its greys. */
import type { Paper } from '../../../core/exercise/worksheet/worksheet'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { KnownPrinter } from '../../../shared/exercises/worksheet'
import { db } from '../../db/pool'
import { deletePrinter, findPrinter, upsertPrinter } from '../../db/exercises/printers'
import { printPrinterPages, printStripPage, readPrinterPhoto } from '../../work/workers'
import { takeApart } from '../pieces/handing-in'
import type { File } from './worksheets'

export const knownPrinter = (account: Account): Promise<KnownPrinter | null> => findPrinter(db(), account.id)
export const forgetPrinter = (account: Account): Promise<void> => deletePrinter(db(), account.id)

/** Both pages, one for the good printer and one for one's own. */
export const printerPages = async (account: Account, paper: Paper): Promise<File> => ({
  mediaType: 'application/pdf',
  body: Buffer.from(await printPrinterPages({ paper, printer: account.id }, `${account.id}`))
})

/** The strip of greys and colours that is laid beside work when it is photographed. */
export const stripPage = async (account: Account, paper: Paper): Promise<File> => ({
  mediaType: 'application/pdf',
  body: Buffer.from(await printStripPage(paper, `${account.id}`))
})

/** @param file of the photograph, which is not kept. @throws AppError not-a-picture, in words of what is missing. */
export async function learnPrinter(account: Account, file: string): Promise<KnownPrinter> {
  const who = `${account.id}`
  // At the same door as any picture: what is damaged or none is refused in words.
  await takeApart(file, { what: 'The photograph', who })
  const outcome = await readPrinterPhoto({ file }, who)
  if (outcome.kind === 'unread') throw new AppError('not-a-picture', outcome.reason)
  if (outcome.printer !== account.id)
    throw new AppError('invalid', 'These pages were printed by somebody else: print your own from here.')
  await upsertPrinter(db(), account.id, outcome)
  return (await knownPrinter(account))!
}
