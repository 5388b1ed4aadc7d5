/** The phrase shelf is its instructor's alone. */
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { deletePhrase, listPhrases, updatePhrase } from '../../db/critique/phrases'
import { db } from '../../db/pool'
import type { Phrase } from '../../../shared/phrase'

const gone = (ok: boolean): void => {
  if (!ok) throw new AppError('not-found', 'There is no such phrase on your shelf.')
}

export const phrasesOf = (account: Account): Promise<Phrase[]> => listPhrases(db(), account.id)

/** @throws AppError invalid when the shelf already has these words in the same place. */
export async function changePhrase(account: Account, id: number, words: string): Promise<void> {
  const all = await listPhrases(db(), account.id),
    own = all.find(p => p.id === id)
  gone(own !== undefined)
  if (all.some(p => p.id !== id && p.field === own!.field && p.station === own!.station && p.words === words))
    throw new AppError('invalid', 'This phrase is on the shelf already.')
  await updatePhrase(db(), account.id, { id, words })
}

export async function removePhrase(account: Account, id: number): Promise<void> {
  gone(await deletePhrase(db(), account.id, id))
}
