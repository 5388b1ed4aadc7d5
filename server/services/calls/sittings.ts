/** A call's pieces worked through in front of others: begun, gone through, recorded, ended. */
import { begun, picked, stepped, type Queue } from '../../../core/call/sitting'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { Sitting, SittingStep } from '../../../shared/sitting'
import { findCall } from '../../db/classes/calls'
import {
  addNewPieces,
  addSeconds,
  endSitting,
  findSitting,
  insertSitting,
  listMarked,
  listQueued,
  listSaid,
  listSittingPieces,
  listSittings,
  updateQueued,
  updateSaid,
  updateUp,
  type SittingRow
} from '../../db/classes/sittings'
import { findEntryBySubmission } from '../../db/classes/call-entries'
import { db, transaction, type Db } from '../../db/pool'
import { inClass } from '../access'
import { tellSaid } from '../mail/guests'

/** A page that was left open overnight did not talk until morning: seconds counted at a stretch, at most. */
const STRETCH_S = 2 * 3600

const heard = ({ since }: SittingRow, now = Date.now()): number =>
  since ? Math.min(STRETCH_S, Math.max(0, Math.round((now - since.getTime()) / 1000))) : 0

/** @throws AppError not-found, not-allowed, archived. */
async function seen(account: Account, id: number, act: 'oversee' | 'release'): Promise<SittingRow> {
  const sitting = await findSitting(db(), id)
  if (!sitting) throw new AppError('not-found', 'There is no such session.')
  await inClass(account, sitting.classId, act)
  return sitting
}

/** Under its lock, so that two windows do one thing after the other. @throws AppError stale once it has ended. */
function changed<T>(id: number, change: (connection: Db, sitting: SittingRow) => Promise<T>): Promise<T> {
  return transaction(async connection => {
    const sitting = (await findSitting(connection, id, true))!
    if (sitting.endedAt) throw new AppError('stale', 'This session has ended.')
    return change(connection, sitting)
  })
}

/** The one that is open of a call, or a new one, with what has come in since. @returns its id. */
export async function beginSitting(account: Account, callId: number): Promise<number> {
  const call = await findCall(db(), callId)
  if (!call) throw new AppError('not-found', 'There is no such call.')
  await inClass(account, call.classId, 'release')
  return transaction(async connection => {
    // Pressed twice, one is begun.
    await findCall(connection, callId, true)
    const open = (await listSittings(connection, callId)).find(t => !t.endedAt)
    const id = open?.id ?? (await insertSitting(connection, callId))
    if (open) await addNewPieces(connection, id)
    const pieces = await listQueued(connection, id)
    if (pieces.length === 0)
      throw new AppError('invalid', 'Every piece of this call was looked at, or none has been taken yet.')
    // The first is up; its clock runs once it hangs.
    if (!open?.upId) await updateUp(connection, id, { upId: begun(pieces).up, since: null })
    return id
  })
}

/** @returns the one that is up now. */
export async function stepSitting(account: Account, id: number, step: SittingStep): Promise<{ up: number | null }> {
  await seen(account, id, 'release')
  return changed(id, async (connection, sitting) => {
    if (sitting.upId !== step.up) throw new AppError('stale', 'Another window of yours went on already.')
    const before = await listQueued(connection, id),
      queue = after({ pieces: before, up: sitting.upId }, step)
    await stop(connection, sitting)
    for (const piece of queue.pieces) if (!before.includes(piece)) await updateQueued(connection, id, piece)
    const runs = queue.up !== null && !('step' in step && step.step === 'pause')
    await updateUp(connection, id, { upId: queue.up, since: runs ? new Date() : null })
    return { up: queue.up }
  })
}

/** @throws AppError stale, not-found. */
function after(queue: Queue, step: SittingStep): Queue {
  if ('pick' in step) {
    if (!queue.pieces.some(p => p.id === step.pick))
      throw new AppError('not-found', 'There is no such piece in this session.')
    return picked(queue, step.pick)
  }
  if (queue.up === null) throw new AppError('stale', 'No piece is up.')
  return step.step === 'pause' || step.step === 'go-on' ? queue : stepped(queue, step.step)
}

/** What the piece that is up was talked about until now is counted. */
async function stop(connection: Db, sitting: SittingRow): Promise<void> {
  if (sitting.upId !== null && sitting.since)
    await addSeconds(connection, sitting.id, { pieceId: sitting.upId, seconds: heard(sitting) })
}

export async function readSitting(account: Account, id: number): Promise<Sitting> {
  const sitting = await seen(account, id, 'oversee'),
    marked = await listMarked(db(), id)
  return {
    id,
    call: sitting.call,
    budgetMinutes: sitting.budgetMinutes,
    begunAt: sitting.begunAt.toISOString(),
    endedAt: sitting.endedAt?.toISOString() ?? null,
    up: sitting.upId,
    paused: sitting.since === null,
    pieces: (await listSittingPieces(db(), id)).map(p => ({
      ...p,
      seconds: p.seconds + (p.id === sitting.upId ? heard(sitting) : 0),
      marked: marked.get(p.id) ?? []
    }))
  }
}

/** Kept as it is written; after the session too, since the record is its critic's. */
export async function writeSaid(
  account: Account,
  id: number,
  { pieceId, said }: { readonly pieceId: number; readonly said: string }
): Promise<void> {
  await seen(account, id, 'release')
  await updateSaid(db(), id, { pieceId, said })
}

/** A piece that hung for less, with nothing written of it, was not talked about: seconds. */
const TALKED_S = 30

/**
 * What was up counts as talked about, if it was; every guest of whose piece something was written is told that they can
 * read it.
 */
export async function closeSitting(account: Account, id: number): Promise<void> {
  await seen(account, id, 'release')
  await changed(id, async (connection, sitting) => {
    await stop(connection, sitting)
    const pieces = await listSittingPieces(connection, id),
      up = pieces.find(p => p.id === sitting.upId),
      queued =
        up && (up.said || up.seconds >= TALKED_S) ? (await listQueued(connection, id)).find(q => q.id === up.id) : null
    if (queued) await updateQueued(connection, id, { ...queued, standing: 'said' })
    for (const { id: pieceId, said, standing } of pieces) {
      if (!said || (standing !== 'said' && pieceId !== queued?.id)) continue
      const entry = await findEntryBySubmission(connection, pieceId)
      if (entry) await tellSaid(connection, { call: { title: sitting.call }, entry })
    }
    await endSitting(connection, id)
  })
}

/** Of one piece, for its guest: what was said in front of others, with the day. */
export const saidOf = async (submissionId: number): Promise<{ on: string; said: string }[]> =>
  (await listSaid(db(), submissionId)).filter(s => s.said).map(({ at, said }) => ({ on: at.toISOString(), said }))
