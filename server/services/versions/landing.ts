/** What the instructor says of corrections on a new version: landed or not, and marked again. */
import { carriedArea, carriedMark, carryBy } from '../../../core/compare/carried'
import type { Landing } from '../../../core/compare/verdict'
import { areaOfMark } from '../../../core/critique/mark'
import type { Account } from '../../../shared/account'
import { correctionInputSchema, type Correction, type CorrectionInput } from '../../../shared/critique'
import type { LandedCorrection } from '../../../shared/pieces/versions'
import { storeLanding, type Pair } from '../../db/pieces/comparisons'
import { insertCorrection, listCorrections, markCarried } from '../../db/critique/corrections'
import { editDraft, found } from '../critique/draft'
import { compareFor, versionsOf } from './comparing'

/** @param word null where what was measured holds. */
export async function sayLanding(
  account: Account,
  pair: Pair,
  { correctionId, word }: { readonly correctionId: number; readonly word: Landing | null }
): Promise<void> {
  await versionsOf(account, pair)
  await editDraft(account, pair.newId, async connection => {
    const old = await listCorrections(connection, pair.oldId)
    found(
      old.some(c => c.id === correctionId),
      'correction'
    )
    await storeLanding(connection, { correctionId, newId: pair.newId, word })
  })
}

/** Where it lies on the new version; what is no longer in the picture is marked for the picture as a whole. */
function moved(
  correction: Correction,
  by: ReturnType<typeof carryBy>,
  size: { readonly width: number; readonly height: number }
): CorrectionInput {
  const mark = by && correction.mark && carriedMark(correction.mark, by),
    area = mark ? areaOfMark(mark, size) : by && correction.area && carriedArea(correction.area, by)
  // A trial shows how the old version would look changed: it is tried anew on this one.
  return correctionInputSchema.parse({ ...correction, mark, area, trial: null })
}

/**
 * Marks what is still open once more, at its place in the new version; what was carried over before stays as it is.
 * @returns how many were carried.
 */
export async function carryOver(account: Account, pair: Pair, ids: readonly number[]): Promise<number> {
  const { corrections, comparison, new: next } = await compareFor(account, pair)
  const wanted = corrections.filter(c => ids.includes(c.correction.id) && !c.carried),
    by = comparison.registration.corners && carryBy(comparison.registration.corners)
  return editDraft(account, pair.newId, async connection => {
    const there = new Set((await listCorrections(connection, pair.newId)).map(c => c.carriedFrom))
    const open = wanted.filter((c: LandedCorrection) => !there.has(c.correction.id))
    for (const { correction } of open) {
      const id = await insertCorrection(connection, pair.newId, moved(correction, by, next))
      await markCarried(connection, id, correction)
    }
    return open.length
  })
}
