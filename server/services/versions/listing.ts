/** The versions of a piece, for whoever may see it. */
import type { Account } from '../../../shared/account'
import type { Version } from '../../../shared/pieces/versions'
import { db } from '../../db/pool'
import { listVersions } from '../../db/pieces/versions'
import { visiblePiece } from '../access'

export async function listPieceVersions(account: Account, id: number): Promise<Version[]> {
  await visiblePiece(account, id)
  return listVersions(db(), id)
}
