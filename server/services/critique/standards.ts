/** House standards and rubric: one set a class, its instructors' to change. */
import type { Account } from '../../../shared/account'
import { DEFAULT_STANDARDS, type HouseStandards } from '../../../core/critique/standards'
import type { Quality } from '../../../core/critique/rubric'
import { findStandards, insertRubric, updateStandards } from '../../db/classes/classes'
import { countSetAside } from '../../db/critique/critiques'
import { askAgainInClass } from '../../db/pieces/measurements'
import { db, transaction } from '../../db/pool'
import { inClass } from '../access'
import { wakeMeasuring } from '../pieces/measuring'

export async function readStandards(account: Account, classId: number): Promise<HouseStandards> {
  await inClass(account, classId, 'look')
  return findStandards(db(), classId)
}

/** @param standards null to return to the shipped ones. */
export async function writeStandards(
  account: Account,
  classId: number,
  standards: HouseStandards | null
): Promise<void> {
  await inClass(account, classId, 'release')
  const before = await findStandards(db(), classId)
  await transaction(async connection => {
    await updateStandards(connection, classId, standards)
    // Only the wheel is measured on; every other standard judges what is measured.
    if ((standards ?? DEFAULT_STANDARDS).wheel !== before.wheel) await askAgainInClass(connection, classId)
  })
  wakeMeasuring()
}

/**
 * How often each reading was set aside in the class: what is set aside again and again is a standard that does not fit.
 */
export async function setAsideIn(account: Account, classId: number): Promise<Record<string, number>> {
  await inClass(account, classId, 'look')
  return countSetAside(db(), classId)
}

/** Critiques scored before keep the qualities they were scored by. */
export async function writeRubric(account: Account, classId: number, qualities: readonly Quality[]): Promise<void> {
  await inClass(account, classId, 'release')
  await insertRubric(db(), classId, qualities)
}
