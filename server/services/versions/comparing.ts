/**
 * Two versions of a piece laid on one another: measured when it is first asked for, and kept until something changes.
 */
import { createHash } from 'node:crypto'
import { carriedArea, carryBy } from '../../../core/compare/carried'
import type { Asked } from '../../../core/compare/compare'
import type { Comparison } from '../../../core/compare/outcome'
import type { PieceKnown } from '../../../core/critique/piece/known'
import { REPORT_VERSION } from '../../../core/measure/report'
import type { Point } from '../../../core/numeric/homography'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { FOCUS_NAME, type Correction } from '../../../shared/critique'
import type { Compared, Version } from '../../../shared/pieces/versions'
import { insertArea, listAreas } from '../../db/pieces/areas'
import { findStandards } from '../../db/classes/classes'
import { findComparison, listLandings, storeComparison, storeCorners, type Pair } from '../../db/pieces/comparisons'
import { findCritique } from '../../db/critique/critiques'
import { listCorrections } from '../../db/critique/corrections'
import { askAgain } from '../../db/pieces/measurements'
import { readBlob } from '../../blobs/blobs'
import { db, transaction } from '../../db/pool'
import { findSource, listVersions } from '../../db/pieces/versions'
import type { Progress } from '../../work/protocol'
import { compareStored } from '../../work/workers'
import { ownPiece, pieceTo, visiblePiece } from '../access'
import { knownOf } from '../pieces/knowing'

/** Raised when the comparing itself is another: what is kept is then measured anew. */
const COMPARE_VERSION = 4

export interface Versions {
  readonly old: Version
  readonly new: Version
}

/** @throws AppError not-found where one is not to be seen, or both are no versions of one piece, or it is no older. */
export async function versionsOf(account: Account, { oldId, newId }: Pair): Promise<Versions & { classId: number }> {
  const { classId } = await visiblePiece(account, newId),
    all = await listVersions(db(), newId)
  const [old, next] = [oldId, newId].map(id => all.find(v => v.id === id))
  if (!old || !next || old.number >= next.number)
    throw new AppError('not-found', 'There is no such older version of this piece.')
  return { old, new: next, classId }
}

/** What a correction asks, where it was marked on the old version. */
const askedOf = ({ target, area }: Correction): Asked => ({ target, area })

/** @returns the comparison as it is kept, or measured now. */
export async function comparisonOf(
  pair: Pair,
  { classId, corrections, who, progress, released = false }: Work
): Promise<{ result: Comparison; corners: readonly Point[] | null }> {
  const { oldId, newId } = pair
  const [kept, known, standards, old, next] = await Promise.all([
    findComparison(db(), pair),
    knownOf(db(), oldId),
    findStandards(db(), classId),
    findSource(db(), oldId),
    findSource(db(), newId)
  ])
  if (!old || !next) throw new AppError('not-found', 'The picture is missing.')
  const { corners } = kept,
    asked = corrections.map(askedOf),
    of = [COMPARE_VERSION, REPORT_VERSION, corners, asked, known, standards, old.sha256, next.sha256],
    basis = createHash('sha256').update(JSON.stringify(of)).digest('hex')
  // What was released is not measured anew under its sentences.
  if (kept.result && (released || kept.basis === basis)) return { result: kept.result, corners }
  const [before, after] = await Promise.all([readBlob(old.sha256), readBlob(next.sha256)])
  const result = await compareStored(
    {
      old: { display: before!.bytes, source: old.source },
      next: { display: after!.bytes, source: next.source },
      known,
      standards,
      asked,
      corners
    },
    who,
    progress
  )
  await storeComparison(db(), pair, { basis, result })
  await bringAreas(pair.newId, result, known)
  return { result, corners }
}

/** What was drawn on the older version, the focus first of all, is drawn on the new one too, unless something is. */
async function bringAreas(newId: number, { registration }: Comparison, { focus, areas }: PieceKnown): Promise<void> {
  const by = registration.corners && carryBy(registration.corners),
    drawn = [...(focus ? [{ name: FOCUS_NAME, area: focus }] : []), ...areas]
  if (!by || drawn.length === 0) return
  await transaction(async connection => {
    const head = await findCritique(connection, newId, true)
    if (head?.state !== 'draft' || (await listAreas(connection, newId)).length > 0) return
    for (const { name, area } of drawn) {
      const there = carriedArea(area, by)
      if (there) await insertArea(connection, newId, { name, area: there })
    }
    // Whoever looks through the queue next measures it with them.
    await askAgain(connection, newId)
  })
}

interface Work {
  readonly classId: number
  readonly corrections: readonly Correction[]
  readonly who: string
  readonly progress: Progress
  /** The critique of the new version is. */
  readonly released?: boolean
}

/** Nothing of a judgement reaches a learner before the new critique is released. */
const NOTHING_SAID = { landed: [], moved: [] } as const
const unsaid = (result: Comparison): Comparison => ({ ...result, seen: NOTHING_SAID, evened: null })

export async function compareFor(account: Account, pair: Pair, progress: Progress = () => {}): Promise<Compared> {
  const { old, new: next, classId } = await versionsOf(account, pair),
    piece = await visiblePiece(account, pair.newId),
    own = piece.learner.id === account.id,
    corrections = await listCorrections(db(), pair.oldId)
  const { result, corners } = await comparisonOf(pair, {
    classId,
    corrections,
    who: `${account.id}`,
    progress,
    released: next.state === 'released'
  })
  const said = { old, new: next, byHand: corners !== null }
  if (own && (next.state !== 'released' || old.state !== 'released'))
    return { ...said, comparison: unsaid(result), corrections: [] }
  const [words, marked] = await Promise.all([listLandings(db(), pair.newId), listCorrections(db(), pair.newId)])
  return {
    ...said,
    comparison: result,
    corrections: corrections.map((correction, i) => ({
      correction,
      seen: result.seen.landed[i]!,
      evened: result.evened?.landed[i] ?? null,
      word: words.get(correction.id) ?? null,
      carried: marked.some(c => c.carriedFrom === correction.id)
    }))
  }
}

/** A new version laid on the one before it, for whoever asks next: behind its measuring, nobody waits. */
export async function compareAhead(newId: number, { classId, who }: Pick<Work, 'classId' | 'who'>): Promise<void> {
  const all = await listVersions(db(), newId),
    old = all[all.findIndex(v => v.id === newId) - 1]
  if (!old) return
  const corrections = await listCorrections(db(), old.id)
  await comparisonOf({ oldId: old.id, newId }, { classId, corrections, who, progress: () => {} })
}

/**
 * Corners as its maker or the class's staff sets them; null lets them be found again. @throws AppError
 * already-released.
 */
export async function setCorners(account: Account, pair: Pair, corners: readonly Point[] | null): Promise<void> {
  const { new: next } = await versionsOf(account, pair)
  if (next.state === 'released')
    throw new AppError('already-released', 'The critique is released: what it says of the older version stays.')
  const piece = await visiblePiece(account, pair.newId)
  if (piece.learner.id === account.id) await ownPiece(account, pair.newId)
  else await pieceTo('draft', account, pair.newId)
  await storeCorners(db(), pair, corners)
}
