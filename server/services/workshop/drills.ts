/** Drills for the eye: kept, followed over time, a class's at a glance. */
import type { Account } from '../../../shared/account'
import type { ClassDrills, DrillRun, DrillRunInput } from '../../../shared/workshop'
import { changeOnce } from '../../db/once'
import { db } from '../../db/pool'
import { insertRun, listClassRuns, listRuns } from '../../db/workshop/drills'
import { inClass } from '../access'

export const readRuns = (account: Account): Promise<DrillRun[]> => listRuns(db(), account.id)

/** @returns it, with the threshold its answers come to. */
export async function keepRun(account: Account, run: DrillRunInput, now = new Date()): Promise<DrillRun> {
  const id = await changeOnce(connection => insertRun(connection, account.id, { run, at: now }))
  return (await listRuns(db(), account.id)).find(r => r.id === id)!
}

export async function readClassRuns(account: Account, classId: number): Promise<ClassDrills> {
  await inClass(account, classId, 'look')
  return listClassRuns(db(), classId)
}
