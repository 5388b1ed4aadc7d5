/** House standards and rubric: one set a class, its instructor's to change. */
import type { Account } from '../../shared/account'
import { AppError } from '../../shared/errors'
import { DEFAULT_STANDARDS, type HouseStandards } from '../../core/critique/standards'
import type { Quality } from '../../core/critique/rubric'
import { findStandards, insertRubric, isTaughtBy, updateStandards } from '../db/classes'
import { countSetAside } from '../db/critiques'
import { askAgainInClass } from '../db/measurements'
import { db, transaction } from '../db/pool'
import { wakeMeasuring } from './measuring'

async function ownClass(account: Account, classId: number): Promise<void> {
  if (!(await isTaughtBy(db(), classId, account.id)))
    throw new AppError('not-found', 'There is no such class, or it is not yours.')
}

export async function readStandards(account: Account, classId: number): Promise<HouseStandards> {
  await ownClass(account, classId)
  return findStandards(db(), classId)
}

/** @param standards null to return to the shipped ones. */
export async function writeStandards(
  account: Account,
  classId: number,
  standards: HouseStandards | null
): Promise<void> {
  await ownClass(account, classId)
  const before = await findStandards(db(), classId)
  await transaction(async connection => {
    await updateStandards(connection, classId, standards)
    // Only the wheel is measured on; every other standard judges what is measured.
    if ((standards ?? DEFAULT_STANDARDS).wheel !== before.wheel) await askAgainInClass(connection, classId)
  })
  wakeMeasuring()
}

/** How often each reading was set aside in the class: what is set aside again and again is a standard that does not fit. */
export async function setAsideIn(account: Account, classId: number): Promise<Record<string, number>> {
  await ownClass(account, classId)
  return countSetAside(db(), classId)
}

/** Critiques scored before keep the qualities they were scored by. */
export async function writeRubric(account: Account, classId: number, qualities: readonly Quality[]): Promise<void> {
  await ownClass(account, classId)
  await insertRubric(db(), classId, qualities)
}
