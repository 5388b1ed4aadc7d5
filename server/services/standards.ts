/** House standards and rubric: one set a class, its instructor's to change. */
import type { Account } from '../../shared/account'
import { AppError } from '../../shared/errors'
import type { HouseStandards } from '../../core/critique/standards'
import type { Quality } from '../../core/critique/rubric'
import { findStandards, insertRubric, isTaughtBy, updateStandards } from '../db/classes'
import { db } from '../db/pool'

async function ownClass(account: Account, classId: number): Promise<void> {
  if (!await isTaughtBy(db(), classId, account.id)) throw new AppError('not-found', 'There is no such class, or it is not yours.')
}

export async function readStandards(account: Account, classId: number): Promise<HouseStandards> {
  await ownClass(account, classId)
  return findStandards(db(), classId)
}

/** @param standards null to return to the shipped ones. */
export async function writeStandards(account: Account, classId: number, standards: HouseStandards | null): Promise<void> {
  await ownClass(account, classId)
  await updateStandards(db(), classId, standards)
}

/** Critiques scored before keep the qualities they were scored by. */
export async function writeRubric(account: Account, classId: number, qualities: readonly Quality[]): Promise<void> {
  await ownClass(account, classId)
  await insertRubric(db(), classId, qualities)
}
