/** Corrections and areas of a draft, and the phrases that are learnt from writing them. */
import type { Account } from '../../../shared/account'
import { areaInputSchema, correctionInputSchema, type CorrectionInput } from '../../../shared/critique'
import type { Area } from '../../../core/picture/area'
import { deleteArea, insertArea, listAreas, updateArea } from '../../db/pieces/areas'
import {
  deleteCorrection,
  insertCorrection,
  listCorrections,
  reorderCorrections,
  updateCorrection
} from '../../db/critique/corrections'
import { learnPhrase } from '../../db/critique/phrases'
import { askAgain } from '../../db/pieces/measurements'
import type { Answer } from '../../db/once'
import type { Db } from '../../db/pool'
import { editDraft, found, refuseStale } from './draft'
import { wakeMeasuring } from '../pieces/measuring'

interface NamedArea {
  readonly name: string
  readonly area: Area
}

async function learn(
  connection: Db,
  account: Account,
  { written: { station, what, todo }, before }: { readonly written: CorrectionInput; readonly before?: CorrectionInput }
): Promise<void> {
  if (what && what !== before?.what) await learnPhrase(connection, account.id, { field: 'what', station, words: what })
  if (todo && todo !== before?.todo) await learnPhrase(connection, account.id, { field: 'todo', station, words: todo })
}

export const addCorrection = (account: Account, submissionId: number, input: CorrectionInput): Promise<number> =>
  editDraft(account, submissionId, async connection => {
    await learn(connection, account, { written: input })
    return insertCorrection(connection, submissionId, input)
  })

export const changeCorrection = (
  account: Account,
  submissionId: number,
  { id, input, over }: { readonly id: number; readonly input: CorrectionInput; readonly over: CorrectionInput }
): Promise<void> =>
  editDraft(account, submissionId, async connection => {
    const kept = (await listCorrections(connection, submissionId)).find(c => c.id === id)
    found(kept, 'correction')
    const before = correctionInputSchema.parse(kept)
    refuseStale(before, over)
    await learn(connection, account, { written: input, before })
    await updateCorrection(connection, submissionId, { id, c: input })
  })

export const removeCorrection = (account: Account, submissionId: number, id: number): Promise<void> =>
  editDraft(account, submissionId, async connection =>
    found(await deleteCorrection(connection, submissionId, id), 'correction')
  )

/** @throws AppError stale when a correction came or went meanwhile. */
export const orderCorrections = (account: Account, submissionId: number, order: readonly number[]): Promise<void> =>
  editDraft(account, submissionId, async connection => {
    const kept = (await listCorrections(connection, submissionId)).map(c => c.id)
    refuseStale(
      kept.sort((p, q) => p - q),
      [...order].sort((p, q) => p - q)
    )
    await reorderCorrections(connection, submissionId, order)
  })

/** An edit of what is drawn: the piece is measured again with it, which nobody waits for. */
async function editDrawn<T extends Answer>(
  account: Account,
  submissionId: number,
  edit: (connection: Db) => Promise<T>
): Promise<T> {
  const result = await editDraft(account, submissionId, async connection => {
    await askAgain(connection, submissionId)
    return edit(connection)
  })
  wakeMeasuring()
  return result
}

export const addArea = (account: Account, submissionId: number, { name, area }: NamedArea): Promise<number> =>
  editDrawn(account, submissionId, connection => insertArea(connection, submissionId, { name, area }))

export const changeArea = (
  account: Account,
  submissionId: number,
  { id, next: { name, area }, over }: { readonly id: number; readonly next: NamedArea; readonly over: NamedArea }
): Promise<void> =>
  editDrawn(account, submissionId, async connection => {
    const kept = (await listAreas(connection, submissionId)).find(a => a.id === id)
    found(kept, 'area')
    refuseStale(areaInputSchema.parse(kept), over)
    await updateArea(connection, submissionId, { id, name, area })
  })

export const removeArea = (account: Account, submissionId: number, id: number): Promise<void> =>
  editDrawn(account, submissionId, async connection => found(await deleteArea(connection, submissionId, id), 'area'))
